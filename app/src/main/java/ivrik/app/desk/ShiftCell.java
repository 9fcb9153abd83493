package ivrik.app.desk;

import ivrik.app.control.Drawing;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.look.Amounts;
import ivrik.core.look.Look;
import ivrik.core.separation.LaneKind;

import javafx.beans.property.ObjectProperty;
import javafx.beans.value.ChangeListener;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;

import java.util.Locale;

/** A lane's share in a shift, as a small drawing: where it is moved, and the numbers. */
final class ShiftCell extends Drawing {
    private final Session session;
    private final View view;
    private final int step;
    private final int lane;
    private final LaneKind kind;

    ShiftCell(
            Session session,
            View view,
            ObjectProperty<Palette> palette,
            int step,
            int lane,
            LaneKind kind) {
        super(palette);
        this.session = session;
        this.view = view;
        this.step = step;
        this.lane = lane;
        this.kind = kind;
        ChangeListener<Number> moved = (o, a, b) -> redraw();
        sceneProperty()
                .addListener(
                        (o, was, is) -> {
                            if (is == null) {
                                view.frame.removeListener(moved);
                            } else {
                                view.frame.addListener(moved);
                            }
                        });
        setAccessibleText(kind.title() + ", shift");
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        Look look = session.state().look().orElse(null);
        if (look == null || step >= look.steps().size()) {
            return;
        }
        boolean held = look.lanes().get(lane).hold();
        Amounts amounts = look.steps().get(step).lanes().get(lane);
        double x = amounts.value("x").at(view.frame.get());
        double y = amounts.value("y").at(view.frame.get());
        double cx = w / 2;
        double cy = isLow(h) ? 15 : 26;
        double reach = Math.min(16, cy - 5);
        g.setStroke(p.colour("line"));
        g.setLineWidth(1);
        g.strokeLine(cx - 24, cy + 0.5, cx + 24, cy + 0.5);
        g.strokeLine(cx + 0.5, cy - reach, cx + 0.5, cy + reach);
        double far = Math.hypot(x, y);
        double length = far == 0 ? 0 : 4 + 16 * (1 - Math.exp(-far / 14));
        double px = cx + (far == 0 ? 0 : x / far * length * 1.25);
        double py = cy + (far == 0 ? 0 : y / far * length * 0.75 * reach / 16);
        g.setGlobalAlpha(held || !look.isShown(lane) || !look.steps().get(step).on() ? 0.45 : 1);
        g.setStroke(p.ink(kind));
        g.setFill(p.ink(kind));
        g.setLineWidth(2);
        g.strokeLine(cx, cy, px, py);
        g.fillOval(px - 4, py - 4, 8, 8);
        if (!amounts.jitter().isNone()) {
            g.setLineWidth(1);
            double r = isLow(h) ? 6 : 8;
            g.strokeOval(px - r, py - r, 2 * r, 2 * r);
        }
        g.setGlobalAlpha(1);
        g.setTextAlign(TextAlignment.CENTER);
        g.setFont(p.numbers(12));
        g.setFill(p.colour(held || far == 0 ? "quiet" : "type"));
        g.fillText(held ? "held" : number(x) + " " + number(y), cx, h - (isLow(h) ? 7 : 11));
        g.setTextAlign(TextAlignment.LEFT);
    }

    private static boolean isLow(double height) {
        return height < 56;
    }

    private static String number(double v) {
        if (v == 0) {
            return "0";
        }
        return String.format(
                Locale.ROOT, Math.abs(v) >= 100 || v == Math.rint(v) ? "%+.0f" : "%+.1f", v);
    }
}
