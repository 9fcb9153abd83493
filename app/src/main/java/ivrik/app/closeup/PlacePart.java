package ivrik.app.closeup;

import static ivrik.app.control.Controls.choice;
import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;
import static ivrik.app.control.Controls.word;

import ivrik.app.control.NumberField;
import ivrik.app.session.View;
import ivrik.core.look.Place;
import ivrik.core.look.Place.Fit;
import ivrik.core.motion.Value;

import javafx.scene.control.MenuButton;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** Where a picture lies: fit, place, size, angle, flips. */
final class PlacePart extends VBox {
    private static final double FAR_PX = 20_000;

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
     */
    PlacePart(String prefix, View view, Editor editor) {
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
        NumberField x = field("x", "px", -FAR_PX, FAR_PX, 0, 1, 1, Place::x, Place::withX);
        NumberField y = field("y", "px", -FAR_PX, FAR_PX, 0, 1, 1, Place::y, Place::withY);
        NumberField scale =
                field("scale", "%", 1, 2000, 100, 100, 5, Place::scale, Place::withScale);
        NumberField angle =
                field(
                        "angle",
                        "deg",
                        -3600,
                        3600,
                        0,
                        1,
                        1,
                        Place::angleDegrees,
                        Place::withAngleDegrees);
        getChildren()
                .addAll(
                        row(quiet("Fit"), fit, quiet("Size"), scale),
                        row(quiet("x"), x, quiet("y"), y),
                        row(
                                quiet("Angle"),
                                angle,
                                flip("flip x", "Left and right changed over", true),
                                flip("flip y", "Top and bottom changed over", false)));
    }

    private NumberField field(
            String name,
            String unit,
            double min,
            double max,
            double rest,
            double shownPerValue,
            double step,
            Function<Place, Value> get,
            BiFunction<Place, Value, Place> with) {
        NumberField field =
                new NumberField(
                        new NumberField.Spec(unit, min, max, rest, step, 1, min < 0),
                        name + " of the picture, in " + unit,
                        to ->
                                editor.edit(
                                        "Place: " + name,
                                        p ->
                                                with.apply(
                                                        p,
                                                        get.apply(p)
                                                                .set(
                                                                        view.frame.get(),
                                                                        to / shownPerValue))));
        field.setId(prefix + "-" + name);
        showers.add(p -> field.show(shownPerValue * get.apply(p).at(view.frame.get())));
        return field;
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
