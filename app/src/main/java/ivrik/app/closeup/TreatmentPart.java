package ivrik.app.closeup;

import static ivrik.app.closeup.Controls.choice;
import static ivrik.app.closeup.Controls.quiet;
import static ivrik.app.closeup.Controls.row;
import static ivrik.app.closeup.Controls.word;

import ivrik.app.control.Badge;
import ivrik.app.control.NumberField;
import ivrik.app.session.Follow;
import ivrik.app.session.Lanes;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Sampler;
import ivrik.core.separation.LaneKind;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Parameter;

import javafx.beans.property.ObjectProperty;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;

/**
 * The close-up of the selected treatment, made from its description: the pad where it has x and y, a
 * number for each lane and parameter, edge fill, sampler, jitter, and the look's dials.
 */
final class TreatmentPart extends VBox implements Part {
    private final Session session;
    private final View view;
    private final ObjectProperty<Palette> palette;

    /** What is told of each new state. */
    private final List<Consumer<State>> showers = new ArrayList<>();

    TreatmentPart(Session session, View view, ObjectProperty<Palette> palette) {
        this.session = session;
        this.view = view;
        this.palette = palette;
        getStyleClass().add("close-up-body");
        State state = session.state();
        Look look = state.look().orElseThrow();
        Step step = look.steps().get(state.step());
        Description d = step.kind().description();
        getChildren().add(row(title(d), unit(d)));
        if (Lanes.hasShift(state)) {
            ShiftPad pad = new ShiftPad(session, view, palette);
            pad.setPrefHeight(188);
            pad.setId("shift-pad");
            getChildren().addAll(pad, follow());
        }
        getChildren().addAll(numbers(look.model().lanes(), d), edges(), jitter());
        if (!look.dials().isEmpty()) {
            getChildren().add(new DialsPart(session, view, look, showers));
        }
    }

    @Override
    public Node node() {
        return this;
    }

    @Override
    public void show(State state) {
        showers.forEach(s -> s.accept(state));
    }

    private static Label title(Description d) {
        Label title = new Label(d.title());
        title.getStyleClass().add("title");
        title.setTooltip(new Tooltip(d.help()));
        return title;
    }

    private static Label unit(Description d) {
        return quiet(
                d.parameters().getFirst().unit().equals("px")
                        ? "pixels"
                        : d.parameters().getFirst().unit());
    }

    private Node follow() {
        ToggleGroup group = new ToggleGroup();
        FlowPane box = new FlowPane(2, 2);
        for (Follow how : Follow.values()) {
            ToggleButton button = new ToggleButton(how.toString());
            button.getStyleClass().add("plain");
            button.setToggleGroup(group);
            button.setMinWidth(USE_PREF_SIZE);
            button.setId("follow-" + how);
            button.setTooltip(new Tooltip(how.help()));
            button.setOnAction(
                    e -> {
                        button.setSelected(true);
                        view.follow.set(how);
                    });
            showers.add(s -> button.setSelected(view.follow.get() == how));
            box.getChildren().add(button);
        }
        return box;
    }

    private Node numbers(List<LaneKind> lanes, Description d) {
        GridPane grid = new GridPane(4, 4);
        ColumnConstraints first = new ColumnConstraints(26);
        grid.getColumnConstraints().add(first);
        for (int lane = 0; lane < lanes.size(); lane++) {
            Badge badge = new Badge(lanes.get(lane));
            grid.add(badge, 0, lane);
            for (int k = 0; k < d.parameters().size(); k++) {
                Parameter p = d.parameters().get(k);
                Node number = number(lane, lanes.get(lane), p);
                GridPane.setHgrow(number, Priority.ALWAYS);
                HBox cell = new HBox(2, quiet(p.title()), number);
                cell.setAlignment(javafx.geometry.Pos.CENTER_RIGHT);
                GridPane.setHalignment(cell, HPos.RIGHT);
                GridPane.setHgrow(cell, Priority.ALWAYS);
                grid.add(cell, k + 1, lane);
            }
            Label state = quiet("");
            state.setMinWidth(34);
            int number = lane;
            showers.add(
                    s ->
                            state.setText(
                                    s.look()
                                            .map(
                                                    l ->
                                                            l.lanes().get(number).hold()
                                                                    ? "held"
                                                                    : l.isShown(number)
                                                                            ? ""
                                                                            : "mute")
                                            .orElse("")));
            grid.add(state, d.parameters().size() + 1, lane);
        }
        return grid;
    }

    private NumberField number(int lane, LaneKind kind, Parameter p) {
        var spec = new NumberField.Spec("", p.min(), p.max(), p.rest(), p.step(), 1, p.min() < 0);
        String name = "Set " + kind.title() + " " + p.title();
        NumberField field =
                new NumberField(
                        spec,
                        kind.title() + " " + p.title() + ", in " + p.unit(),
                        new NumberField.Listener() {
                            private Session.Gesture gesture;

                            @Override
                            public void begin() {
                                gesture = session.gesture(name);
                            }

                            @Override
                            public void drag(double to) {
                                gesture.editLook(change(to));
                            }

                            @Override
                            public void set(double to) {
                                session.editLook(name, change(to));
                            }

                            private java.util.function.UnaryOperator<Look> change(double to) {
                                int step = session.state().step();
                                return look ->
                                        Lanes.with(
                                                look, step, lane, view.frame.get(), p.name(), to);
                            }
                        });
        field.setId(kind.id() + "-" + p.name());
        showers.add(
                s ->
                        s.look()
                                .filter(l -> s.step() < l.steps().size())
                                .ifPresent(
                                        l ->
                                                field.show(
                                                        l.steps()
                                                                .get(s.step())
                                                                .lanes()
                                                                .get(lane)
                                                                .value(p.name())
                                                                .at(view.frame.get()))));
        return field;
    }

    private Node edges() {
        MenuButton fill =
                choice(
                        "What lies outside the picture where a lane has moved away",
                        EdgeFill.values(),
                        to -> stepEdit("Fill edges: " + word(to), s -> s.withEdgeFill(to)));
        MenuButton sampler =
                choice(
                        "How a value between pixels is found",
                        Sampler.values(),
                        to -> stepEdit("Sampler: " + word(to), s -> s.withSampler(to)));
        fill.setId("edge-fill");
        showers.add(
                s ->
                        step(s).ifPresent(
                                        step -> {
                                            fill.setText(word(step.edgeFill()));
                                            sampler.setText(word(step.sampler()));
                                        }));
        return row(quiet("Edges"), fill, quiet("Sampler"), sampler);
    }

    static java.util.Optional<Step> step(State s) {
        return s.look().filter(l -> s.step() < l.steps().size()).map(l -> l.steps().get(s.step()));
    }

    private void stepEdit(String name, java.util.function.UnaryOperator<Step> change) {
        int step = session.state().step();
        session.editLook(name, look -> look.withStep(step, change));
    }

    private Node jitter() {
        JitterControls controls = new JitterControls(session, view);
        showers.add(controls::show);
        return controls;
    }
}
