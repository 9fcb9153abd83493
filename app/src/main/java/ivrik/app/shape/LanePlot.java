package ivrik.app.shape;

import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.Values;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.look.Look;
import ivrik.core.motion.Value;
import ivrik.core.separation.LaneKind;
import ivrik.core.treatment.Curve;
import ivrik.core.treatment.Lens;
import ivrik.core.treatment.Plot;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.beans.property.ObjectProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;

/**
 * One plot with a curve per lane: what comes out for what goes in, or how much further out a lens puts
 * what lies at each distance from the centre. Points of a curve are set by a press, dragged, and taken
 * away by a press of the right button.
 */
final class LanePlot extends LaneDrawing {
    private static final int STEPS = 64;
    private static final double GRIP = 9;
    private static final double[] ROOMS = {0.005, 0.01, 0.02, 0.05, 0.1, 0.25, 0.5, 1, 2, 5};

    private int point;
    private double room = 0.01;

    LanePlot(Session session, View view, ObjectProperty<Palette> palette) {
        super(session, view, palette, "A curve for each lane");
        setMinSize(120, 150);
        setPrefHeight(176);
    }

    private Settings settings(int lane) {
        return Values.settings(session, lane, view.frame.get()).orElseThrow();
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        Look look = session.state().look().orElse(null);
        Treatment treatment = LaneEdits.treatment(session.state()).orElse(null);
        if (look == null || treatment == null) {
            return;
        }
        g.setFill(p.colour("ground"));
        g.fillRect(0, 0, w, h);
        g.setLineWidth(1);
        for (int i = 0; i <= 4; i++) {
            g.setStroke(p.colour(i % 4 == 0 ? "line" : "faint"));
            double x = Math.rint((w - 1) * i / 4) + 0.5;
            double y = Math.rint((h - 1) * i / 4) + 0.5;
            g.strokeLine(x, 0, x, h);
            g.strokeLine(0, y, w, y);
        }
        List<LaneKind> kinds = LaneEdits.shares(session.state());
        int working = LaneEdits.share(session.state());
        if (treatment instanceof Lens) {
            chooseRoom(kinds.size());
            g.setFill(p.colour("quiet"));
            g.setFont(p.numbers(11));
            g.fillText(String.format(Locale.ROOT, "+%.1f %%", 100 * room), 6, 14);
            g.fillText("centre", 6, h - 6);
            g.fillText("corner", w - 48, h - 6);
        }
        for (int k = 1; k <= kinds.size(); k++) {
            int lane = (working + k) % kinds.size();
            g.setStroke(p.ink(kinds.get(lane)));
            g.setLineWidth(lane == working ? 2.4 : 1.4);
            curve(g, treatment, settings(lane), w, h);
        }
        if (hasPoints(treatment)) {
            g.setFill(p.ink(kinds.get(working)));
            Settings s = settings(working);
            for (int i = 0; i < s.count(Curve.SERIES); i++) {
                double x = s.number(Curve.SERIES, i, "in") / 100 * w;
                double y = h - s.number(Curve.SERIES, i, "out") / 100 * h;
                g.fillOval(x - 4, y - 4, 8, 8);
            }
        }
    }

    private void chooseRoom(int lanes) {
        double most =
                IntStream.range(0, lanes)
                        .mapToObj(i -> settings(i))
                        .mapToDouble(s -> Math.max(away(s, 1), away(s, 0.7)))
                        .max()
                        .orElse(0);
        for (double r : ROOMS) {
            if (r >= most * 1.1) {
                room = r;
                return;
            }
        }
    }

    private static double away(Settings s, double r) {
        return Math.abs(Lens.magnified(s, r) / r - 1);
    }

    /** Whether its curve goes through points that are set here. */
    private boolean hasPoints(Treatment treatment) {
        return treatment.description().series().filter(Curve.SERIES::equals).isPresent();
    }

    private void curve(GraphicsContext g, Treatment t, Settings s, double w, double h) {
        DoubleUnaryOperator tone = t instanceof Plot plot ? plot.plotted(s) : null;
        g.beginPath();
        for (int i = 0; i <= STEPS; i++) {
            double v = (double) i / STEPS;
            double y;
            if (tone != null) {
                double out = v + s.amount() * (tone.applyAsDouble(v) - v);
                y = h - Math.clamp(out, -0.1, 1.1) * h;
            } else {
                double r = Math.max(v, 1e-3);
                y = h / 2 - (Lens.magnified(s, r) / r - 1) / room * h / 2;
            }
            if (i == 0) {
                g.moveTo(v * w, y);
            } else {
                g.lineTo(v * w, y);
            }
        }
        g.stroke();
    }

    @Override
    void pressed(MouseEvent e) {
        Look look = session.state().look().orElse(null);
        if (look == null
                || !LaneEdits.treatment(session.state()).filter(this::hasPoints).isPresent()) {
            return;
        }
        int lane = LaneEdits.share(session.state());
        Settings s = settings(lane);
        point = -1;
        for (int i = 0; i < s.count(Curve.SERIES); i++) {
            double x = s.number(Curve.SERIES, i, "in") / 100 * getWidth();
            double y = getHeight() - s.number(Curve.SERIES, i, "out") / 100 * getHeight();
            if (Math.hypot(x - e.getX(), y - e.getY()) < GRIP) {
                point = i;
            }
        }
        boolean away = e.getButton() == MouseButton.SECONDARY;
        if (point >= 0 && away) {
            session.editLook(
                    "Remove a point",
                    l ->
                            l.withAmounts(
                                    session.state().stepId(),
                                    lane,
                                    a -> a.withoutThing(Curve.SERIES, point)));
            return;
        }
        if (away) {
            return;
        }
        if (point < 0) {
            point = s.count(Curve.SERIES);
            double in = 100 * e.getX() / getWidth();
            session.editLook(
                    "Add a point",
                    l ->
                            l.withAmounts(
                                    session.state().stepId(),
                                    lane,
                                    a ->
                                            a.withThing(
                                                    Curve.SERIES,
                                                    Map.of("in", in, "out", out(e)))));
        }
        gesture = session.gesture("Move a point");
    }

    private double out(MouseEvent e) {
        return Math.clamp(100 * (1 - e.getY() / getHeight()), -100, 200);
    }

    @Override
    void dragged(MouseEvent e) {
        if (gesture == null) {
            return;
        }
        String step = session.state().stepId();
        int lane = LaneEdits.share(session.state());
        double in = Math.clamp(100 * e.getX() / getWidth(), 0, 100);
        gesture.editLook(
                look ->
                        look.withAmounts(
                                step,
                                lane,
                                a ->
                                        a.with(
                                                        Curve.SERIES.address(point, "in"),
                                                        Value.of(Math.rint(in * 10) / 10))
                                                .with(
                                                        Curve.SERIES.address(point, "out"),
                                                        Value.of(Math.rint(out(e) * 10) / 10))));
    }
}
