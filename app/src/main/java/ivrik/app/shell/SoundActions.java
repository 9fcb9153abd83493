package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.sheet.ProgressSheet;
import ivrik.app.sheet.ProgressSheet.Summary;
import ivrik.app.sheet.Sheets;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.media.sound.WavFile;

import java.nio.file.Path;
import java.util.function.Supplier;

/** Exports the sound of the play range. */
final class SoundActions {
    private final Session session;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;

    SoundActions(Session session, Sheets sheets, Supplier<Chooser> chooser) {
        this.session = session;
        this.sheets = sheets;
        this.chooser = chooser;
    }

    /** Asks for a target. */
    void save() {
        Path chosen = chooser.get().toSave(Chooser.Saved.SOUND, session.project().name());
        if (chosen != null) {
            FileExtensions.unlessTaken(
                    chosen, FileExtensions.with(chosen, WavFile.ENDING), sheets, this::write);
        }
    }

    private void write(Path file) {
        Project project = session.project();
        FrameRange range = project.played();
        ProgressSheet.run(
                "The sound of " + project.name(),
                "The sound could not be exported",
                sheets,
                () -> {},
                sheet -> {
                    WavFile.write(
                            project,
                            range,
                            file,
                            n -> sheet.frames(n, range.length()),
                            sheet::isStopped);
                    return new Summary("Sound exported", "File: " + file);
                });
    }
}
