package ivrik.app.controls;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Drawing;
import ivrik.core.look.Dial;
import ivrik.core.look.DialEdits;

import javafx.beans.property.ObjectProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;

import java.util.Optional;

/** A dial as a ruler: ticks over its range, a mark at rest, a handle at its value. */
final class DialRuler extends Drawing {
    private static final double SIDE = 8;
    private static final int TICKS = 20;

    private final Session session;
    private final View view;
    private final String name;
    private Session.Gesture gesture;
    private Dial.Span shown = new Dial.Span(0, 1);

    DialRuler(Session session, View view, ObjectProperty<Palette> palette, Dial dial) {
        super(palette);
        this.session = session;
        this.view = view;
        this.name = dial.name();
        setId("dial-rule-" + name);
        setMinSize(120, 34);
        setPrefHeight(34);
        setAccessibleText("Dial " + dial.title());
        redrawOn(session.stateProperty(), view.frame);
        setOnMousePressed(
                e -> {
                    gesture = session.gesture("Change dial " + dial.title());
                    dragged(e);
                });
        setOnMouseDragged(this::dragged);
        setOnMouseReleased(
                e -> {
                    gesture = null;
                    redraw();
                });
    }

    private Optional<Dial> dial() {
        return session.state().look().stream()
                .flatMap(l -> l.dials().stream())
                .filter(d -> d.name().equals(name))
                .findFirst();
    }

    private double room() {
        return shown.most() - shown.least();
    }

    private double x(double value) {
        double share = (value - shown.least()) / Math.max(1e-9, room());
        return SIDE + Math.clamp(share, 0, 1) * (getWidth() - 2 * SIDE);
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        Dial dial = dial().orElse(null);
        if (dial == null) {
            return;
        }
        if (gesture == null) {
            shown = dial.about(dial.value().at(view.frame.get()));
        }
        double base = h - 8.5;
        g.setStroke(p.colour("line"));
        g.setLineWidth(1);
        g.strokeLine(SIDE, base, w - SIDE, base);
        for (int i = 0; i <= TICKS; i++) {
            double x = Math.rint(SIDE + (w - 2 * SIDE) * i / TICKS) + 0.5;
            g.strokeLine(x, base, x, base - (i % 5 == 0 ? 8 : 4));
        }
        double rest = Math.rint(x(dial.rest())) + 0.5;
        double now = Math.rint(x(dial.value().at(view.frame.get()))) + 0.5;
        g.setStroke(p.colour("quiet"));
        g.strokeLine(rest, base, rest, base + 6);
        g.setStroke(p.colour("paper"));
        g.setLineWidth(3);
        g.strokeLine(Math.min(rest, now), base, Math.max(rest, now), base);
        g.setLineWidth(2);
        g.strokeLine(now, base + 5, now, 4);
        g.strokeLine(now - 4, base + 5, now + 4, base + 5);
    }

    private void dragged(MouseEvent e) {
        Dial dial = dial().orElse(null);
        if (dial == null || gesture == null) {
            return;
        }
        double share = Math.clamp((e.getX() - SIDE) / (getWidth() - 2 * SIDE), 0, 1);
        double step = room() > 20 ? 1 : room() / 200;
        double unit = e.isAltDown() ? step / 10 : step;
        double to = Math.rint((shown.least() + share * room()) / unit) * unit;
        long frame = view.frame.get();
        boolean nearRest = Math.abs(x(to) - x(dial.rest())) < 4;
        double near = nearRest ? dial.rest() : Math.clamp(to, dial.min(), dial.max());
        gesture.editLook(
                l -> DialEdits.with(l, name, d -> d.withValue(d.value().set(frame, near))));
    }
}
