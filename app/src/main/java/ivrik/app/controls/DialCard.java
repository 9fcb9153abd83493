package ivrik.app.controls;

import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.LookNumber;
import ivrik.app.shape.TargetedFields;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.look.Dial;
import ivrik.core.look.Dial.Link;
import ivrik.core.look.Dial.Response;
import ivrik.core.look.DialEdits;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.motion.Ease;

import javafx.beans.property.ObjectProperty;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** A dial in detail: name, value, and its links with their shares and responses. */
final class DialCard extends VBox {
    /** Largest number of driven values that are listed without being asked for. */
    private static final int SHOWN = 3;

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
        if (dial.choices().isEmpty()) {
            getChildren().add(new DialRuler(session, view, palette, dial));
        }
        if (dial.links().size() > SHOWN) {
            getChildren().add(folded());
        } else {
            getChildren().add(drives());
        }
    }

    /** The number of driven values, which opens the list of these. */
    private VBox folded() {
        ToggleButton open =
                Controls.toggle(
                        "dial-values-" + dial.name(),
                        dial.links().size() + " values",
                        "Shows the values that the dial drives, with their shares and responses");
        VBox values = new VBox(2, open);
        Runnable show =
                () -> {
                    if (open.isSelected() && values.getChildren().size() == 1) {
                        values.getChildren().add(drives());
                        showers.forEach(s -> s.accept(session.state()));
                    }
                    Node last = values.getChildren().getLast();
                    last.setVisible(open.isSelected() || last == open);
                    last.setManaged(last.isVisible());
                };
        open.setSelected(view.openDials.contains(dial.name()));
        open.setOnAction(
                e -> {
                    if (open.isSelected()) {
                        view.openDials.add(dial.name());
                    } else {
                        view.openDials.remove(dial.name());
                    }
                    show.run();
                });
        show.run();
        return values;
    }

    private void edit(String what, UnaryOperator<Dial> change) {
        session.editLook(what, l -> DialEdits.with(l, dial.name(), change));
    }

    private MenuButton title() {
        MenuButton title =
                Controls.menu(
                        "dial-menu-" + dial.name(),
                        "Name and range of the dial. On the command line: " + dial.name(),
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
                        edit("Rename dial", d -> d.withTitle(to));
                    }
                    named.getParentPopup().hide();
                });
        return List.of(
                named,
                Controls.item("Halve range", () -> edit("Range of the dial", d -> ranged(d, 0.5))),
                Controls.item("Double range", () -> edit("Range of the dial", d -> ranged(d, 2))),
                Controls.item(
                        "Set current value as default",
                        () ->
                                edit(
                                        "Range of the dial",
                                        d ->
                                                d.withMin(
                                                        Math.min(
                                                                d.value().at(view.frame.get()),
                                                                d.rest())))),
                new SeparatorMenuItem(),
                Controls.item(
                        "Delete dial",
                        () ->
                                session.editLook(
                                        "Delete dial " + dial.title(),
                                        l -> DialEdits.without(l, dial.name()))));
    }

    /** A dial with its range scaled about rest, and all values within it. */
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

    /** One row per link. */
    private GridPane drives() {
        GridPane grid = new GridPane(6, 1);
        ColumnConstraints titles = new ColumnConstraints();
        titles.setHgrow(Priority.ALWAYS);
        titles.setMinWidth(40);
        grid.getColumnConstraints().add(titles);
        int row = 0;
        for (Link link : dial.links()) {
            String name = TargetedFields.title(look, link.target(), true);
            Label title = quiet(name);
            title.setMinWidth(0);
            title.setWrapText(true);
            grid.add(title, 0, row);
            NumberField share = share(link.target(), name, row);
            GridPane.setHalignment(share, HPos.RIGHT);
            grid.add(share, 1, row);
            grid.add(response(link, row), 2, row);
            row++;
        }
        return grid;
    }

    private NumberField share(Target target, String name, int row) {
        NumberField field =
                LookNumber.field(
                        "dial-share-" + dial.name() + "-" + row,
                        new NumberField.Spec("", -1e6, 1e6, 1, 0.1, 3, true),
                        "Amount added to " + name + " per " + unit() + " of the dial",
                        session,
                        "Change amount of dial " + dial.title(),
                        to ->
                                l ->
                                        DialEdits.withLink(
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

    private MenuButton response(Link link, int row) {
        MenuButton response =
                Controls.menu(
                        "dial-bend-" + dial.name() + "-" + row,
                        "Response curve, and the part of the dial's range that has effect",
                        () -> responses(link.target()));
        response.getStyleClass().addAll("tight", "bare");
        response.setMinWidth(USE_PREF_SIZE);
        Controls.show(response, Optional.ofNullable(link.response()), title(link.response()));
        return response;
    }

    private static String title(Response response) {
        return response == null
                ? "linear"
                : String.format(
                        java.util.Locale.ROOT, "%.4g to %.4g", response.from(), response.to());
    }

    private List<MenuItem> responses(Target target) {
        double rest = dial.rest();
        double far = dial.max() > rest ? dial.max() : dial.min();
        double middle = (rest + far) / 2;
        return List.of(
                response("Linear, whole range", target, null),
                response(
                        "Ease in and out, from default to end",
                        target,
                        part(rest, far, Ease.SMOOTH)),
                response(
                        "Ease in, from default to end",
                        target,
                        part(rest, far, new Ease.Eased(0.5, 0, 1, 1))),
                response("First half of the range only", target, part(rest, middle, Ease.LINEAR)),
                response("Second half of the range only", target, part(middle, far, Ease.LINEAR)),
                new SeparatorMenuItem(),
                Controls.item(
                        "Remove from dial",
                        () ->
                                session.editLook(
                                        "Remove from dial " + dial.title(),
                                        l -> DialEdits.off(l, dial.name(), target))));
    }

    private static Response part(double a, double b, Ease ease) {
        return new Response(Math.min(a, b), Math.max(Math.max(a, b), Math.min(a, b) + 1e-9), ease);
    }

    private MenuItem response(String title, Target target, Response response) {
        return Controls.item(
                Optional.ofNullable(response),
                title,
                () ->
                        session.editLook(
                                "Response of dial " + dial.title(),
                                l ->
                                        DialEdits.withLink(
                                                l,
                                                dial.name(),
                                                target,
                                                k -> k.withResponse(response))));
    }
}
