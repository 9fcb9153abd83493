package ivrik.app.sheet;

import ivrik.app.control.Controls;
import ivrik.core.IvrikException;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;

import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Work that goes on elsewhere: how far it is, and a way to stop it. */
public final class WorkSheet extends VBox {
    private final ProgressBar bar = new ProgressBar(0);
    private final Label word = new Label("Beginning");
    private final Button stop = new Button("Stop");
    private volatile boolean stopped;

    /** What goes on elsewhere while the sheet is shown. */
    @FunctionalInterface
    public interface Work {
        /**
         * @return what came of it
         * @throws CancelledException if it was stopped
         * @throws IvrikException what kept it from being done
         */
        Said run(WorkSheet sheet);
    }

    /** What came of it, as it is told. */
    public record Said(String title, String text) {}

    /**
     * Shows a sheet, works in a thread of its own, and tells what came of it.
     *
     * @param failed the title where it could not be done
     * @param stopped done on the interface thread if it was stopped
     */
    public static void run(
            String title, String failed, Sheets sheets, Runnable stopped, Work work) {
        WorkSheet sheet = new WorkSheet(title, sheets);
        sheet.show(sheets);
        Threads.start(
                "ivrik-sheet",
                () -> {
                    try {
                        sheet.end(sheets, work.run(sheet));
                    } catch (CancelledException e) {
                        Platform.runLater(stopped);
                    } catch (IvrikException e) {
                        sheet.end(sheets, new Said(failed, e.oneLine()));
                    }
                });
    }

    private WorkSheet(String title, Sheets sheets) {
        Label head = new Label(title);
        head.getStyleClass().add("title");
        bar.setMaxWidth(Double.MAX_VALUE);
        word.setWrapText(true);
        word.setId("work-word");
        stop.setId("work-stop");
        Controls.explain(stop, "Ends it here. Key: Escape");
        stop.setOnAction(e -> sheets.away());
        HBox buttons = new HBox(stop);
        buttons.setAlignment(Pos.CENTER_RIGHT);
        getChildren().addAll(head, bar, word, buttons);
        setMaxWidth(520);
        setMinWidth(420);
    }

    private void show(Sheets sheets) {
        sheets.show(this, stop);
        sheets.onAway(() -> stopped = true);
    }

    /** Puts it away, if it is still there, and tells. */
    private void end(Sheets sheets, Said said) {
        Platform.runLater(
                () -> {
                    if (sheets.holds(this)) {
                        sheets.away();
                    }
                    sheets.tell(said.title, said.text);
                });
    }

    /** Whether it is not wanted any more; asked by any thread. */
    public boolean isStopped() {
        return stopped;
    }

    /** So many frames of all are done. */
    public void frames(long done, long all) {
        progress((double) done / all, "Frame " + done + " of " + all);
    }

    /** How far it is, from 0 to 1; told by any thread. */
    public void progress(double share, String words) {
        Platform.runLater(
                () -> {
                    bar.setProgress(share);
                    word.setText(words);
                });
    }
}
