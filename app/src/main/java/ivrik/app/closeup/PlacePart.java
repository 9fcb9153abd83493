package ivrik.app.closeup;

import static ivrik.app.control.Controls.choice;
import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;
import static ivrik.app.control.Controls.word;

import ivrik.app.control.NumberField;
import ivrik.app.session.View;
import ivrik.core.look.Place;
import ivrik.core.look.Place.Fit;
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

/** Where a picture lies: fit, place, size, angle, flips. */
final class PlacePart extends VBox {
    private static final double PER_CENT = 100;

    private final View view;
    private final Editor editor;
    private final String prefix;
    private final List<Consumer<Place>> showers = new ArrayList<>();

    /** Makes an edit of the place, by the name of the edit. */
    interface Editor {
        void edit(String name, UnaryOperator<Place> change);
    }

    /**
     * @param prefix of the controls' ids
     * @param made is given each number's field
     */
    PlacePart(String prefix, View view, Editor editor, BiConsumer<Place.Part, NumberField> made) {
        super(6);
        this.prefix = prefix;
        this.view = view;
        this.editor = editor;
        MenuButton fit =
                choice(
                        "How large the picture is at 100 %: all of it seen, the sequence filled, or"
                                + " pixel for pixel",
                        Fit.values(), to -> editor.edit("Fit: " + word(to), p -> p.withFit(to)));
        fit.setId(prefix + "-fit");
        showers.add(p -> fit.setText(word(p.fit())));
        Map<String, NumberField> fields = new HashMap<>();
        for (Place.Part part : Place.PARTS) {
            NumberField field = field(part);
            made.accept(part, field);
            fields.put(part.name(), field);
        }
        HBox pivot = new HBox(4, fields.get("pivot-x"), fields.get("pivot-y"));
        getChildren()
                .addAll(
                        row(quiet("Fit"), fit, quiet("Size"), fields.get("scale")),
                        row(quiet("x"), fields.get("x"), quiet("y"), fields.get("y")),
                        row(quiet("Angle"), fields.get("angle"), quiet("about"), pivot),
                        row(
                                flip("flip x", "Left and right changed over", true),
                                flip("flip y", "Top and bottom changed over", false)));
    }

    private NumberField field(Place.Part part) {
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
                                        "Place: " + range.title(), p -> with(p, part, to / times)));
        field.setId(prefix + "-" + part.name());
        showers.add(p -> field.show(times * part.value().apply(p).at(view.frame.get())));
        return field;
    }

    private Place with(Place place, Place.Part part, double to) {
        return part.with().apply(place, part.value().apply(place).set(view.frame.get(), to));
    }

    private static String help(Place.Part part) {
        return part.name().startsWith("pivot")
                ? "What stays in its place when the size or the angle changes, off the middle"
                : part.range().title() + " of the picture";
    }

    private ToggleButton flip(String title, String help, boolean across) {
        ToggleButton button = new ToggleButton(title);
        button.getStyleClass().add("plain");
        button.setId(prefix + "-" + title.replace(' ', '-'));
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

    void show(Place place) {
        showers.forEach(s -> s.accept(place));
    }
}
