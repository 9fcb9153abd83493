package ivrik.app.shape;

import ivrik.app.session.Follow;
import ivrik.app.session.Nudge;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.app.widget.ListenWhileShown;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;

import java.util.List;
import java.util.Optional;

/** A position per channel. */
final class PadShape extends Shape {
    /** A point offset from a cross. */
    @Override
    void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
        double dx = s.number("x");
        double dy = s.number("y");
        double far = Math.hypot(dx, dy);
        double length = far == 0 ? 0 : 0.25 + 1.1 * (1 - Math.exp(-far / 14));
        double px = x + (far == 0 ? 0 : dx / far * length * r);
        double py = y + (far == 0 ? 0 : dy / far * length * r * 0.7);
        g.strokeLine(x, y, px, py);
        g.fillOval(px - 4, py - 4, 8, 8);
    }

    @Override
    public String text(Treatment t, Settings s) {
        return signed(s.number("x")) + " " + signed(s.number("y"));
    }

    @Override
    public List<Node> controls(Context context) {
        ShiftPad pad = new ShiftPad(context.session(), context.view(), context.palette());
        pad.setPrefHeight(166);
        pad.setId("shift-pad");
        return List.of(pad, follow(context), step(context));
    }

    @Override
    public Optional<Handle> handle(Session session, View view) {
        return Optional.of(new ShiftHandles(session, view));
    }

    /** Step of the arrow keys. */
    private static Node step(Context context) {
        View view = context.view();
        FlowPane box = new FlowPane(2, 2);
        box.getChildren().add(Controls.quiet("nudge, px"));
        for (double step : Nudge.STEPS) {
            String text = Controls.plain(step);
            ToggleButton button =
                    Controls.toggle(
                            "nudge-" + Math.round(10 * step),
                            text,
                            "Arrow keys move by "
                                    + text
                                    + " px; with Shift ten times, with Alt a tenth. Next step: '");
            button.setOnAction(
                    e -> {
                        button.setSelected(true);
                        view.nudge.set(step);
                    });
            ListenWhileShown.listen(
                    button, () -> button.setSelected(view.nudge.get() == step), view.nudge);
            box.getChildren().add(button);
        }
        return box;
    }

    /** How the other channels follow a dragged one. */
    private static Node follow(Context context) {
        ToggleGroup group = new ToggleGroup();
        FlowPane box = new FlowPane(2, 2);
        for (Follow how : Follow.values()) {
            ToggleButton button = Controls.toggle("follow-" + how.id(), how.toString(), how.help());
            button.setToggleGroup(group);
            button.setOnAction(
                    e -> {
                        button.setSelected(true);
                        context.view().follow.set(how);
                    });
            context.onState(s -> button.setSelected(context.view().follow.get() == how));
            box.getChildren().add(button);
        }
        return box;
    }
}
