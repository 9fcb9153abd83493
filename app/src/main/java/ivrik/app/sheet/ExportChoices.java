package ivrik.app.sheet;

import ivrik.app.widget.Controls;
import ivrik.core.UnknownNameException;
import ivrik.core.picture.Size;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.project.Takes;
import ivrik.media.encode.Export.Order;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.OddSizes;
import ivrik.media.encode.OutputFiles;
import ivrik.media.encode.OutputName;
import ivrik.media.encode.Preset;
import ivrik.media.encode.Quality;
import ivrik.media.encode.Sampling;
import ivrik.media.encode.TakeExport;

import javafx.beans.property.StringProperty;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.StringConverter;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.regex.Matcher;

/**
 * Export settings: format, quality, frames, size and target. The format determines the extension, and vice
 * versa.
 */
final class ExportChoices extends GridPane {
    private static final List<Double> SCALES = List.of(1.0, 0.5, 0.25, 2.0);

    private final Project project;
    private final long frame;
    private final List<Takes.OfLayer> marked;
    private final ChoiceBox<ExportFormat> format = new ChoiceBox<>();
    private final ChoiceBox<Quality> quality = new ChoiceBox<>();
    private final ChoiceBox<Sampling> sampling = new ChoiceBox<>();
    private final ChoiceBox<OddSizes> odd = new ChoiceBox<>();
    private final CheckBox sound = new CheckBox("include sound");
    private final ChoiceBox<Double> scale = new ChoiceBox<>();
    private final CheckBox dither = new CheckBox("dither to 8 bits");
    private final CheckBox each = new CheckBox();
    private final TextField from = new TextField();
    private final TextField to = new TextField();
    private final TextField target = new TextField();
    private int row;

    /**
     * @param frame the present frame
     * @param target target without extension
     */
    ExportChoices(Project project, long frame, Path target, ExportSheet.Host around) {
        super(12, 10);
        this.project = project;
        this.frame = frame;
        marked = Takes.marked(project);
        fill(
                format,
                ExportFormats.all(),
                ExportFormat::title,
                ExportFormats.AV1,
                f -> formatChosen());
        fill(quality, List.of(Quality.values()), Quality::title, Quality.GOOD, q -> {});
        fill(sampling, List.of(Sampling.values()), Sampling::title, Sampling.QUARTER, s -> {});
        fill(odd, List.of(OddSizes.values()), OddSizes::title, OddSizes.PAD, o -> {});
        fill(scale, SCALES, this::sizeText, 1.0, s -> {});
        each.setText("one file per take marked for export (" + marked.size() + ")");
        each.selectedProperty().addListener((o, a, b) -> name(b));
        show(project.played());
        sound.setSelected(true);
        this.target.setText(target.toString());
        this.target.textProperty().addListener((o, a, b) -> endingTyped(b));
        name(format, "format", "File format. The file extension follows it");
        name(
                sampling,
                "sampling",
                "Chroma sampling. 4:2:0 stores colour for one pixel in four, which softens"
                        + " splits of a few pixels; 4:4:4 keeps them");
        name(odd, "odd", "Some formats need even widths and heights");
        name(
                dither,
                "dither",
                "Dither prevents banding in 8-bit files. Unchanged frames are not dithered");
        name(each, "takes", "{take} in the file name is replaced by the name of each take");
        name(from, "from", "First frame, counted from 0");
        name(to, "to", "Last frame, inclusive");
        name(this.target, "target", "File to write. %04d is replaced by the frame number");
        name(quality, "quality", "Quality against file size");
        name(scale, "size", "Image size, in px");
        name(sound, "sound", "Includes the sound of the shots");
        formatChosen();
        lay(around);
    }

    /** One PNG of the present frame. */
    void chooseFrame() {
        show(new FrameRange(frame, frame));
        format.setValue(ExportFormats.PNG);
        formatChosen();
    }

    private boolean isOneFrame() {
        return !from.getText().isBlank() && from.getText().strip().equals(to.getText().strip());
    }

    private static void name(javafx.scene.control.Control control, String id, String help) {
        control.setId("export-" + id);
        Controls.explain(control, help);
    }

    private void lay(ExportSheet.Host around) {
        Button choose =
                Controls.button(
                        "export-choose",
                        "Browse...",
                        "Opens a file dialog",
                        () -> {
                            Path chosen = around.choose(format.getValue());
                            if (chosen != null) {
                                target.setText(chosen.toString());
                            }
                        });
        HBox.setHgrow(target, Priority.ALWAYS);
        from.setPrefColumnCount(6);
        to.setPrefColumnCount(6);
        ColumnConstraints words = new ColumnConstraints();
        words.setMinWidth(Region.USE_PREF_SIZE);
        getColumnConstraints().add(words);
        HBox presets = new HBox(2);
        for (Preset preset : Preset.values()) {
            presets.getChildren().add(button(preset));
        }
        line("Preset", presets);
        line("Format", format);
        line("Quality", quality);
        line("Chroma sampling", sampling);
        line(
                "Frames",
                beside(
                        8,
                        from,
                        new Label("to"),
                        to,
                        new Label("available: 0 to " + project.allFrames().last())));
        line("Size", beside(16, scale, dither, sound));
        line("Odd sizes", odd);
        line("Save to", new HBox(8, target, choose));
        GridPane.setHgrow(target.getParent(), Priority.ALWAYS);
        if (!marked.isEmpty()) {
            line("Takes", each);
        }
    }

    private void line(String caption, Node control) {
        Label label = new Label(caption);
        label.getStyleClass().add("quiet");
        addRow(row++, label, control);
    }

    private static HBox beside(double gap, Node... nodes) {
        HBox box = new HBox(gap, nodes);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    /** A button that applies a preset; all settings can be changed afterwards. */
    private Button button(Preset preset) {
        Button button = new Button(preset.title());
        button.getStyleClass().add("plain");
        button.setId("export-for-" + preset.id());
        button.setTooltip(new Tooltip(preset.format().title()));
        button.setOnAction(e -> choose(preset));
        return button;
    }

    void choose(Preset preset) {
        format.setValue(preset.format());
        quality.setValue(preset.quality());
        scale.setValue(preset.scale());
    }

    void choose(ExportFormat other) {
        format.setValue(other);
    }

    private String sizeText(double s) {
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

    private void show(FrameRange range) {
        from.setText(Long.toString(range.first()));
        to.setText(Long.toString(range.last()));
    }

    private void formatChosen() {
        ExportFormat now = format.getValue();
        quality.setDisable(!now.hasQuality());
        sampling.getItems().setAll(now.samplings());
        sampling.setValue(now.samplings().getFirst());
        sampling.setDisable(now.samplings().size() < 2);
        odd.setDisable(!now.isMovie());
        sound.setDisable(!now.keepsSound());
        String ended = target.getText();
        if (!ended.endsWith(now.ending())) {
            String name = ended.replaceAll("(-%0\\d+d)?\\.[A-Za-z0-9]+$", "");
            String number = now.isMovie() || isOneFrame() ? "" : "-%04d";
            target.setText(OutputFiles.free(Path.of(name + number + now.ending())).toString());
        }
    }

    /** Selects the format of a typed extension. */
    private void endingTyped(String name) {
        if (name.endsWith(format.getValue().ending()) || name.isBlank()) {
            return;
        }
        try {
            ExportFormat typed = ExportFormats.of(Path.of(name));
            if (!typed.isMovie() && !name.contains("%")) {
                show(new FrameRange(frame, frame)); // the format holds one frame
            }
            format.setValue(typed);
        } catch (UnknownNameException | java.nio.file.InvalidPathException e) {
            return; // not a complete extension yet
        }
    }

    /** Inserts or removes the placeholder for take names. */
    private void name(boolean ofTakes) {
        String plain = target.getText().replace("-" + OutputName.TAKE, "");
        target.setText(
                ofTakes
                        ? plain.replaceFirst(
                                "((-%0\\d+d)?\\.[^./\\\\]*)$",
                                "-" + Matcher.quoteReplacement(OutputName.TAKE) + "$1")
                        : plain);
    }

    /** The typed target. */
    StringProperty targetProperty() {
        return target.textProperty();
    }

    /** Applies previous settings except the target. */
    void choose(Order before) {
        format.setValue(before.format());
        quality.setValue(before.quality());
        sampling.setValue(before.sampling());
        scale.setValue(before.scale());
        odd.setValue(before.odd());
        dither.setSelected(before.dither());
        sound.setSelected(before.sound());
        show(before.range().within(project.allFrames()));
    }

    /**
     * The export with the present settings.
     *
     * @throws IllegalArgumentException if the frames are not two numbers in ascending order
     */
    Order order() {
        FrameRange range =
                new FrameRange(
                        Long.parseLong(from.getText().strip()),
                        Long.parseLong(to.getText().strip()));
        return Order.of(project, Path.of(target.getText()), format.getValue())
                .with(
                        o ->
                                o.range(range.within(project.allFrames()))
                                        .quality(quality.getValue())
                                        .sampling(sampling.getValue())
                                        .scale(scale.getValue())
                                        .odd(odd.getValue())
                                        .sound(sound.isSelected())
                                        .dither(dither.isSelected()));
    }

    /** One export, or one per marked take. */
    List<Order> orders(Order order) {
        return each.isSelected() ? TakeExport.orders(order, marked) : List.of(order);
    }
}
