package ivrik.app.shape;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.treatment.PinWarp;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;

import java.util.List;
import java.util.Optional;

/** Pins on the picture. */
final class PinsShape extends Shape {
    /** Each pin and its target. */
    @Override
    void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
        for (int i = 0; i < s.count(PinWarp.SERIES); i++) {
            double px = x + Math.clamp(s.number(PinWarp.SERIES, i, "x") / 20, -26, 26);
            double py = y + Math.clamp(s.number(PinWarp.SERIES, i, "y") / 20, -r, r);
            double dx = Math.clamp(s.number(PinWarp.SERIES, i, "dx") / 4, -12, 12);
            double dy = Math.clamp(s.number(PinWarp.SERIES, i, "dy") / 4, -12, 12);
            g.strokeLine(px, py, px + dx, py + dy);
            g.fillOval(px - 2, py - 2, 4, 4);
        }
    }

    @Override
    public String text(Treatment t, Settings s) {
        int n = s.count(PinWarp.SERIES);
        return n == 1 ? "1 pin" : n + " pins";
    }

    @Override
    public List<Node> controls(Context context) {
        PinsPart pins = new PinsPart(context.session(), context.view());
        context.onState(pins::show);
        return List.of(pins);
    }

    @Override
    public Optional<Handle> handle(Session session, View view) {
        return Optional.of(new PinHandles(session, view));
    }
}
