package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.WorkSheet;
import ivrik.app.sheet.WorkSheet.Said;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.media.sound.WavFile;

import java.nio.file.Path;
import java.util.function.Supplier;

/** The sound of what is played, saved by itself. */
final class SoundWork {
    private final Session session;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;

    SoundWork(Session session, Sheets sheets, Supplier<Chooser> chooser) {
        this.session = session;
        this.sheets = sheets;
        this.chooser = chooser;
    }

    /** Asks where to. */
    void save() {
        Path chosen = chooser.get().toSave(Chooser.Saved.SOUND, session.project().name());
        if (chosen != null) {
            Endings.unlessTaken(chosen, Endings.with(chosen, WavFile.ENDING), sheets, this::write);
        }
    }

    private void write(Path file) {
        Project project = session.project();
        FrameRange range = project.played();
        WorkSheet.run(
                "The sound of " + project.name(),
                "The sound could not be saved",
                sheets,
                () -> {},
                sheet -> {
                    WavFile.write(
                            project,
                            range,
                            file,
                            n -> sheet.frames(n, range.length()),
                            sheet::isStopped);
                    return new Said("The sound is saved", "It is in " + file);
                });
    }
}
