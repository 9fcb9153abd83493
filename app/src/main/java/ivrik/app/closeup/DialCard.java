package ivrik.app.closeup;

import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.Controls;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.Aimed;
import ivrik.app.shape.LookNumber;
import ivrik.app.theme.Palette;
import ivrik.core.look.Dial;
import ivrik.core.look.Dial.Bend;
import ivrik.core.look.Dial.Link;
import ivrik.core.look.Dialling;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.motion.Ease;

import javafx.beans.property.ObjectProperty;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** One dial, large: its name, where it stands, and what it drives, how far and along which curve. */
final class DialCard extends VBox {
    private final Session session;
    private final View view;
    private final Dial dial;
    private final Look look;
    private final List<Consumer<State>> showers;

    DialCard(
            Session session,
            View view,
            ObjectProperty<Palette> palette,
            Dial dial,
            Look look,
            List<Consumer<State>> showers) {
        super(2);
        this.session = session;
        this.view = view;
        this.dial = dial;
        this.look = look;
        this.showers = showers;
        getStyleClass().add("dial-card");
        getChildren().add(row(title(), value()));
        if (dial.words().isEmpty()) {
            getChildren().add(new DialRuler(session, view, palette, dial));
        }
        getChildren().add(drives());
    }

    private void edit(String what, UnaryOperator<Dial> change) {
        session.editLook(what, l -> Dialling.with(l, dial.name(), change));
    }

    private MenuButton title() {
        MenuButton title =
                Controls.menu(
                        "dial-menu-" + dial.name(),
                        "Its name and range. On the command line it is " + dial.name(),
                        this::more);
        title.setText(dial.title());
        title.getStyleClass().addAll("bare", "heading");
        return title;
    }

    private List<MenuItem> more() {
        TextField name = new TextField(dial.title());
        name.setId("dial-title");
        MenuItem named = new javafx.scene.control.CustomMenuItem(name, false);
        name.setOnAction(
                e -> {
                    String to = name.getText().strip();
                    if (!to.isEmpty()) {
                        edit("Name of the dial", d -> d.withTitle(to));
                    }
                    named.getParentPopup().hide();
                });
        return List.of(
                named,
                Controls.item("Half as far", () -> edit("Range of the dial", d -> ranged(d, 0.5))),
                Controls.item("Twice as far", () -> edit("Range of the dial", d -> ranged(d, 2))),
                Controls.item(
                        "Begin here",
                        () ->
                                edit(
                                        "Range of the dial",
                                        d ->
                                                d.withMin(
                                                        Math.min(
                                                                d.value().at(view.frame.get()),
                                                                d.rest())))),
                Controls.item(
                        "Take the dial away",
                        () ->
                                session.editLook(
                                        "Take away the dial " + dial.title(),
                                        l -> Dialling.without(l, dial.name()))));
    }

    /** With a range so many times as wide about rest, and all that it may be set to within it. */
    private static Dial ranged(Dial dial, double times) {
        double min = dial.rest() + (dial.min() - dial.rest()) * times;
        double max = dial.rest() + (dial.max() - dial.rest()) * times;
        return dial.withMin(min)
                .withMax(max)
                .withValue(dial.value().map(v -> Math.clamp(v, min, max)));
    }

    private Region value() {
        return DialsPart.field(session, view, dial, "dial-" + dial.name(), showers);
    }

    /** What it drives: a row each. */
    private GridPane drives() {
        GridPane grid = new GridPane(6, 1);
        ColumnConstraints titles = new ColumnConstraints();
        titles.setHgrow(Priority.ALWAYS);
        titles.setMinWidth(40);
        grid.getColumnConstraints().add(titles);
        int row = 0;
        for (Link link : dial.links()) {
            String name = Aimed.title(look, link.target(), true);
            Label title = quiet(name);
            title.setMinWidth(0);
            title.setTooltip(new Tooltip(name));
            grid.add(title, 0, row);
            NumberField share = share(link.target(), name, row);
            GridPane.setHalignment(share, HPos.RIGHT);
            grid.add(share, 1, row);
            grid.add(bend(link, row), 2, row);
            row++;
        }
        return grid;
    }

    private NumberField share(Target target, String name, int row) {
        NumberField field =
                LookNumber.field(
                        "dial-share-" + dial.name() + "-" + row,
                        new NumberField.Spec("", -1e6, 1e6, 1, 0.1, 3, true),
                        "What is added to " + name + " for each " + unit() + " of the dial",
                        session,
                        "Share of the dial " + dial.title(),
                        to ->
                                l ->
                                        Dialling.withLink(
                                                l, dial.name(), target, k -> k.withPerUnit(to)));
        showers.add(s -> link(s, target).ifPresent(l -> field.show(l.perUnit())));
        return field;
    }

    private String unit() {
        return dial.unit().isEmpty() ? "unit" : dial.unit();
    }

    private Optional<Link> link(State state, Target target) {
        return state.look().stream()
                .flatMap(l -> l.dials().stream())
                .filter(d -> d.name().equals(dial.name()))
                .flatMap(d -> d.links().stream())
                .filter(l -> l.target().equals(target))
                .findFirst();
    }

    private MenuButton bend(Link link, int row) {
        MenuButton bend =
                Controls.menu(
                        "dial-bend-" + dial.name() + "-" + row,
                        "Along which curve, on which part of the dial",
                        () -> bends(link.target()));
        bend.getStyleClass().addAll("tight", "bare");
        bend.setMinWidth(USE_PREF_SIZE);
        bend.setText(word(link.bend()));
        return bend;
    }

    private static String word(Bend bend) {
        return bend == null
                ? "even"
                : String.format(java.util.Locale.ROOT, "%.4g to %.4g", bend.from(), bend.to());
    }

    private List<MenuItem> bends(Target target) {
        double rest = dial.rest();
        double far = dial.max() > rest ? dial.max() : dial.min();
        double middle = (rest + far) / 2;
        return List.of(
                bend("Evenly, all of the way", target, null),
                bend("Gently, from its default to the end", target, part(rest, far, Ease.SMOOTH)),
                bend(
                        "Slowly first, from its default to the end",
                        target,
                        part(rest, far, new Ease.Eased(0.5, 0, 1, 1))),
                bend("On the first half", target, part(rest, middle, Ease.LINEAR)),
                bend("On the second half", target, part(middle, far, Ease.LINEAR)),
                Controls.item(
                        "Take it off the dial",
                        () ->
                                session.editLook(
                                        "Off the dial " + dial.title(),
                                        l -> Dialling.off(l, dial.name(), target))));
    }

    private static Bend part(double a, double b, Ease ease) {
        return new Bend(Math.min(a, b), Math.max(Math.max(a, b), Math.min(a, b) + 1e-9), ease);
    }

    private MenuItem bend(String title, Target target, Bend bend) {
        return Controls.item(
                title,
                () ->
                        session.editLook(
                                "Curve of the dial " + dial.title(),
                                l ->
                                        Dialling.withLink(
                                                l, dial.name(), target, k -> k.withBend(bend))));
    }
}
