package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.sheet.ProgressSheet;
import ivrik.app.sheet.ProgressSheet.Summary;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.Sheets.Choice;
import ivrik.core.project.FrameRange;
import ivrik.core.threads.Workers;
import ivrik.media.encode.ChannelExport;
import ivrik.media.encode.ChannelFormat;
import ivrik.media.encode.OutputFiles;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** Exports the treated channels of the play range before rejoin. */
final class ChannelExportActions {
    private final Session session;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;

    ChannelExportActions(Session session, Sheets sheets, Supplier<Chooser> chooser) {
        this.session = session;
        this.sheets = sheets;
        this.chooser = chooser;
    }

    /** Asks for format and folder. */
    void ask() {
        FrameRange range = session.project().played();
        List<Choice> choices = new ArrayList<>();
        for (ChannelFormat format : ChannelFormat.values()) {
            String title =
                    Character.toUpperCase(format.title().charAt(0)) + format.title().substring(1);
            choices.add(new Choice(title, () -> choose(format, range)));
        }
        sheets.ask(
                "Export channels",
                "Exports every treated channel before the rejoin, frames "
                        + range.first()
                        + " to "
                        + range.last()
                        + ", into one folder per layer and look. Choose a format:",
                choices);
    }

    private void choose(ChannelFormat format, FrameRange range) {
        Path folder = chooser.get().folder("Export channels to folder");
        if (folder == null) {
            return;
        }
        ChannelExport channels = new ChannelExport(session.project(), range, format, folder);
        int there = OutputFiles.existing(channels.files()).size();
        if (there == 0) {
            write(channels, range, folder);
        } else {
            sheets.ask(
                    there + " of these files already exist",
                    "Folder: " + folder + ".",
                    List.of(
                            new Choice("Cancel", () -> {}),
                            new Choice("Replace", () -> write(channels, range, folder))));
        }
    }

    private void write(ChannelExport channels, FrameRange range, Path folder) {
        ProgressSheet.run(
                "Channels of " + session.project().name(),
                "The channels could not be exported",
                sheets,
                () -> {}, // written files stay
                sheet -> {
                    OutputFiles.protect(OutputFiles.existing(channels.files()), channels.inputs());
                    channels.write(
                            1,
                            Workers.shared(),
                            n -> sheet.frames(n, range.length()),
                            sheet::isStopped);
                    return new Summary("Channels exported", "Folder: " + folder);
                });
    }
}
