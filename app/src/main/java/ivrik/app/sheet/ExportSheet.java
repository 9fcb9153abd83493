package ivrik.app.sheet;

import ivrik.app.control.Controls;
import ivrik.app.picture.Fault;
import ivrik.core.IvrikException;
import ivrik.core.project.Project;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;
import ivrik.core.threads.Workers;
import ivrik.media.TargetExistsException;
import ivrik.media.encode.Export;
import ivrik.media.encode.Form;
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

/** Export: what is chosen for it, then how far it is. */
public final class ExportSheet extends VBox {
    private static final Logger LOG = LoggerFactory.getLogger(ExportSheet.class);

    private final Sheets sheets;
    private final Around around;
    private final ExportChoices choices;
    private final List<Path> kept;
    private final Label word = new Label();
    private final ProgressBar bar = new ProgressBar(0);
    private final Button start = new Button("Export");
    private final Button cancel = new Button("Close");
    private final Button reveal = new Button("Show in its folder");
    private final Button throwAway = new Button("Throw away what is done");
    private volatile boolean stopped;
    private boolean running;
    private boolean mayReplace;

    /** What the sheet asks of the window around it. */
    public interface Around {
        /** Where to write; null if none was chosen. */
        Path choose(Form form);

        /** What was written the last time; empty if nothing was. */
        Optional<Export.Order> before();

        /** What is being written, for the next time. */
        void remember(Export.Order order);

        /** Shows a finished file in its folder. */
        void reveal(Path file);
    }

    /**
     * @param kept files besides the project's media that must not be written over
     * @param target where to, without an ending
     */
    public ExportSheet(
            Project project, List<Path> kept, Path target, Sheets sheets, Around around) {
        this.kept = kept;
        this.sheets = sheets;
        this.around = around;
        choices = new ExportChoices(project, target, around);
        around.before().ifPresent(choices::choose);
        choices.targetProperty().addListener((o, a, b) -> askBeforeReplacing());
        start.setId("export-start");
        Controls.explain(start, "Writes the files; you can go on working afterwards");
        cancel.setId("export-cancel");
        Controls.explain(cancel, "Stops if it is writing; what is done is kept. Key: Escape");
        word.setId("export-word");
        Controls.explain(reveal, "Opens the folder of what was written");
        Controls.explain(throwAway, "The next export begins anew");
        throwAway.setId("export-throw-away");
        shown(reveal, false);
        shown(throwAway, false);
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
        word.setWrapText(true);
        word.setMinHeight(18);
        HBox buttons = new HBox(8, reveal, throwAway, cancel, start);
        buttons.setAlignment(Pos.CENTER_RIGHT);
        getChildren().addAll(head, choices, bar, word, buttons);
        setMaxWidth(680);
    }

    /** Another form. */
    public void choose(Form form) {
        choices.choose(form);
    }

    /** All that goes with what the pictures leave for. */
    public void choose(Preset preset) {
        choices.choose(preset);
    }

    public Button startButton() {
        return start;
    }

    /** Another name: whether it may be replaced is not settled yet. */
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
            word.setText("Could not: " + e.oneLine());
            return;
        } catch (IllegalArgumentException e) {
            word.setText("The frames must be two numbers, the second no smaller than the first.");
            return;
        }
        running = true;
        stopped = false;
        start.setDisable(true);
        shown(reveal, false);
        shown(throwAway, false);
        cancel.setText("Cancel");
        bar.setProgress(0);
        bar.setVisible(true);
        word.setText("Beginning");
        sheets.onAway(() -> stopped = true);
        Threads.start("ivrik-export", () -> work(orders));
    }

    private void work(List<Export.Order> orders) {
        long began = System.nanoTime();
        long frames = orders.stream().mapToLong(o -> o.range().length()).sum();
        String end;
        boolean done = false;
        boolean exists = false;
        try {
            List<String> words =
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
                    "Done: "
                            + orders.stream()
                                    .map(o -> o.out().toString())
                                    .collect(Collectors.joining(", "))
                            + ", "
                            + frames
                            + (frames == 1 ? " frame" : " frames")
                            + words.stream()
                                    .map(w -> ".\nNote: " + w)
                                    .collect(Collectors.joining());
            done = true;
        } catch (CancelledException e) {
            end = cancelled(orders);
        } catch (TargetExistsException e) {
            end = e.getMessage() + ". Replace it, or choose another name.";
            exists = true;
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.error("export", e);
            end = "Could not: " + Fault.why(e);
        }
        String said = end;
        boolean finished = done;
        boolean ask = exists;
        boolean kept = orders.getFirst().form().isMovie() && isBrokenOff(orders);
        Platform.runLater(
                () -> {
                    ended(said, finished);
                    shown(throwAway, kept);
                    throwAway.setOnAction(e -> throwAway(orders));
                    reveal.setOnAction(e -> around.reveal(orders.getFirst().out()));
                    if (ask) {
                        mayReplace = true;
                        start.setText("Replace");
                    }
                });
    }

    /** What there is of an export that was cancelled: stills that are written stay where they are. */
    private static String cancelled(List<Export.Order> orders) {
        boolean goesOn = isBrokenOff(orders);
        if (!orders.getFirst().form().isMovie()) {
            return goesOn
                    ? "Cancelled; the frames already written stay. Export goes on from there."
                    : "Cancelled; nothing was written.";
        }
        return (orders.size() > 1
                        ? "Cancelled; what is whole stays."
                        : "Cancelled; nothing was written under that name.")
                + (goesOn ? " What is done is kept: Export goes on from there." : "");
    }

    private static boolean isBrokenOff(List<Export.Order> orders) {
        return orders.stream().anyMatch(o -> Export.isBrokenOff(o.out()));
    }

    private void progress(long done, long all, double seconds) {
        bar.setProgress((double) done / all);
        double left = seconds / done * (all - done);
        word.setText(
                String.format(
                        Locale.ROOT,
                        "%d of %d frames, %s left",
                        done,
                        all,
                        left < 60 ? Math.round(left) + " s" : Math.round(left / 60) + " min"));
    }

    private void ended(String said, boolean finished) {
        running = false;
        word.setText(said);
        start.setDisable(false);
        cancel.setText("Close");
        bar.setVisible(finished);
        shown(reveal, finished);
    }

    /** Of an export that was broken off. */
    private void throwAway(List<Export.Order> orders) {
        shown(throwAway, false);
        word.setText("What was done is thrown away.");
        Thread.ofVirtual().start(() -> orders.forEach(o -> Export.throwAway(o.out())));
    }

    private static void shown(Button button, boolean shown) {
        button.setVisible(shown);
        button.setManaged(shown);
    }
}
