package ivrik.app.desk;

import ivrik.app.control.Badge;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.look.LaneState;
import ivrik.core.look.Look;
import ivrik.core.look.Onto;
import ivrik.core.look.Step;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.separation.LaneKind;

import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Predicate;

/** The matrix: a row for each lane, a column for separation, each treatment, and rejoin. */
public final class Matrix extends BorderPane {
    private final Session session;
    private final View view;
    private final ObjectProperty<Palette> palette;
    private final GridPane grid = new GridPane();
    private final HBox foot = new HBox(12);

    public Matrix(Session session, View view, ObjectProperty<Palette> palette) {
        this.session = session;
        this.view = view;
        this.palette = palette;
        getStyleClass().add("desk");
        foot.setAlignment(Pos.CENTER_LEFT);
        foot.getStyleClass().add("strip");
        setTop(grid);
        setBottom(foot);
        session.stateProperty()
                .addListener(
                        (o, a, b) -> {
                            if (a.project() != b.project()
                                    || !a.selection().equals(b.selection())) {
                                make();
                            }
                        });
        view.textScale.addListener((o, a, b) -> make());
        make();
    }

    private void make() {
        State state = session.state();
        String focused =
                getScene() != null && getScene().getFocusOwner() != null
                        ? getScene().getFocusOwner().getId()
                        : null;
        grid.getChildren().clear();
        foot.getChildren().clear();
        state.look().ifPresentOrElse(look -> make(state, look), this::makeEmpty);
        if (focused != null) {
            Node again = grid.lookup("#" + focused);
            if (again != null) {
                again.requestFocus();
            }
        }
    }

    private void makeEmpty() {
        Label hint =
                new Label(
                        "Lanes appear here as soon as there is a clip: red, green and blue, each"
                                + " with its own row.");
        hint.getStyleClass().add("quiet");
        hint.setWrapText(true);
        hint.setPadding(new javafx.geometry.Insets(16));
        grid.add(hint, 0, 0);
    }

    private void make(State state, Look look) {
        List<LaneKind> lanes = look.model().lanes();
        grid.add(head("Separate " + look.model().title(), wide(Metrics.NAME_COLUMN), false), 0, 0);
        int columns = look.steps().size();
        for (int s = 0; s < columns; s++) {
            Step step = look.steps().get(s);
            Label head =
                    head(
                            step.kind().description().title() + (step.on() ? "" : " off"),
                            wide(Metrics.COLUMN),
                            s == state.step());
            int number = s;
            head.setOnMouseClicked(e -> session.selectCell(number, session.state().lane()));
            head.setTooltip(new Tooltip(step.kind().description().help()));
            grid.add(head, 1 + s, 0);
        }
        grid.add(head("Rejoin", wide(Metrics.COLUMN), false), 1 + columns, 0);
        for (int lane = 0; lane < lanes.size(); lane++) {
            grid.add(laneHead(state, look, lane, lanes.get(lane)), 0, 1 + lane);
            for (int s = 0; s < columns; s++) {
                grid.add(cell(state, s, lane, lanes.get(lane)), 1 + s, 1 + lane);
            }
            grid.add(rejoinCell(look, lane, lanes.get(lane)), 1 + columns, 1 + lane);
        }
        makeFoot(state, look);
    }

    /** Columns hold words, and grow with them. */
    private double wide(double width) {
        return Math.rint(width * view.textScale.get());
    }

    private static Label head(String text, double width, boolean selected) {
        Label head = new Label(text);
        head.getStyleClass().add("column-head");
        if (selected) {
            head.getStyleClass().add("selected");
        }
        size(head, width, Metrics.HEAD);
        return head;
    }

    private static void size(Region node, double width, double height) {
        node.setMinSize(width, height);
        node.setPrefSize(width, height);
        node.setMaxSize(width, height);
    }

    private Node laneHead(State state, Look look, int lane, LaneKind kind) {
        Label name = new Label(kind.title());
        name.getStyleClass().add("lane-name");
        HBox switches =
                new HBox(
                        toggle(
                                look,
                                lane,
                                kind,
                                "solo",
                                "Only this lane, and others soloed, are in the picture",
                                LaneState::solo,
                                LaneState::withSolo),
                        toggle(
                                look,
                                lane,
                                kind,
                                "mute",
                                "This lane is left out of the picture",
                                LaneState::mute,
                                LaneState::withMute),
                        toggle(
                                look,
                                lane,
                                kind,
                                "hold",
                                "This lane takes no part in movement",
                                LaneState::hold,
                                LaneState::withHold));
        switches.setTranslateX(-5);
        HBox head = new HBox(new Badge(kind), new VBox(4, name, switches));
        head.getStyleClass().add("lane-head");
        if (lane == state.lane()) {
            head.getStyleClass().add("selected");
        }
        head.setOnMouseClicked(e -> session.selectLane(lane));
        size(head, wide(Metrics.NAME_COLUMN), Metrics.LANE);
        return head;
    }

    private ToggleButton toggle(
            Look look,
            int lane,
            LaneKind kind,
            String word,
            String help,
            Predicate<LaneState> is,
            BiFunction<LaneState, Boolean, LaneState> with) {
        ToggleButton button = new ToggleButton(word);
        button.getStyleClass().setAll("switch");
        button.setId(kind.id() + "-" + word);
        button.setSelected(is.test(look.lanes().get(lane)));
        button.setTooltip(new Tooltip(help));
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(
                e -> {
                    boolean on = button.isSelected();
                    String name = (on ? "" : "Undo ") + word + " " + kind.title();
                    session.editLook(
                            Character.toUpperCase(name.charAt(0)) + name.substring(1),
                            l -> l.withLane(lane, s -> with.apply(s, on)));
                });
        return button;
    }

    private Node cell(State state, int step, int lane, LaneKind kind) {
        ShiftCell cell = new ShiftCell(session, view, palette, step, lane, kind);
        boolean selected = step == state.step() && lane == state.lane();
        cell.getStyleClass().add("cell");
        if (selected) {
            cell.getStyleClass().add("selected");
        }
        cell.setFocusTraversable(true);
        cell.setId("cell-" + step + "-" + kind.id());
        cell.setOnMousePressed(
                e -> {
                    cell.requestFocus();
                    session.selectCell(step, lane);
                });
        cell.focusedProperty()
                .addListener(
                        (o, a, b) -> {
                            if (b
                                    && !(step == session.state().step()
                                            && lane == session.state().lane())) {
                                session.selectCell(step, lane);
                            }
                        });
        size(cell, wide(Metrics.COLUMN), Metrics.LANE);
        return cell;
    }

    private Node rejoinCell(Look look, int lane, LaneKind kind) {
        VBox box = new VBox(2);
        box.setAlignment(Pos.CENTER);
        box.getStyleClass().add("cell");
        size(box, wide(Metrics.COLUMN), Metrics.LANE);
        if (lane == look.lanes().size() / 2) {
            MenuButton mode = menu(look.rejoin().id(), "How the lanes become a picture again");
            mode.setId("rejoin-mode");
            for (Rejoin each : Rejoin.values()) {
                item(
                        mode,
                        each.id(),
                        () -> session.editLook("Rejoin: " + each.id(), l -> l.withRejoin(each)));
            }
            box.getChildren().add(mode);
        } else if (!look.isShown(lane)) {
            Label out = new Label("left out");
            out.getStyleClass().add("quiet");
            box.getChildren().add(out);
        }
        return box;
    }

    private void makeFoot(State state, Look look) {
        MenuButton layer =
                menu(state.layer().orElseThrow().name(), "The layer whose look is on the desk");
        layer.setId("layer");
        session.project()
                .layers()
                .forEach(l -> item(layer, l.name(), () -> session.selectLayer(l.id())));
        MenuButton onto =
                menu(
                        look.onto().blend() == Blend.NORMAL
                                ? "in its place"
                                : look.onto().blend().id(),
                        "How the result meets the untouched picture");
        for (Blend each : Blend.values()) {
            item(
                    onto,
                    each == Blend.NORMAL ? "in its place" : each.id(),
                    () ->
                            session.editLook(
                                    "Onto: " + each.id(),
                                    l -> l.withOnto(new Onto(each, l.onto().amount()))));
        }
        var spec = new ivrik.app.control.NumberField.Spec("%", 0, 100, 100, 5, 0, false);
        var amount =
                new ivrik.app.control.NumberField(
                        spec,
                        "How much of the look is laid onto the untouched picture",
                        to ->
                                session.editLook(
                                        "Onto amount",
                                        l ->
                                                l.withOnto(
                                                        new Onto(
                                                                l.onto().blend(),
                                                                l.onto()
                                                                        .amount()
                                                                        .set(
                                                                                view.frame.get(),
                                                                                to / 100)))));
        amount.setId("onto-amount");
        amount.show(100 * look.onto().amount().at(view.frame.get()));
        foot.getChildren().addAll(quiet("layer"), layer, quiet("onto"), onto, amount);
    }

    private static Label quiet(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("quiet");
        return label;
    }

    private static MenuButton menu(String text, String help) {
        MenuButton menu = new MenuButton(text);
        menu.getStyleClass().add("plain");
        menu.setTooltip(new Tooltip(help));
        return menu;
    }

    private static void item(MenuButton menu, String text, Runnable action) {
        MenuItem item = new MenuItem(text);
        item.setOnAction(e -> action.run());
        menu.getItems().add(item);
    }
}
