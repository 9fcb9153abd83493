package ivrik.app.desk;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.TreatmentEdits;
import ivrik.app.session.View;
import ivrik.app.session.View.Face;
import ivrik.app.theme.Palette;
import ivrik.core.look.ChannelState;
import ivrik.core.look.Look;
import ivrik.core.look.Section;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.project.Source;
import ivrik.core.separation.ChannelKind;

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
 * The matrix: a row per channel; columns for separation, each channel treatment, and rejoin; on either side a
 * column with one cell for each whole-picture treatment.
 */
public final class Matrix extends BorderPane {
    private final Session session;
    private final View view;
    private final ObjectProperty<Palette> palette;
    private final TreatmentEdits steps;
    private final GridPane before = new GridPane();
    private final GridPane names = new GridPane();
    private final GridPane grid = new GridPane();
    private final GridPane end = new GridPane();
    private final GridPane after = new GridPane();
    private final ScrollPane columns = new ScrollPane(grid);
    private final List<RejoinCell> rejoined = new ArrayList<>();
    private final List<ColumnHead> heads = new ArrayList<>();
    private final List<TreatmentCell> cells = new ArrayList<>();
    private final List<ChannelHead> channels = new ArrayList<>();
    private Label separate = new Label();
    private Label rejoin = new Label();
    private Made made;

    /** Everything that rows and columns are built for; the values in them are only redrawn. */
    private record Made(
            String separation,
            List<ChannelKind> kinds,
            List<Column> columns,
            List<ChannelState> channels,
            List<String> channelSources,
            String rejoin,
            double text,
            double high) {
        record Column(String id, Section section, boolean on) {}

        static Made of(State state, Look look, double text, double high) {
            return new Made(
                    look.model().title(),
                    look.model().channels(),
                    look.steps().stream()
                            .map(s -> new Column(s.id(), s.section(), s.on()))
                            .toList(),
                    look.channels().stream().map(l -> l.withStrength(Value.ZERO)).toList(),
                    look.channels().stream()
                            .map(l -> state.project().source(l.channelSource().source()))
                            .map(source -> source.map(Source::name).orElse(""))
                            .toList(),
                    look.rejoin().id(),
                    text,
                    high);
        }
    }

    public Matrix(
            Session session, View view, TreatmentEdits steps, ObjectProperty<Palette> palette) {
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

    /** Rebuilds rows and columns if they changed, and marks the selection. */
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
        channels.clear();
        state.look().ifPresentOrElse(this::make, this::makeEmpty);
        columns.setHvalue(scrolled);
        if (focused != null) {
            Node again = lookup("#" + focused);
            if (again != null) {
                again.requestFocus();
            }
        }
    }

    /** Marks the selected column, cell and channel. */
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
                                        && (c.isWhole() || c.channel() == state.channel())));
        for (int channel = 0; channel < channels.size(); channel++) {
            select(channels.get(channel), channel == state.channel());
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
            // a column wider than the view shows its start
            columns.setHvalue(Math.min(left, Math.max(from, least)) / over);
        }
    }

    /** Index of the selected column among those of channels; -1 if none. */
    private int selectedColumn() {
        State state = session.state();
        return state.look()
                .map(l -> l.steps(Section.CHANNELS).indexOf(state.step().orElse(null)))
                .orElse(-1);
    }

    private void makeEmpty() {
        Label hint =
                new Label(
                        "Import a clip to see its red, green and blue channels here, one row"
                                + " each.");
        hint.getStyleClass().add("quiet");
        hint.setWrapText(true);
        hint.setPrefWidth(wide(2 * Metrics.NAME_COLUMN));
        hint.setPadding(new javafx.geometry.Insets(16));
        names.add(hint, 0, 0);
    }

    private void make(Look look) {
        List<ChannelKind> kinds = look.model().channels();
        separate = head(separation(look), wide(Metrics.NAME_COLUMN));
        separate.setTooltip(
                new Tooltip(
                        "Separation: the colour model that splits the picture into channels. Click"
                                + " to change it"));
        separate.setId("head-separate");
        separate.setOnMouseClicked(e -> face(Face.SEPARATE));
        names.add(separate, 0, 0);
        wholes(look, Section.PREPARE, before);
        wholes(look, Section.FINISH, after);
        List<Step> steps = look.steps(Section.CHANNELS);
        for (int s = 0; s < steps.size(); s++) {
            grid.add(columnHead(look, steps.get(s)), s, 0);
        }
        end.add(plus(), 0, 0);
        rejoin = head("Rejoin", wide(Metrics.COLUMN));
        rejoin.setTooltip(
                new Tooltip(
                        "Rejoin: puts the channels back into a picture, with inks, blend modes"
                                + " and an order"));
        rejoin.setId("head-rejoin");
        rejoin.setOnMouseClicked(e -> face(Face.REJOIN));
        end.add(rejoin, 1, 0);
        double high = high(look);
        for (int channel = 0; channel < kinds.size(); channel++) {
            ChannelHead head = new ChannelHead(session, look, channel, kinds.get(channel));
            size(head, wide(Metrics.NAME_COLUMN), high);
            channels.add(head);
            names.add(head, 0, 1 + channel);
            for (int s = 0; s < steps.size(); s++) {
                TreatmentCell cell = cell(look, steps.get(s), channel, kinds.get(channel));
                size(cell, wide(Metrics.COLUMN), high);
                grid.add(cell, s, 1 + channel);
            }
            Region between = new Region();
            between.getStyleClass().add("cell");
            size(between, Metrics.PLUS, high);
            end.add(between, 0, 1 + channel);
            end.add(rejoinCell(look, channel, kinds.get(channel)), 1, 1 + channel);
        }
        columns.setMinWidth(steps.isEmpty() ? 0 : wide(Metrics.COLUMN));
        columns.setMinHeight(Metrics.HEAD + kinds.size() * high + Metrics.SCROLL);
        columns.setPrefHeight(Metrics.HEAD + kinds.size() * high + Metrics.SCROLL);
    }

    /** Height of a row. */
    private double high(Look look) {
        return Metrics.channel(look.channels().size(), view.deskHeight.get(), view.textScale.get());
    }

    /** Adds columns of whole-picture treatments, with one cell over all channels. */
    private void wholes(Look look, Section section, GridPane into) {
        int column = 0;
        for (Step step : look.steps(section)) {
            into.add(columnHead(look, step), column, 0);
            TreatmentCell cell = cell(look, step, 0, ChannelEdits.PICTURE);
            int count = look.channels().size();
            size(cell, wide(Metrics.COLUMN), count * high(look));
            into.add(cell, column, 1);
            column++;
        }
    }

    private ColumnHead columnHead(Look look, Step step) {
        Runnable select =
                () -> {
                    face(Face.TREATMENT);
                    session.selectCell(step.id(), session.state().channel());
                };
        ColumnHead head = new ColumnHead(session, steps, step, look.number(step.id()), select);
        size(head, wide(Metrics.COLUMN), Metrics.HEAD);
        heads.add(head);
        return head;
    }

    /** Opens the list of all treatments. */
    private Button plus() {
        Button plus = new Button("+");
        plus.setId("add-treatment");
        plus.getStyleClass().setAll("button", "column-head", "plus");
        plus.setTooltip(
                new Tooltip(
                        "Add treatment: one step applied to the channels or to the whole"
                                + " picture. Previews each one on this frame. Key: Insert"));
        plus.setOnAction(e -> view.band.set(View.Band.TREATMENTS));
        size(plus, Metrics.PLUS, Metrics.HEAD);
        return plus;
    }

    /** Short name of the model. */
    private static String separation(Look look) {
        String title = look.model().title();
        return title.length() > 10 ? title : "Separate " + title;
    }

    private void face(Face face) {
        view.controlsShown.set(true);
        view.face.set(face);
    }

    /** Columns grow with the text size. */
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

    private TreatmentCell cell(Look look, Step step, int channel, ChannelKind kind) {
        TreatmentCell cell = new TreatmentCell(session, view, palette, step, channel, kind);
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

    /** A whole-picture cell keeps the selected channel. */
    private void select(TreatmentCell cell) {
        State now = session.state();
        int channel = cell.isWhole() ? now.channel() : cell.channel();
        if (!cell.stepId().equals(now.stepId()) || channel != now.channel()) {
            session.selectCell(cell.stepId(), channel);
        }
    }

    /** Ink and blend mode of a channel. */
    private Node rejoinCell(Look look, int channel, ChannelKind kind) {
        RejoinCell cell = new RejoinCell(look, channel, kind);
        cell.setOnMouseClicked(
                e -> {
                    session.selectChannel(channel);
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
