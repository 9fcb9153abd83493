package ivrik.app.desk;

import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.Steps;
import ivrik.app.session.View;
import ivrik.app.session.View.Face;
import ivrik.app.theme.Palette;
import ivrik.core.look.LaneState;
import ivrik.core.look.Look;
import ivrik.core.look.Section;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.project.Source;
import ivrik.core.separation.LaneKind;

import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;

import java.util.ArrayList;
import java.util.List;

/**
 * The matrix: a row for each lane, a column for separation, each treatment of lanes, and rejoin; on either
 * side a column for each treatment of the whole picture, of one cell.
 */
public final class Matrix extends BorderPane {
    private final Session session;
    private final View view;
    private final ObjectProperty<Palette> palette;
    private final Steps steps;
    private final GridPane before = new GridPane();
    private final GridPane names = new GridPane();
    private final GridPane grid = new GridPane();
    private final GridPane end = new GridPane();
    private final GridPane after = new GridPane();
    private final ScrollPane columns = new ScrollPane(grid);
    private final List<RejoinCell> rejoined = new ArrayList<>();
    private final List<ColumnHead> heads = new ArrayList<>();
    private final List<Cell> cells = new ArrayList<>();
    private final List<LaneHead> lanes = new ArrayList<>();
    private Label separate = new Label();
    private Label rejoin = new Label();
    private Made made;

    /** All that the rows and columns are made for; values within them are only drawn anew. */
    private record Made(
            String separation,
            List<LaneKind> kinds,
            List<Column> columns,
            List<LaneState> lanes,
            List<String> feeds,
            String rejoin,
            double text,
            double high) {
        record Column(String id, Section section, boolean on) {}

        static Made of(State state, Look look, double text, double high) {
            return new Made(
                    look.model().title(),
                    look.model().lanes(),
                    look.steps().stream()
                            .map(s -> new Column(s.id(), s.section(), s.on()))
                            .toList(),
                    look.lanes().stream().map(l -> l.withStrength(Value.ZERO)).toList(),
                    look.lanes().stream()
                            .map(l -> state.project().source(l.feed().source()))
                            .map(source -> source.map(Source::name).orElse(""))
                            .toList(),
                    look.rejoin().id(),
                    text,
                    high);
        }
    }

    public Matrix(Session session, View view, Steps steps, ObjectProperty<Palette> palette) {
        this.session = session;
        this.view = view;
        this.steps = steps;
        this.palette = palette;
        getStyleClass().add("desk");
        columns.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        columns.setFocusTraversable(false);
        columns.getStyleClass().add("columns");
        for (GridPane fixed : List.of(before, names, end, after)) {
            fixed.setMinWidth(USE_PREF_SIZE);
        }
        columns.setMinWidth(0);
        setTop(new HBox(before, names, columns, end, after));
        setBottom(new LayerStrip(session, view));
        session.stateProperty().addListener((o, a, b) -> show());
        view.textScale.addListener((o, a, b) -> show());
        view.deskHeight.addListener((o, a, b) -> show());
        view.face.addListener((o, a, b) -> mark());
        view.frame.addListener((o, a, b) -> showStrengths());
        show();
    }

    /** Makes rows and columns anew where there are others now, and shows what is selected. */
    private void show() {
        State state = session.state();
        Made needed =
                state.look()
                        .map(l -> Made.of(state, l, view.textScale.get(), high(l)))
                        .orElse(null);
        if (needed == null || !needed.equals(made)) {
            made = needed;
            make(state);
        }
        mark();
        showStrengths();
    }

    private void make(State state) {
        String focused =
                getScene() != null && getScene().getFocusOwner() != null
                        ? getScene().getFocusOwner().getId()
                        : null;
        double scrolled = columns.getHvalue();
        for (GridPane each : List.of(before, names, grid, end, after)) {
            each.getChildren().clear();
        }
        rejoined.clear();
        heads.clear();
        cells.clear();
        lanes.clear();
        state.look().ifPresentOrElse(this::make, this::makeEmpty);
        columns.setHvalue(scrolled);
        if (focused != null) {
            Node again = lookup("#" + focused);
            if (again != null) {
                again.requestFocus();
            }
        }
    }

    /** Marks what is selected: a column, a cell, a lane. */
    private void mark() {
        State state = session.state();
        Face face = view.face.get();
        select(separate, face == Face.SEPARATE);
        select(rejoin, face == Face.REJOIN);
        heads.forEach(h -> select(h, face == Face.TREATMENT && h.stepId().equals(state.stepId())));
        cells.forEach(
                c ->
                        select(
                                c,
                                c.stepId().equals(state.stepId())
                                        && (c.isWhole() || c.lane() == state.lane())));
        for (int lane = 0; lane < lanes.size(); lane++) {
            select(lanes.get(lane), lane == state.lane());
        }
        Platform.runLater(this::bringSelectedIntoView);
    }

    private static void select(Node node, boolean on) {
        List<String> classes = node.getStyleClass();
        if (on && !classes.contains("selected")) {
            classes.add("selected");
        } else if (!on) {
            classes.remove("selected");
        }
    }

    private void bringSelectedIntoView() {
        double seen = columns.getViewportBounds().getWidth();
        double over = grid.getWidth() - seen;
        int number = selectedColumn();
        if (over > 0 && number >= 0) {
            double left = number * wide(Metrics.COLUMN);
            double from = columns.getHvalue() * over;
            double least = Math.max(0, left + wide(Metrics.COLUMN) - seen);
            // of a column that is wider than what is seen, its beginning
            columns.setHvalue(Math.min(left, Math.max(from, least)) / over);
        }
    }

    /** Which of the columns of lanes is selected; -1 if none is. */
    private int selectedColumn() {
        State state = session.state();
        return state.look()
                .map(l -> l.steps(Section.LANES).indexOf(state.step().orElse(null)))
                .orElse(-1);
    }

    private void makeEmpty() {
        Label hint =
                new Label(
                        "Lanes appear here as soon as there is a clip: red, green and blue, each"
                                + " with its own row.");
        hint.getStyleClass().add("quiet");
        hint.setWrapText(true);
        hint.setPrefWidth(wide(2 * Metrics.NAME_COLUMN));
        hint.setPadding(new javafx.geometry.Insets(16));
        names.add(hint, 0, 0);
    }

    private void make(Look look) {
        List<LaneKind> kinds = look.model().lanes();
        separate = head(separation(look), wide(Metrics.NAME_COLUMN));
        separate.setTooltip(
                new Tooltip("How the picture is taken apart: press to change the model"));
        separate.setId("head-separate");
        separate.setOnMouseClicked(e -> face(Face.SEPARATE));
        names.add(separate, 0, 0);
        wholes(look, Section.PREPARE, before);
        wholes(look, Section.FINISH, after);
        List<Step> steps = look.steps(Section.LANES);
        for (int s = 0; s < steps.size(); s++) {
            grid.add(columnHead(look, steps.get(s)), s, 0);
        }
        end.add(plus(), 0, 0);
        rejoin = head("Rejoin", wide(Metrics.COLUMN));
        rejoin.setTooltip(new Tooltip("How the lanes become a picture again: inks, modes, order"));
        rejoin.setId("head-rejoin");
        rejoin.setOnMouseClicked(e -> face(Face.REJOIN));
        end.add(rejoin, 1, 0);
        double high = high(look);
        for (int lane = 0; lane < kinds.size(); lane++) {
            LaneHead head = new LaneHead(session, look, lane, kinds.get(lane));
            size(head, wide(Metrics.NAME_COLUMN), high);
            lanes.add(head);
            names.add(head, 0, 1 + lane);
            for (int s = 0; s < steps.size(); s++) {
                Cell cell = cell(look, steps.get(s), lane, kinds.get(lane));
                size(cell, wide(Metrics.COLUMN), high);
                grid.add(cell, s, 1 + lane);
            }
            Region between = new Region();
            between.getStyleClass().add("cell");
            size(between, Metrics.PLUS, high);
            end.add(between, 0, 1 + lane);
            end.add(rejoinCell(look, lane, kinds.get(lane)), 1, 1 + lane);
        }
        columns.setMinWidth(steps.isEmpty() ? 0 : wide(Metrics.COLUMN));
        columns.setMinHeight(Metrics.HEAD + kinds.size() * high + Metrics.SCROLL);
        columns.setPrefHeight(Metrics.HEAD + kinds.size() * high + Metrics.SCROLL);
    }

    /** How high a row is. */
    private double high(Look look) {
        return Metrics.lane(look.lanes().size(), view.deskHeight.get(), view.textScale.get());
    }

    /** The columns of what is done to the whole picture: one cell over all lanes in each. */
    private void wholes(Look look, Section section, GridPane into) {
        int column = 0;
        for (Step step : look.steps(section)) {
            into.add(columnHead(look, step), column, 0);
            Cell cell = cell(look, step, 0, LaneEdits.PICTURE);
            int count = look.lanes().size();
            size(cell, wide(Metrics.COLUMN), count * high(look));
            into.add(cell, column, 1);
            column++;
        }
    }

    private ColumnHead columnHead(Look look, Step step) {
        Runnable select =
                () -> {
                    face(Face.TREATMENT);
                    session.selectCell(step.id(), session.state().lane());
                };
        ColumnHead head = new ColumnHead(session, steps, step, look.number(step.id()), select);
        size(head, wide(Metrics.COLUMN), Metrics.HEAD);
        heads.add(head);
        return head;
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

    private static Label head(String text, double width) {
        Label head = new Label(text);
        head.getStyleClass().add("column-head");
        size(head, width, Metrics.HEAD);
        return head;
    }

    private static void size(Region node, double width, double height) {
        node.setMinSize(width, height);
        node.setPrefSize(width, height);
        node.setMaxSize(width, height);
    }

    private Cell cell(Look look, Step step, int lane, LaneKind kind) {
        Cell cell = new Cell(session, view, palette, step, lane, kind);
        cell.getStyleClass().add("cell");
        cell.setFocusTraversable(true);
        cell.setId("cell-" + look.number(step.id()) + "-" + kind.id());
        cell.setOnMousePressed(
                e -> {
                    cell.requestFocus();
                    face(Face.TREATMENT);
                    select(cell);
                });
        cell.focusedProperty()
                .addListener(
                        (o, a, b) -> {
                            if (b) {
                                select(cell);
                            }
                        });
        cells.add(cell);
        return cell;
    }

    /** A cell of the whole picture leaves the lane that is worked on. */
    private void select(Cell cell) {
        State now = session.state();
        int lane = cell.isWhole() ? now.lane() : cell.lane();
        if (!cell.stepId().equals(now.stepId()) || lane != now.lane()) {
            session.selectCell(cell.stepId(), lane);
        }
    }

    /** The ink a lane paints with, and how. */
    private Node rejoinCell(Look look, int lane, LaneKind kind) {
        RejoinCell cell = new RejoinCell(look, lane, kind);
        cell.setOnMouseClicked(
                e -> {
                    session.selectLane(lane);
                    face(Face.REJOIN);
                });
        size(cell, wide(Metrics.COLUMN), high(look));
        rejoined.add(cell);
        return cell;
    }

    private void showStrengths() {
        session.state()
                .look()
                .ifPresent(look -> rejoined.forEach(c -> c.show(look, view.frame.get())));
    }
}
