package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.WorkSheet;
import ivrik.core.IvrikException;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.threads.CancelledException;
import ivrik.media.sound.WavFile;

import javafx.application.Platform;

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
        WorkSheet sheet = new WorkSheet("The sound of " + project.name(), sheets);
        sheet.show(sheets);
        Thread.ofVirtual()
                .start(
                        () -> {
                            try {
                                WavFile.write(
                                        project,
                                        range,
                                        file,
                                        n ->
                                                sheet.progress(
                                                        (double) n / range.length(),
                                                        "Frame " + n + " of " + range.length()),
                                        sheet::isStopped);
                                end(sheet, "The sound is saved", "It is in " + file);
                            } catch (CancelledException e) {
                                return; // put away by the user: nothing is written
                            } catch (IvrikException e) {
                                end(sheet, "The sound could not be saved", e.oneLine());
                            }
                        });
    }

    private void end(WorkSheet sheet, String title, String text) {
        Platform.runLater(
                () -> {
                    sheet.end(sheets);
                    sheets.tell(title, text);
                });
    }
}
