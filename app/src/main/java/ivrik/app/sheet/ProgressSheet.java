package ivrik.app.sheet;

import ivrik.app.widget.Controls;
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

/** Progress of background work, with a button to stop it. */
public final class ProgressSheet extends VBox {
    private final ProgressBar bar = new ProgressBar(0);
    private final Label status = new Label("Starting");
    private final Button stop = new Button("Cancel");
    private volatile boolean stopped;

    /** Background work. */
    @FunctionalInterface
    public interface Work {
        /**
         * @return the result
         * @throws CancelledException if stopped
         * @throws IvrikException if it failed
         */
        Summary run(ProgressSheet sheet);
    }

    /** Title and text of the result. */
    public record Summary(String title, String text) {}

    /**
     * Shows a sheet, runs the work on its own thread, and reports the result.
     *
     * @param failed title after an error
     * @param stopped executed on the interface thread if stopped
     */
    public static void run(
            String title, String failed, Sheets sheets, Runnable stopped, Work work) {
        ProgressSheet sheet = new ProgressSheet(title, sheets);
        sheet.show(sheets);
        Threads.start(
                "ivrik-sheet",
                () -> {
                    try {
                        sheet.end(sheets, work.run(sheet));
                    } catch (CancelledException e) {
                        Platform.runLater(stopped);
                    } catch (IvrikException e) {
                        sheet.end(sheets, new Summary(failed, e.oneLine()));
                    }
                });
    }

    private ProgressSheet(String title, Sheets sheets) {
        Label head = new Label(title);
        head.getStyleClass().add("title");
        bar.setMaxWidth(Double.MAX_VALUE);
        status.setWrapText(true);
        status.setId("progress-text");
        stop.setId("work-stop");
        Controls.explain(stop, "Stops the work. Key: Escape");
        stop.setOnAction(e -> sheets.away());
        HBox buttons = new HBox(stop);
        buttons.setAlignment(Pos.CENTER_RIGHT);
        getChildren().addAll(head, bar, status, buttons);
        setMaxWidth(520);
        setMinWidth(420);
    }

    private void show(Sheets sheets) {
        sheets.show(this, stop);
        sheets.onClosed(() -> stopped = true);
    }

    /** Closes the sheet if it is open, and reports. */
    private void end(Sheets sheets, Summary said) {
        Platform.runLater(
                () -> {
                    if (sheets.holds(this)) {
                        sheets.away();
                    }
                    sheets.report(said.title, said.text);
                });
    }

    /** Whether the work was stopped; thread-safe. */
    public boolean isStopped() {
        return stopped;
    }

    /** Reports the number of finished frames. */
    public void frames(long done, long all) {
        progress((double) done / all, "Frame " + done + " of " + all);
    }

    /** Reports progress from 0 to 1; thread-safe. */
    public void progress(double share, String text) {
        Platform.runLater(
                () -> {
                    bar.setProgress(share);
                    status.setText(text);
                });
    }
}
