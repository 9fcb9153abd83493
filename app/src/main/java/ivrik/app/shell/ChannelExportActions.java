package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.ProgressSheet;
import ivrik.app.sheet.ProgressSheet.Summary;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.Sheets.Choice;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.project.StillProject;
import ivrik.core.threads.Workers;
import ivrik.media.encode.ChannelExport;
import ivrik.media.encode.ChannelFormat;
import ivrik.media.encode.OutputFiles;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** Exports the treated channels of the play range before rejoin. */
final class ChannelExportActions {
    private final Session session;
    private final View view;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;

    ChannelExportActions(Session session, View view, Sheets sheets, Supplier<Chooser> chooser) {
        this.session = session;
        this.view = view;
        this.sheets = sheets;
        this.chooser = chooser;
    }

    /**
     * Asks for the frames, the format and the folder. The play range is the default; of a still without one,
     * the present frame.
     */
    void ask() {
        Project project = session.project();
        boolean isStill = StillProject.is(project) && project.playRange().isEmpty();
        long here = view.frame.get();
        FrameRange range = isStill ? new FrameRange(here, here) : project.played();
        NumberField from = frame("channels-from", "First frame", range.first());
        NumberField to = frame("channels-to", "Last frame", range.last());
        List<Choice> choices = new ArrayList<>();
        for (ChannelFormat format : ChannelFormat.values()) {
            String title =
                    Character.toUpperCase(format.title().charAt(0)) + format.title().substring(1);
            choices.add(new Choice(title, () -> choose(format, chosen(from, to))));
        }
        Label text =
                new Label(
                        "Exports every treated channel before the rejoin into one folder per layer"
                                + " and look. Choose the frames and a format:");
        text.setWrapText(true);
        HBox frames = new HBox(12, Controls.quiet("Frames"), from, Controls.quiet("to"), to);
        frames.setAlignment(Pos.CENTER_LEFT);
        sheets.ask("Export channels", new VBox(12, text, frames), choices);
    }

    /** A number of a frame, which shows what was typed. */
    private NumberField frame(String id, String help, long frame) {
        NumberField[] field = new NumberField[1];
        field[0] =
                new NumberField(
                        new NumberField.Spec(
                                "", 0, session.project().frames() - 1.0, frame, 1, 0, false),
                        help,
                        to -> field[0].show(Math.rint(to)));
        field[0].setId(id);
        return field[0];
    }

    private static FrameRange chosen(NumberField from, NumberField to) {
        long first = (long) from.value();
        return new FrameRange(first, Math.max(first, (long) to.value()));
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
