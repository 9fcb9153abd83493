package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.Sheets.Choice;
import ivrik.app.sheet.WorkSheet;
import ivrik.app.sheet.WorkSheet.Said;
import ivrik.core.project.FrameRange;
import ivrik.core.threads.Workers;
import ivrik.media.encode.LaneExport;
import ivrik.media.encode.LaneForm;
import ivrik.media.encode.OutputFiles;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** The treated lanes of what is played, saved as files, before they are rejoined. */
final class LanesWork {
    private final Session session;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;

    LanesWork(Session session, Sheets sheets, Supplier<Chooser> chooser) {
        this.session = session;
        this.sheets = sheets;
        this.chooser = chooser;
    }

    /** Asks in which form, and into which folder. */
    void ask() {
        FrameRange range = session.project().played();
        List<Choice> choices = new ArrayList<>();
        for (LaneForm form : LaneForm.values()) {
            String title =
                    Character.toUpperCase(form.title().charAt(0)) + form.title().substring(1);
            choices.add(new Choice(title, () -> choose(form, range)));
        }
        sheets.ask(
                "Save the lanes",
                "Every lane with all that is done to it, before it is rejoined, of the frames "
                        + range.first()
                        + " to "
                        + range.last()
                        + ": a folder for each layer and look. As what?",
                choices);
    }

    private void choose(LaneForm form, FrameRange range) {
        Path folder = chooser.get().folder("Save the lanes into");
        if (folder == null) {
            return;
        }
        LaneExport lanes = new LaneExport(session.project(), range, form, folder);
        int there = OutputFiles.existing(lanes.files()).size();
        if (there == 0) {
            write(lanes, range, folder);
        } else {
            sheets.ask(
                    there + " of these files are there already",
                    "They lie in " + folder + ".",
                    List.of(
                            new Choice("Cancel", () -> {}),
                            new Choice("Replace them", () -> write(lanes, range, folder))));
        }
    }

    private void write(LaneExport lanes, FrameRange range, Path folder) {
        WorkSheet.run(
                "The lanes of " + session.project().name(),
                "The lanes could not be saved",
                sheets,
                () -> {}, // what is written stays
                sheet -> {
                    OutputFiles.protect(OutputFiles.existing(lanes.files()), lanes.inputs());
                    lanes.write(
                            1,
                            Workers.shared(),
                            n -> sheet.frames(n, range.length()),
                            sheet::isStopped);
                    return new Said("The lanes are saved", "They are in " + folder);
                });
    }
}
