package ivrik.app.controls;

import static ivrik.app.widget.Controls.quiet;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.CurrentValues;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.LookNumber;
import ivrik.app.shape.TargetedFields;
import ivrik.app.widget.ChannelBadge;
import ivrik.app.widget.NumberField;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.render.LookPlanner;
import ivrik.core.separation.ChannelKind;
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

/** A table of numbers: one row per parameter, one column per channel. */
final class ChannelNumbers extends GridPane {
    /** Smallest difference that the displayed digits show. */
    private static final double UNSEEN = 0.005;

    private final Session session;
    private final View view;
    private final List<ChannelKind> channels;
    private final List<Consumer<State>> showers;

    /** Labels with the total of each parameter: a title, and a number per channel. */
    private final Map<Parameter, List<Label>> totals = new LinkedHashMap<>();

    ChannelNumbers(
            Session session, View view, List<ChannelKind> channels, List<Consumer<State>> showers) {
        super(2, 2);
        this.session = session;
        this.view = view;
        this.channels = channels;
        this.showers = showers;
        ColumnConstraints titles = new ColumnConstraints();
        titles.setHgrow(Priority.ALWAYS);
        titles.setMinWidth(40);
        getColumnConstraints().add(titles);
        for (int channel = 0; channel < channels.size(); channel++) {
            head(channel, channels.get(channel));
        }
        showers.add(this::showTotals);
    }

    /** Builders of the rows, run one after the other. */
    List<Runnable> rows(Description d) {
        List<Runnable> rows = new ArrayList<>();
        for (Parameter p : d.parameters()) {
            if (!p.title().isEmpty()) { // parameters without a title have controls of their own
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
        title.setWrapText(true); // many channels leave little room for titles
        add(title, 0, row);
        for (int channel = 0; channel < channels.size(); channel++) {
            NumberField number = number(channel, channels.get(channel), p);
            setHalignment(number, HPos.RIGHT);
            add(number, channel + 1, row);
        }
        totals.put(p, totals(row + 1));
    }

    /** A row for totals with dials, bursts and jitter. */
    private List<Label> totals(int row) {
        List<Label> labels = new ArrayList<>();
        labels.add(quiet("result"));
        for (ChannelKind channel : channels) {
            Label total = new Label();
            total.getStyleClass().addAll("quiet", "number");
            total.setId("total-" + channel.id() + "-" + row / 2);
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

    /** Shows totals where they differ from the set values. */
    private void showTotals(State state) {
        Step step = state.step().orElse(null);
        LookPlanner planner = CurrentValues.at(session, view.frame.get()).orElse(null);
        if (step == null || planner == null) {
            return;
        }
        List<Settings> channels = new ArrayList<>();
        for (int channel = 0; channel < step.channels().size(); channel++) {
            channels.add(planner.settings(step, channel));
        }
        totals.forEach((parameter, labels) -> showTotals(step, channels, parameter, labels));
    }

    private void showTotals(
            Step step, List<Settings> channels, Parameter parameter, List<Label> labels) {
        boolean any = false;
        for (int channel = 0; channel < Math.min(channels.size(), labels.size() - 1); channel++) {
            double set = step.settings(channel).value(parameter.name()).at(view.frame.get());
            double total = channels.get(channel).number(parameter.name());
            boolean other = Math.abs(total - parameter.clamp(set)) > UNSEEN;
            any |= other;
            labels.get(channel + 1)
                    .setText(other ? String.format(Locale.ROOT, "%+.1f", total) : "");
        }
        for (Label label : labels) {
            label.setVisible(any);
            label.setManaged(any);
        }
    }

    /** A channel's badge, struck through if the channel is excluded. */
    private void head(int channel, ChannelKind kind) {
        ChannelBadge badge = new ChannelBadge(kind);
        Label label = quiet("");
        setHalignment(badge, HPos.RIGHT);
        setHalignment(label, HPos.RIGHT);
        ColumnConstraints column = new ColumnConstraints();
        column.setHalignment(HPos.RIGHT);
        column.setMinWidth(52);
        getColumnConstraints().add(column);
        add(badge, channel + 1, 0);
        showers.add(
                s -> {
                    boolean acts =
                            s.look()
                                    .map(
                                            l ->
                                                    s.step().filter(Step::isWhole).isPresent()
                                                            || l.isShown(channel)
                                                                    && !(l.channels()
                                                                                    .get(channel)
                                                                                    .fixed()
                                                                            && ChannelEdits
                                                                                            .treatment(
                                                                                                    s)
                                                                                            .orElse(
                                                                                                    null)
                                                                                    instanceof
                                                                                    Move))
                                    .orElse(true);
                    badge.setOpacity(acts ? 1 : 0.4);
                });
    }

    private NumberField number(int channel, ChannelKind kind, Parameter p) {
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
                        to -> change(channel, p, to));
        TargetedFields.at(field, session, view, target(channel, p));
        showers.add(
                s ->
                        s.step()
                                .map(step -> step.settings(channel).value(p.name()))
                                .ifPresent(v -> field.show(v.at(view.frame.get()))));
        return field;
    }

    private Target target(int channel, Parameter p) {
        Step step = session.state().step().orElseThrow();
        return step.isWhole()
                ? new Target.OfStep(step.id(), p.name())
                : new Target.OfChannel(step.id(), channel, p.name());
    }

    private UnaryOperator<Look> change(int channel, Parameter p, double to) {
        String step = session.state().stepId();
        return look -> ChannelEdits.with(look, step, channel, view.frame.get(), p.name(), to);
    }
}
