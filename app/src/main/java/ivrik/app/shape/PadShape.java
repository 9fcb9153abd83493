package ivrik.app.shape;

import ivrik.app.control.Controls;
import ivrik.app.control.WhileShown;
import ivrik.app.session.Follow;
import ivrik.app.session.Nudge;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;

import java.util.List;
import java.util.Optional;

/** A place: where each lane is moved. */
final class PadShape extends Shape {
    /** Where the lane is moved, as a point away from a cross. */
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
    public List<Node> closeUp(Around around) {
        ShiftPad pad = new ShiftPad(around.session(), around.view(), around.palette());
        pad.setPrefHeight(166);
        pad.setId("shift-pad");
        return List.of(pad, follow(around), step(around));
    }

    @Override
    public Optional<Handle> handle(Session session, View view) {
        return Optional.of(new ShiftHandles(session, view));
    }

    /** How far an arrow key moves the lane. */
    private static Node step(Around around) {
        View view = around.view();
        FlowPane box = new FlowPane(2, 2);
        box.getChildren().add(Controls.quiet("arrow keys move by"));
        for (double step : Nudge.STEPS) {
            String word = Controls.plain(step);
            ToggleButton button =
                    Controls.toggle(
                            "nudge-" + Math.round(10 * step),
                            word,
                            word
                                    + " pixels with each press of an arrow key, ten times that with"
                                    + " Shift, a tenth with Alt. Key: '");
            button.setOnAction(
                    e -> {
                        button.setSelected(true);
                        view.nudge.set(step);
                    });
            WhileShown.listen(
                    button, () -> button.setSelected(view.nudge.get() == step), view.nudge);
            box.getChildren().add(button);
        }
        return box;
    }

    /** How the other lanes follow the one that is dragged. */
    private static Node follow(Around around) {
        ToggleGroup group = new ToggleGroup();
        FlowPane box = new FlowPane(2, 2);
        for (Follow how : Follow.values()) {
            ToggleButton button =
                    Controls.toggle("follow-" + Controls.word(how), how.toString(), how.help());
            button.setToggleGroup(group);
            button.setOnAction(
                    e -> {
                        button.setSelected(true);
                        around.view().follow.set(how);
                    });
            around.onState(s -> button.setSelected(around.view().follow.get() == how));
            box.getChildren().add(button);
        }
        return box;
    }
}
