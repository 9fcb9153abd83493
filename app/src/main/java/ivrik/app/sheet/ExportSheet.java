package ivrik.app.sheet;

import ivrik.core.IvrikException;
import ivrik.core.picture.Size;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.project.Takes;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Workers;
import ivrik.media.TargetExistsException;
import ivrik.media.encode.Export;
import ivrik.media.encode.Form;
import ivrik.media.encode.Forms;
import ivrik.media.encode.Odd;
import ivrik.media.encode.OutputFiles;
import ivrik.media.encode.OutputName;
import ivrik.media.encode.Preset;
import ivrik.media.encode.Quality;
import ivrik.media.encode.Sampling;
import ivrik.media.encode.TakeExport;

import javafx.application.Platform;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.stream.Collectors;

/** Export: what form, how good, which frames, how large, where to; then how far it is. */
public final class ExportSheet extends VBox {
    private static final Logger LOG = LoggerFactory.getLogger(ExportSheet.class);
    private static final List<Double> SCALES = List.of(1.0, 0.5, 0.25, 2.0);

    private final Project project;
    private final List<Path> kept;
    private final List<Takes.OfLayer> picked;
    private final Sheets sheets;
    private final Around around;
    private final ChoiceBox<Form> form = new ChoiceBox<>();
    private final ChoiceBox<Quality> quality = new ChoiceBox<>();
    private final ChoiceBox<Sampling> sampling = new ChoiceBox<>();
    private final ChoiceBox<Odd> odd = new ChoiceBox<>();
    private final CheckBox sound = new CheckBox("with sound");
    private final ChoiceBox<Double> scale = new ChoiceBox<>();
    private final CheckBox dither = new CheckBox("dither to 8 bit");
    private final CheckBox each = new CheckBox();
    private final TextField from = new TextField();
    private final TextField to = new TextField();
    private final TextField target = new TextField();
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

        /** Shows a finished file in its folder. */
        void reveal(Path file);
    }

    /**
     * @param kept files besides the project's media that must not be written over
     * @param target where to, without an ending
     */
    public ExportSheet(
            Project project, List<Path> kept, Path target, Sheets sheets, Around around) {
        this.project = project;
        this.kept = kept;
        this.sheets = sheets;
        this.around = around;
        fill(form, Forms.all(), Form::title, Forms.AV1, f -> formChosen());
        fill(quality, List.of(Quality.values()), Quality::title, Quality.GOOD, q -> {});
        fill(sampling, List.of(Sampling.values()), Sampling::title, Sampling.QUARTER, s -> {});
        fill(odd, List.of(Odd.values()), Odd::word, Odd.PAD, o -> {});
        fill(scale, SCALES, this::sizeWord, 1.0, s -> {});
        picked = Takes.picked(project);
        each.setId("export-takes");
        each.setText("each picked take in a file of its own (" + picked.size() + ")");
        each.selectedProperty().addListener((o, a, b) -> name(b));
        FrameRange range = project.played();
        from.setText(Long.toString(range.first()));
        to.setText(Long.toString(range.last()));
        this.target.setText(target.toString());
        this.target.setId("export-target");
        this.target.textProperty().addListener((o, a, b) -> askBeforeReplacing());
        form.setId("export-form");
        start.setId("export-start");
        cancel.setId("export-cancel");
        word.setId("export-word");
        from.setId("export-from");
        to.setId("export-to");
        formChosen();
        Button choose = new Button("Choose...");
        choose.setOnAction(
                e -> {
                    Path chosen = around.choose(form.getValue());
                    if (chosen != null) {
                        this.target.setText(chosen.toString());
                    }
                });
        shown(reveal, false);
        throwAway.setId("export-throw-away");
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
        lay(choose);
    }

    private void lay(Button choose) {
        Label head = new Label("Export " + project.name());
        head.getStyleClass().add("title");
        GridPane grid = new GridPane(12, 10);
        HBox.setHgrow(target, Priority.ALWAYS);
        from.setPrefColumnCount(6);
        to.setPrefColumnCount(6);
        HBox frames =
                new HBox(
                        8,
                        from,
                        new Label("to"),
                        to,
                        new Label("of 0 to " + project.allFrames().last()));
        frames.setAlignment(Pos.CENTER_LEFT);
        ColumnConstraints words = new ColumnConstraints();
        words.setMinWidth(Region.USE_PREF_SIZE);
        grid.getColumnConstraints().add(words);
        HBox presets = new HBox(2);
        for (Preset each : Preset.values()) {
            presets.getChildren().add(button(each));
        }
        grid.addRow(0, quiet("What for"), presets);
        grid.addRow(1, quiet("Form"), form);
        grid.addRow(2, quiet("Quality"), quality);
        sampling.setId("export-sampling");
        sampling.setTooltip(
                new Tooltip(
                        "Most movies keep colour at a quarter of the pixels; lanes that lie a few"
                                + " pixels apart lose by that"));
        odd.setId("export-odd");
        odd.setTooltip(new Tooltip("Some forms have only even widths and heights"));
        sound.setSelected(true);
        grid.addRow(3, quiet("Colour"), sampling);
        grid.addRow(4, quiet("Frames"), frames);
        dither.setId("export-dither");
        dither.setTooltip(
                new Tooltip(
                        "Keeps smooth changes from leaving in bands; what is not changed is never"
                                + " touched"));
        HBox size = new HBox(16, scale, dither, sound);
        size.setAlignment(Pos.CENTER_LEFT);
        grid.addRow(5, quiet("Size"), size);
        grid.addRow(6, quiet("Odd sizes"), odd);
        grid.addRow(7, quiet("To"), new HBox(8, target, choose));
        if (!picked.isEmpty()) {
            grid.addRow(8, quiet("Takes"), each);
        }
        GridPane.setHgrow(target.getParent(), Priority.ALWAYS);
        bar.setMaxWidth(Double.MAX_VALUE);
        bar.setVisible(false);
        word.setWrapText(true);
        word.setMinHeight(18);
        HBox buttons = new HBox(8, reveal, throwAway, cancel, start);
        buttons.setAlignment(Pos.CENTER_RIGHT);
        getChildren().addAll(head, grid, bar, word, buttons);
        setMaxWidth(680);
    }

    /** Sets all choices of what the pictures leave for; each can be changed afterwards. */
    private Button button(Preset preset) {
        Button button = new Button(preset.title());
        button.getStyleClass().add("plain");
        button.setId("export-for-" + preset.id());
        button.setTooltip(new Tooltip(preset.form().title()));
        button.setOnAction(
                e -> {
                    form.setValue(preset.form());
                    quality.setValue(preset.quality());
                    scale.setValue(preset.scale());
                });
        return button;
    }

    public Button startButton() {
        return start;
    }

    private String sizeWord(double s) {
        Size size = project.sequence().size().scaled(s);
        return size.width() + " x " + size.height() + (s == 1 ? ", full size" : "");
    }

    private static <T> void fill(
            ChoiceBox<T> box, List<T> all, Function<T, String> title, T first, Consumer<T> chosen) {
        box.setItems(FXCollections.observableArrayList(all));
        box.setConverter(
                new StringConverter<>() {
                    @Override
                    public String toString(T t) {
                        return t == null ? "" : title.apply(t);
                    }

                    @Override
                    public T fromString(String s) {
                        throw new UnsupportedOperationException();
                    }
                });
        box.setValue(first);
        box.setPrefWidth(280);
        box.valueProperty().addListener((o, a, b) -> chosen.accept(b));
    }

    private static Label quiet(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("quiet");
        return label;
    }

    private void formChosen() {
        quality.setDisable(!form.getValue().hasQuality());
        sampling.getItems().setAll(form.getValue().samplings());
        sampling.setValue(form.getValue().samplings().getFirst());
        sampling.setDisable(form.getValue().samplings().size() < 2);
        odd.setDisable(!form.getValue().isMovie());
        sound.setDisable(!form.getValue().keepsSound());
        String name = target.getText().replaceAll("(-%04d)?\\.[A-Za-z0-9]+$", "");
        String number = form.getValue().isMovie() ? "" : "-%04d";
        Path wanted = Path.of(name + number + form.getValue().ending());
        target.setText(OutputFiles.free(wanted).toString());
    }

    /** The place of the takes' names in the target, or none. */
    private void name(boolean ofTakes) {
        String plain = target.getText().replace("-" + OutputName.TAKE, "");
        target.setText(
                ofTakes
                        ? plain.replaceFirst(
                                "((-%0\\d+d)?\\.[^./\\\\]*)$",
                                "-" + Matcher.quoteReplacement(OutputName.TAKE) + "$1")
                        : plain);
    }

    /** Another name: whether it may be replaced is not settled yet. */
    private void askBeforeReplacing() {
        mayReplace = false;
        start.setText("Export");
    }

    private void start() {
        FrameRange range;
        try {
            range =
                    new FrameRange(
                            Long.parseLong(from.getText().strip()),
                            Long.parseLong(to.getText().strip()));
        } catch (IllegalArgumentException e) {
            word.setText("The frames must be two numbers, the second no smaller than the first.");
            return;
        }
        var order =
                Export.Order.of(project, Path.of(target.getText()), form.getValue())
                        .withRange(range.within(project.allFrames()))
                        .withQuality(quality.getValue())
                        .withSampling(sampling.getValue())
                        .withScale(scale.getValue())
                        .withOdd(odd.getValue())
                        .withSound(sound.isSelected())
                        .withDither(dither.isSelected())
                        .withOverwrite(mayReplace)
                        .withKept(kept);
        List<Export.Order> orders;
        try {
            orders = each.isSelected() ? TakeExport.orders(order, picked) : List.of(order);
        } catch (IvrikException e) {
            word.setText("Could not: " + e.oneLine());
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
        Thread.ofPlatform().name("ivrik-export").daemon().start(() -> work(orders));
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
        } catch (IvrikException e) {
            LOG.warn("export", e);
            end = "Could not: " + e.oneLine();
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.error("export", e);
            end = "Something went wrong inside Ivrik (" + e.getMessage() + "); the log says more.";
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
