package ivrik.app.sheet;

import ivrik.app.control.Controls;
import ivrik.core.UnknownNameException;
import ivrik.core.picture.Size;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.project.Takes;
import ivrik.media.encode.Export.Order;
import ivrik.media.encode.Form;
import ivrik.media.encode.Forms;
import ivrik.media.encode.Odd;
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

/** What is exported and how: form, quality, frames, size, and where to. The form sets the ending, the ending the form. */
final class ExportChoices extends GridPane {
    private static final List<Double> SCALES = List.of(1.0, 0.5, 0.25, 2.0);

    private final Project project;
    private final List<Takes.OfLayer> picked;
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
    private int row;

    /**
     * @param target where to, without an ending
     */
    ExportChoices(Project project, Path target, ExportSheet.Around around) {
        super(12, 10);
        this.project = project;
        picked = Takes.picked(project);
        fill(form, Forms.all(), Form::title, Forms.AV1, f -> formChosen());
        fill(quality, List.of(Quality.values()), Quality::title, Quality.GOOD, q -> {});
        fill(sampling, List.of(Sampling.values()), Sampling::title, Sampling.QUARTER, s -> {});
        fill(odd, List.of(Odd.values()), Odd::word, Odd.PAD, o -> {});
        fill(scale, SCALES, this::sizeWord, 1.0, s -> {});
        each.setText("each picked take in a file of its own (" + picked.size() + ")");
        each.selectedProperty().addListener((o, a, b) -> name(b));
        show(project.played());
        sound.setSelected(true);
        this.target.setText(target.toString());
        this.target.textProperty().addListener((o, a, b) -> endingTyped(b));
        name(form, "form", "The kind of file; the ending of the name follows it");
        name(
                sampling,
                "sampling",
                "Most movies keep colour at a quarter of the pixels; lanes that lie a few pixels"
                        + " apart lose by that");
        name(odd, "odd", "Some forms have only even widths and heights");
        name(
                dither,
                "dither",
                "Keeps smooth changes from leaving in bands; what is not changed is never touched");
        name(each, "takes", "The name of each take comes where {take} stands in the file's name");
        name(from, "from", "The first frame, counted from 0");
        name(to, "to", "The last frame, which is written too");
        name(
                this.target,
                "target",
                "The file that is written; %04d stands for the number of each picture");
        name(quality, "quality", "How much the file may lose to be smaller");
        name(scale, "size", "Of the pictures, in pixels");
        name(sound, "sound", "The sound of the shots goes along");
        formChosen();
        lay(around);
    }

    private static void name(javafx.scene.control.Control control, String id, String help) {
        control.setId("export-" + id);
        Controls.explain(control, help);
    }

    private void lay(ExportSheet.Around around) {
        Button choose =
                Controls.button(
                        "export-choose",
                        "Choose...",
                        "Asks for a place and a name",
                        () -> {
                            Path chosen = around.choose(form.getValue());
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
        line("What for", presets);
        line("Form", form);
        line("Quality", quality);
        line("Colour", sampling);
        line(
                "Frames",
                beside(
                        8,
                        from,
                        new Label("to"),
                        to,
                        new Label("of 0 to " + project.allFrames().last())));
        line("Size", beside(16, scale, dither, sound));
        line("Odd sizes", odd);
        line("To", new HBox(8, target, choose));
        GridPane.setHgrow(target.getParent(), Priority.ALWAYS);
        if (!picked.isEmpty()) {
            line("Takes", each);
        }
    }

    private void line(String word, Node control) {
        Label label = new Label(word);
        label.getStyleClass().add("quiet");
        addRow(row++, label, control);
    }

    private static HBox beside(double gap, Node... nodes) {
        HBox box = new HBox(gap, nodes);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    /** Sets all choices of what the pictures leave for; each can be changed afterwards. */
    private Button button(Preset preset) {
        Button button = new Button(preset.title());
        button.getStyleClass().add("plain");
        button.setId("export-for-" + preset.id());
        button.setTooltip(new Tooltip(preset.form().title()));
        button.setOnAction(e -> choose(preset));
        return button;
    }

    void choose(Preset preset) {
        form.setValue(preset.form());
        quality.setValue(preset.quality());
        scale.setValue(preset.scale());
    }

    void choose(Form other) {
        form.setValue(other);
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

    private void show(FrameRange range) {
        from.setText(Long.toString(range.first()));
        to.setText(Long.toString(range.last()));
    }

    private void formChosen() {
        Form now = form.getValue();
        quality.setDisable(!now.hasQuality());
        sampling.getItems().setAll(now.samplings());
        sampling.setValue(now.samplings().getFirst());
        sampling.setDisable(now.samplings().size() < 2);
        odd.setDisable(!now.isMovie());
        sound.setDisable(!now.keepsSound());
        String ended = target.getText();
        if (!ended.endsWith(now.ending())) {
            String name = ended.replaceAll("(-%0\\d+d)?\\.[A-Za-z0-9]+$", "");
            String number = now.isMovie() ? "" : "-%04d";
            target.setText(OutputFiles.free(Path.of(name + number + now.ending())).toString());
        }
    }

    /** An ending that another form has asks for that. */
    private void endingTyped(String name) {
        if (name.endsWith(form.getValue().ending()) || name.isBlank()) {
            return;
        }
        try {
            form.setValue(Forms.of(Path.of(name)));
        } catch (UnknownNameException | java.nio.file.InvalidPathException e) {
            return; // not yet the ending of any
        }
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

    /** Where to, as it is typed. */
    StringProperty targetProperty() {
        return target.textProperty();
    }

    /** The same choices as were made before, but for where to. */
    void choose(Order before) {
        form.setValue(before.form());
        quality.setValue(before.quality());
        sampling.setValue(before.sampling());
        scale.setValue(before.scale());
        odd.setValue(before.odd());
        dither.setSelected(before.dither());
        sound.setSelected(before.sound());
        show(before.range().within(project.allFrames()));
    }

    /**
     * What is to be written as it is chosen now.
     *
     * @throws IllegalArgumentException if the frames are no two numbers, the second no smaller than the first
     */
    Order order() {
        FrameRange range =
                new FrameRange(
                        Long.parseLong(from.getText().strip()),
                        Long.parseLong(to.getText().strip()));
        return Order.of(project, Path.of(target.getText()), form.getValue())
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

    /** An order, or one for each take that is picked. */
    List<Order> orders(Order order) {
        return each.isSelected() ? TakeExport.orders(order, picked) : List.of(order);
    }
}
