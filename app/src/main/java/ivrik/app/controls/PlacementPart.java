package ivrik.app.controls;

import static ivrik.app.widget.Controls.choice;
import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;
import static ivrik.app.widget.Controls.text;

import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.look.Placement;
import ivrik.core.look.Placement.Fit;
import ivrik.core.treatment.Parameter;

import javafx.scene.control.MenuButton;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** Controls of a placement: fit, position, scale, angle, flips. */
final class PlacementPart extends VBox {
    private static final double PER_CENT = 100;

    private final View view;
    private final Editor editor;
    private final String prefix;
    private final List<Consumer<Placement>> showers = new ArrayList<>();

    /** Edits the placement in a named undo step. */
    interface Editor {
        void edit(String name, UnaryOperator<Placement> change);
    }

    /**
     * @param prefix prefix of the control ids
     * @param made receives the field of each number
     */
    PlacementPart(
            String prefix, View view, Editor editor, BiConsumer<Placement.Part, NumberField> made) {
        super(6);
        this.prefix = prefix;
        this.view = view;
        this.editor = editor;
        MenuButton fit =
                choice(
                        "Size at 100 %. Fit: whole picture visible. Fill: sequence covered."
                                + " Original size: one source pixel per sequence pixel",
                        Fit.values(), to -> editor.edit("Fit: " + text(to), p -> p.withFit(to)));
        fit.setId(prefix + "-fit");
        showers.add(p -> Controls.show(fit, p.fit(), text(p.fit())));
        Map<String, NumberField> fields = new HashMap<>();
        for (Placement.Part part : Placement.PARTS) {
            NumberField field = field(part);
            made.accept(part, field);
            fields.put(part.name(), field);
        }
        HBox pivot = new HBox(4, fields.get("pivot-x"), fields.get("pivot-y"));
        getChildren()
                .addAll(
                        row(quiet("Fit"), fit, quiet("Size"), fields.get("scale")),
                        row(quiet("x"), fields.get("x"), quiet("y"), fields.get("y")),
                        row(quiet("Angle"), fields.get("angle"), quiet("pivot"), pivot),
                        row(
                                flip("flip-x", "flip x", "Flips left and right", true),
                                flip("flip-y", "flip y", "Flips top and bottom", false)));
    }

    private NumberField field(Placement.Part part) {
        Parameter range = part.range();
        boolean scale = part.name().equals("scale");
        double times = scale ? PER_CENT : 1;
        String unit = scale ? "%" : range.unit();
        NumberField field =
                new NumberField(
                        new NumberField.Spec(
                                unit,
                                times * range.min(),
                                times * range.max(),
                                times * range.rest(),
                                scale ? 5 : 1,
                                1,
                                range.min() < 0),
                        help(part) + ", in " + unit,
                        to ->
                                editor.edit(
                                        "Placement: " + range.title(),
                                        p -> with(p, part, to / times)));
        field.setId(prefix + "-" + part.name());
        showers.add(p -> field.show(times * part.value().apply(p).at(view.frame.get())));
        return field;
    }

    private Placement with(Placement place, Placement.Part part, double to) {
        return part.with().apply(place, part.value().apply(place).set(view.frame.get(), to));
    }

    private static String help(Placement.Part part) {
        return part.name().startsWith("pivot")
                ? "Pivot of scaling and rotation, measured from the centre"
                : part.range().title() + " of the picture";
    }

    private ToggleButton flip(String id, String title, String help, boolean across) {
        ToggleButton button = new ToggleButton(title);
        button.getStyleClass().add("plain");
        button.setId(prefix + "-" + id);
        button.setTooltip(new Tooltip(help));
        button.setOnAction(
                e ->
                        editor.edit(
                                "Flip",
                                p ->
                                        across
                                                ? p.withFlips(!p.flipX(), p.flipY())
                                                : p.withFlips(p.flipX(), !p.flipY())));
        showers.add(p -> button.setSelected(across ? p.flipX() : p.flipY()));
        return button;
    }

    void show(Placement place) {
        showers.forEach(s -> s.accept(place));
    }
}
