package ivrik.app.closeup;

import static ivrik.app.control.Controls.quiet;

import ivrik.app.control.Badge;
import ivrik.app.control.NumberField;
import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.Values;
import ivrik.app.session.View;
import ivrik.app.shape.Aimed;
import ivrik.app.shape.LookNumber;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.render.LookPlanner;
import ivrik.core.separation.LaneKind;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Move;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Settings;

import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** A table of numbers: a row for each parameter, a column for each lane. */
final class LaneNumbers extends GridPane {
    /** Less than is shown of a number. */
    private static final double UNSEEN = 0.005;

    private final Session session;
    private final View view;
    private final List<LaneKind> lanes;
    private final List<Consumer<State>> showers;

    /** What each parameter comes to: a word, and a number for each lane. */
    private final Map<Parameter, List<Label>> totals = new LinkedHashMap<>();

    LaneNumbers(Session session, View view, List<LaneKind> lanes, List<Consumer<State>> showers) {
        super(2, 2);
        this.session = session;
        this.view = view;
        this.lanes = lanes;
        this.showers = showers;
        ColumnConstraints titles = new ColumnConstraints();
        titles.setHgrow(Priority.ALWAYS);
        titles.setMinWidth(40);
        getColumnConstraints().add(titles);
        for (int lane = 0; lane < lanes.size(); lane++) {
            head(lane, lanes.get(lane));
        }
        showers.add(this::showTotals);
    }

    /** What makes its rows, one after the other: there may be many. */
    List<Runnable> rows(Description d) {
        List<Runnable> rows = new ArrayList<>();
        for (Parameter p : d.parameters()) {
            if (!p.title().isEmpty()) { // those without have a control of their own
                int row = 1 + 2 * rows.size();
                rows.add(() -> row(p, row));
            }
        }
        rows.add(() -> showTotals(session.state()));
        return rows;
    }

    private void row(Parameter p, int row) {
        Label title = new Label(p.title());
        title.getStyleClass().add("quiet");
        title.setTooltip(new Tooltip(p.title() + (p.unit().isEmpty() ? "" : ", in " + p.unit())));
        title.setMinWidth(0);
        title.setWrapText(true); // beside many lanes there is little room
        add(title, 0, row);
        for (int lane = 0; lane < lanes.size(); lane++) {
            NumberField number = number(lane, lanes.get(lane), p);
            setHalignment(number, HPos.RIGHT);
            add(number, lane + 1, row);
        }
        totals.put(p, totals(row + 1));
    }

    /** A row for what the values come to with dials, bursts and jitter. */
    private List<Label> totals(int row) {
        List<Label> labels = new ArrayList<>();
        labels.add(quiet("comes to"));
        for (LaneKind lane : lanes) {
            Label total = new Label();
            total.getStyleClass().addAll("quiet", "number");
            total.setId("total-" + lane.id() + "-" + row / 2);
            setHalignment(total, HPos.RIGHT);
            labels.add(total);
        }
        for (int column = 0; column < labels.size(); column++) {
            labels.get(column).setVisible(false);
            labels.get(column).setManaged(false);
            add(labels.get(column), column, row);
        }
        return labels;
    }

    /** Shows them where a value comes to another than is set. */
    private void showTotals(State state) {
        Step step = state.step().orElse(null);
        LookPlanner planner = Values.at(session, view.frame.get()).orElse(null);
        if (step == null || planner == null) {
            return;
        }
        List<Settings> lanes = new ArrayList<>();
        for (int lane = 0; lane < step.lanes().size(); lane++) {
            lanes.add(planner.settings(step, lane));
        }
        totals.forEach((parameter, labels) -> showTotals(step, lanes, parameter, labels));
    }

    private void showTotals(
            Step step, List<Settings> lanes, Parameter parameter, List<Label> labels) {
        boolean any = false;
        for (int lane = 0; lane < Math.min(lanes.size(), labels.size() - 1); lane++) {
            double set = step.amounts(lane).value(parameter.name()).at(view.frame.get());
            double total = lanes.get(lane).number(parameter.name());
            boolean other = Math.abs(total - parameter.clamp(set)) > UNSEEN;
            any |= other;
            labels.get(lane + 1).setText(other ? String.format(Locale.ROOT, "%+.1f", total) : "");
        }
        for (Label label : labels) {
            label.setVisible(any);
            label.setManaged(any);
        }
    }

    /** The lane's badge; struck out where the lane takes no part. */
    private void head(int lane, LaneKind kind) {
        Badge badge = new Badge(kind);
        Label word = quiet("");
        setHalignment(badge, HPos.RIGHT);
        setHalignment(word, HPos.RIGHT);
        ColumnConstraints column = new ColumnConstraints();
        column.setHalignment(HPos.RIGHT);
        column.setMinWidth(52);
        getColumnConstraints().add(column);
        add(badge, lane + 1, 0);
        showers.add(
                s -> {
                    boolean acts =
                            s.look()
                                    .map(
                                            l ->
                                                    s.step().filter(Step::isWhole).isPresent()
                                                            || l.isShown(lane)
                                                                    && !(l.lanes().get(lane).hold()
                                                                            && LaneEdits.treatment(
                                                                                                    s)
                                                                                            .orElse(
                                                                                                    null)
                                                                                    instanceof
                                                                                    Move))
                                    .orElse(true);
                    badge.setOpacity(acts ? 1 : 0.4);
                });
    }

    private NumberField number(int lane, LaneKind kind, Parameter p) {
        int decimals = p.step() >= 1 && p.max() - p.min() <= 1 ? 0 : p.step() < 0.1 ? 2 : 1;
        var spec =
                new NumberField.Spec(
                        "", p.min(), p.max(), p.rest(), p.step(), decimals, p.min() < 0);
        NumberField field =
                LookNumber.field(
                        kind.id() + "-" + p.name(),
                        spec,
                        kind.title()
                                + " "
                                + p.title()
                                + (p.unit().isEmpty() ? "" : ", in " + p.unit()),
                        session,
                        "Set " + kind.title() + " " + p.title(),
                        to -> change(lane, p, to));
        Aimed.at(field, session, view, target(lane, p));
        showers.add(
                s ->
                        s.step()
                                .map(step -> step.amounts(lane).value(p.name()))
                                .ifPresent(v -> field.show(v.at(view.frame.get()))));
        return field;
    }

    private Target target(int lane, Parameter p) {
        Step step = session.state().step().orElseThrow();
        return step.isWhole()
                ? new Target.OfStep(step.id(), p.name())
                : new Target.OfLane(step.id(), lane, p.name());
    }

    private UnaryOperator<Look> change(int lane, Parameter p, double to) {
        String step = session.state().stepId();
        return look -> LaneEdits.with(look, step, lane, view.frame.get(), p.name(), to);
    }
}
