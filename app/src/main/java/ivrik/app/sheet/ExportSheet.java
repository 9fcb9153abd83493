package ivrik.app.sheet;

import ivrik.app.picture.SourceFault;
import ivrik.app.widget.Controls;
import ivrik.core.IvrikException;
import ivrik.core.project.Project;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;
import ivrik.core.threads.Workers;
import ivrik.media.TargetExistsException;
import ivrik.media.encode.Export;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.Preset;
import ivrik.media.encode.TakeExport;

import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** The export sheet: settings, then progress. */
public final class ExportSheet extends VBox {
    private static final Logger LOG = LoggerFactory.getLogger(ExportSheet.class);

    private final Sheets sheets;
    private final Host around;
    private final ExportChoices choices;
    private final List<Path> kept;
    private final Label status = new Label();
    private final ProgressBar bar = new ProgressBar(0);
    private final Button start = new Button("Export");
    private final Button cancel = new Button("Close");
    private final Button reveal = new Button("Show in folder");
    private final Button discard = new Button("Discard partial export");
    private volatile boolean stopped;
    private boolean running;
    private boolean mayReplace;

    /** What the sheet needs from the window. */
    public interface Host {
        /** Asks for a target; null if cancelled. */
        Path choose(ExportFormat format);

        /** The last export; empty if there is none. */
        Optional<Export.Order> before();

        /** Remembers the settings. */
        void remember(Export.Order order);

        /** Shows a finished file in its folder. */
        void reveal(Path file);
    }

    /**
     * @param frame the present frame
     * @param kept further files that must not be overwritten
     * @param target target without extension
     */
    public ExportSheet(
            Project project, long frame, List<Path> kept, Path target, Sheets sheets, Host around) {
        this.kept = kept;
        this.sheets = sheets;
        this.around = around;
        choices = new ExportChoices(project, frame, target, around);
        around.before().ifPresent(choices::choose);
        choices.targetProperty().addListener((o, a, b) -> askBeforeReplacing());
        start.setId("export-start");
        Controls.explain(start, "Starts the export");
        cancel.setId("export-cancel");
        Controls.explain(cancel, "Stops the export; finished frames are kept. Key: Escape");
        status.setId("export-text");
        Controls.explain(reveal, "Opens the folder of the exported file");
        Controls.explain(
                discard,
                "Deletes the frames rendered so far; the next export starts from the first"
                        + " frame");
        discard.setId("export-discard");
        shown(reveal, false);
        shown(discard, false);
        start.getStyleClass().add("primary");
        start.setOnAction(e -> start());
        cancel.setOnAction(
                e -> {
                    if (running) {
                        stopped = true;
                    } else {
                        sheets.away();
                    }
                });
        Label head = new Label("Export " + project.name());
        head.getStyleClass().add("title");
        bar.setMaxWidth(Double.MAX_VALUE);
        bar.setVisible(false);
        status.setWrapText(true);
        status.setMinHeight(18);
        HBox buttons = new HBox(8, reveal, discard, cancel, start);
        buttons.setAlignment(Pos.CENTER_RIGHT);
        getChildren().addAll(head, choices, bar, status, buttons);
        setMaxWidth(680);
    }

    /** Selects a format. */
    public void choose(ExportFormat format) {
        choices.choose(format);
    }

    /** Selects a PNG of the present frame. */
    public void chooseFrame() {
        choices.chooseFrame();
    }

    /** Selects a preset. */
    public void choose(Preset preset) {
        choices.choose(preset);
    }

    public Button startButton() {
        return start;
    }

    /** Asks again before replacing after the name changed. */
    private void askBeforeReplacing() {
        mayReplace = false;
        start.setText("Export");
    }

    private void start() {
        List<Export.Order> orders;
        try {
            Export.Order order = choices.order().withOverwrite(mayReplace).withKept(kept);
            orders = choices.orders(order);
            around.remember(order);
        } catch (IvrikException e) {
            status.setText("Export failed: " + e.oneLine());
            return;
        } catch (IllegalArgumentException e) {
            status.setText(
                    "Enter a first and a last frame; the last must not be smaller than the first.");
            return;
        }
        running = true;
        stopped = false;
        start.setDisable(true);
        shown(reveal, false);
        shown(discard, false);
        cancel.setText("Cancel");
        bar.setProgress(0);
        bar.setVisible(true);
        status.setText("Starting");
        sheets.onClosed(() -> stopped = true);
        Threads.start("ivrik-export", () -> work(orders));
    }

    private void work(List<Export.Order> orders) {
        long began = System.nanoTime();
        long frames = orders.stream().mapToLong(o -> o.range().length()).sum();
        String end;
        boolean done = false;
        boolean exists = false;
        try {
            List<String> notes =
                    TakeExport.run(
                            orders,
                            Workers.shared(),
                            n ->
                                    Platform.runLater(
                                            () ->
                                                    progress(
                                                            n,
                                                            frames,
                                                            (System.nanoTime() - began) / 1e9)),
                            () -> stopped);
            end =
                    "Exported: "
                            + orders.stream()
                                    .map(o -> o.out().toString())
                                    .collect(Collectors.joining(", "))
                            + ", "
                            + frames
                            + (frames == 1 ? " frame" : " frames")
                            + notes.stream()
                                    .map(w -> ".\nNote: " + w)
                                    .collect(Collectors.joining());
            done = true;
        } catch (CancelledException e) {
            end = cancelled(orders);
        } catch (TargetExistsException e) {
            end = e.getMessage() + ". Replace it or enter another name.";
            exists = true;
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.error("export", e);
            end = "Export failed: " + SourceFault.why(e);
        }
        String said = end;
        boolean finished = done;
        boolean ask = exists;
        boolean kept = orders.getFirst().format().isMovie() && isBrokenOff(orders);
        Platform.runLater(
                () -> {
                    ended(said, finished);
                    shown(discard, kept);
                    discard.setOnAction(e -> discard(orders));
                    reveal.setOnAction(e -> around.reveal(orders.getFirst().out()));
                    if (ask) {
                        mayReplace = true;
                        start.setText("Replace");
                    }
                });
    }

    /** Describes what a cancelled export left. */
    private static String cancelled(List<Export.Order> orders) {
        boolean goesOn = isBrokenOff(orders);
        if (!orders.getFirst().format().isMovie()) {
            return goesOn
                    ? "Export cancelled. Written frames are kept; Export continues from there."
                    : "Export cancelled. No file was written.";
        }
        return (orders.size() > 1
                        ? "Export cancelled. Complete files are kept."
                        : "Export cancelled. No file of this name was written.")
                + (goesOn ? " Rendered frames are kept; Export continues from there." : "");
    }

    private static boolean isBrokenOff(List<Export.Order> orders) {
        return orders.stream().anyMatch(o -> Export.isBrokenOff(o.out()));
    }

    private void progress(long done, long all, double seconds) {
        bar.setProgress((double) done / all);
        double left = seconds / done * (all - done);
        status.setText(
                String.format(
                        Locale.ROOT,
                        "Frame %d of %d, %s left",
                        done,
                        all,
                        left < 60 ? Math.round(left) + " s" : Math.round(left / 60) + " min"));
    }

    private void ended(String said, boolean finished) {
        running = false;
        status.setText(said);
        start.setDisable(false);
        cancel.setText("Close");
        bar.setVisible(finished);
        shown(reveal, finished);
    }

    /** Discards an interrupted export. */
    private void discard(List<Export.Order> orders) {
        shown(discard, false);
        status.setText("Partial export discarded.");
        Thread.ofVirtual().start(() -> orders.forEach(o -> Export.discard(o.out())));
    }

    private static void shown(Button button, boolean shown) {
        button.setVisible(shown);
        button.setManaged(shown);
    }
}
