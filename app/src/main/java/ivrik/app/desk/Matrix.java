package ivrik.app.desk;

import ivrik.app.control.Badge;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.Steps;
import ivrik.app.session.View;
import ivrik.app.session.View.Face;
import ivrik.app.theme.Palette;
import ivrik.core.look.Feed;
import ivrik.core.look.LaneState;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.LaneKind;

import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Predicate;

/** The matrix: a row for each lane, a column for separation, each treatment, and rejoin. */
public final class Matrix extends BorderPane {
    private final Session session;
    private final View view;
    private final ObjectProperty<Palette> palette;
    private final Steps steps;
    private final GridPane names = new GridPane();
    private final GridPane grid = new GridPane();
    private final GridPane end = new GridPane();
    private final ScrollPane columns = new ScrollPane(grid);
    private final Map<Integer, Label> strengths = new HashMap<>();

    public Matrix(Session session, View view, Steps steps, ObjectProperty<Palette> palette) {
        this.session = session;
        this.view = view;
        this.steps = steps;
        this.palette = palette;
        getStyleClass().add("desk");
        columns.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        columns.setFocusTraversable(false);
        columns.getStyleClass().add("columns");
        names.setMinWidth(USE_PREF_SIZE);
        end.setMinWidth(USE_PREF_SIZE);
        columns.setMinWidth(0);
        setTop(new HBox(names, columns, end));
        setBottom(new LayerStrip(session, view));
        session.stateProperty()
                .addListener(
                        (o, a, b) -> {
                            if (a.project() != b.project()
                                    || !a.selection().equals(b.selection())) {
                                make();
                            }
                        });
        view.textScale.addListener((o, a, b) -> make());
        view.face.addListener((o, a, b) -> make());
        view.frame.addListener((o, a, b) -> showStrengths());
        make();
    }

    private void make() {
        State state = session.state();
        String focused =
                getScene() != null && getScene().getFocusOwner() != null
                        ? getScene().getFocusOwner().getId()
                        : null;
        double scrolled = columns.getHvalue();
        names.getChildren().clear();
        grid.getChildren().clear();
        end.getChildren().clear();
        strengths.clear();
        state.look().ifPresentOrElse(look -> make(state, look), this::makeEmpty);
        columns.setHvalue(scrolled);
        Platform.runLater(this::bringSelectedIntoView);
        if (focused != null) {
            Node again = lookup("#" + focused);
            if (again != null) {
                again.requestFocus();
            }
        }
    }

    private void bringSelectedIntoView() {
        double seen = columns.getViewportBounds().getWidth();
        double over = grid.getWidth() - seen;
        if (over > 0) {
            double left = session.state().step() * wide(Metrics.COLUMN);
            double from = columns.getHvalue() * over;
            double to =
                    Math.clamp(
                            from,
                            Math.max(0, left + wide(Metrics.COLUMN) - seen),
                            Math.max(0, left));
            columns.setHvalue(to / over);
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
        names.add(hint, 0, 0);
    }

    private void make(State state, Look look) {
        List<LaneKind> lanes = look.model().lanes();
        Label separate =
                head(separation(look), wide(Metrics.NAME_COLUMN), view.face.get() == Face.SEPARATE);
        separate.setTooltip(
                new Tooltip("How the picture is taken apart: press to change the model"));
        separate.setId("head-separate");
        separate.setOnMouseClicked(e -> face(Face.SEPARATE));
        names.add(separate, 0, 0);
        int count = look.steps().size();
        for (int s = 0; s < count; s++) {
            Step step = look.steps().get(s);
            int number = s;
            ColumnHead head =
                    new ColumnHead(
                            session,
                            steps,
                            step,
                            number,
                            count,
                            () -> {
                                face(Face.TREATMENT);
                                session.selectCell(number, session.state().lane());
                            });
            if (s == state.step() && view.face.get() == Face.TREATMENT) {
                head.getStyleClass().add("selected");
            }
            size(head, wide(Metrics.COLUMN), Metrics.HEAD);
            grid.add(head, s, 0);
        }
        end.add(plus(), 0, 0);
        Label rejoin = head("Rejoin", wide(Metrics.COLUMN), view.face.get() == Face.REJOIN);
        rejoin.setTooltip(new Tooltip("How the lanes become a picture again: inks, modes, order"));
        rejoin.setId("head-rejoin");
        rejoin.setOnMouseClicked(e -> face(Face.REJOIN));
        end.add(rejoin, 1, 0);
        for (int lane = 0; lane < lanes.size(); lane++) {
            names.add(laneHead(state, look, lane, lanes.get(lane)), 0, 1 + lane);
            for (int s = 0; s < count; s++) {
                grid.add(cell(state, look, s, lane, lanes.get(lane)), s, 1 + lane);
            }
            Region between = new Region();
            between.getStyleClass().add("cell");
            size(between, Metrics.PLUS, Metrics.lane(lanes.size()));
            end.add(between, 0, 1 + lane);
            end.add(rejoinCell(look, lane, lanes.get(lane)), 1, 1 + lane);
        }
        double high = Metrics.HEAD + lanes.size() * Metrics.lane(lanes.size());
        columns.setMinHeight(high + Metrics.SCROLL);
        columns.setPrefHeight(high + Metrics.SCROLL);
        showStrengths();
    }

    /** Brings up all treatments to choose from. */
    private Button plus() {
        Button plus = new Button("+");
        plus.setId("add-treatment");
        plus.getStyleClass().setAll("button", "column-head", "plus");
        plus.setTooltip(new Tooltip("Add a treatment: shows what each would do to this frame"));
        plus.setOnAction(e -> view.band.set(View.Band.TREATMENTS));
        size(plus, Metrics.PLUS, Metrics.HEAD);
        return plus;
    }

    /** The model's name, if there is room for both words. */
    private static String separation(Look look) {
        String title = look.model().title();
        return title.length() > 10 ? title : "Separate " + title;
    }

    private void face(Face face) {
        view.closeUpShown.set(true);
        view.face.set(face);
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
        name.setMinWidth(USE_PREF_SIZE);
        Label feed = quiet(feed(look.lanes().get(lane).feed()));
        feed.setId(kind.id() + "-feed");
        feed.setMinWidth(0);
        feed.setTooltip(new Tooltip(feed.getText()));
        HBox head = new HBox(new Badge(kind), new VBox(4, new HBox(6, name, feed), switches));
        head.getStyleClass().add("lane-head");
        if (lane == state.lane()) {
            head.getStyleClass().add("selected");
        }
        head.setOnMouseClicked(e -> session.selectLane(lane));
        size(head, wide(Metrics.NAME_COLUMN), Metrics.lane(look.lanes().size()));
        return head;
    }

    /** What a lane is taken from, in as few words as can be; nothing for its own picture. */
    private String feed(Feed feed) {
        String late =
                feed.delayFrames() == 0
                        ? ""
                        : Math.abs(feed.delayFrames())
                                + (feed.delayFrames() > 0 ? " late" : " early");
        String other =
                session.project().source(feed.source()).map(s -> "of " + s.name()).orElse("");
        return (other + " " + late).strip();
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

    private Node cell(State state, Look look, int step, int lane, LaneKind kind) {
        Cell cell = new Cell(session, view, palette, step, lane, kind);
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
                    face(Face.TREATMENT);
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
        size(cell, wide(Metrics.COLUMN), Metrics.lane(look.lanes().size()));
        return cell;
    }

    /** The ink a lane paints with, and how: its own way, the way of all, or not at all. */
    private Node rejoinCell(Look look, int lane, LaneKind kind) {
        LaneState state = look.lanes().get(lane);
        Rectangle swatch = new Rectangle(18, 12, Palette.colourOf(state.ink().orElse(kind.ink())));
        swatch.getStyleClass().add("swatch");
        Label strength = new Label();
        strength.getStyleClass().add("number");
        strengths.put(lane, strength);
        HBox inked = new HBox(6, swatch, strength);
        inked.setAlignment(Pos.CENTER);
        String way =
                !look.isShown(lane)
                        ? "left out"
                        : look.rejoin().isExact()
                                ? look.rejoin().id()
                                : state.blend().map(Blend::id).orElse(look.rejoin().id());
        VBox box = new VBox(3, inked, quiet(way));
        box.setAlignment(Pos.CENTER);
        box.getStyleClass().add("cell");
        box.setId("rejoin-" + kind.id());
        box.setOnMouseClicked(
                e -> {
                    session.selectLane(lane);
                    face(Face.REJOIN);
                });
        size(box, wide(Metrics.COLUMN), Metrics.lane(look.lanes().size()));
        return box;
    }

    private void showStrengths() {
        session.state()
                .look()
                .ifPresent(
                        look ->
                                strengths.forEach(
                                        (lane, label) ->
                                                label.setText(
                                                        Math.round(
                                                                        100
                                                                                * look.lanes()
                                                                                        .get(lane)
                                                                                        .strength()
                                                                                        .at(
                                                                                                view
                                                                                                        .frame
                                                                                                        .get()))
                                                                + " %")));
    }

    private static Label quiet(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("quiet");
        return label;
    }
}
