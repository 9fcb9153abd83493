package ivrik.app.shape;

import ivrik.app.control.Bars;
import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.Values;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.colour.Hue;
import ivrik.core.look.Amounts;
import ivrik.core.look.Look;
import ivrik.core.motion.Value;
import ivrik.core.separation.LaneKind;
import ivrik.core.treatment.Lens;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Plot;
import ivrik.core.treatment.Points;
import ivrik.core.treatment.Series;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.beans.property.ObjectProperty;
import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
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

    private static final int HUES = 36;

    /** The points of the plot that was pressed, and which of them. */
    private Points points;

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
            g.setFill(p.colour(i % 4 == 0 ? "line" : "faint"));
            Bars.cross(g, (w - 1) * i / 4, (h - 1) * i / 4, w, h);
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
        points(treatment)
                .ifPresent(
                        points -> {
                            if (points.hues()) {
                                hues(g, w, h);
                            }
                            g.setFill(p.ink(kinds.get(working)));
                            Settings s = settings(working);
                            for (int i = 0; i < s.count(points.series()); i++) {
                                Point2D at = at(points, s, i);
                                g.fillOval(at.getX() - 4, at.getY() - 4, 8, 8);
                            }
                        });
    }

    /** Which hue is where. */
    private static void hues(GraphicsContext g, double w, double h) {
        for (int i = 0; i < HUES; i++) {
            g.setFill(Color.hsb(Hue.TURN * i / HUES, 0.8, 0.9));
            g.fillRect(w * i / HUES, h - 4, w / HUES + 1, 4);
        }
    }

    private Point2D at(Points points, Settings s, int number) {
        return new Point2D(
                points.across(s.number(points.series(), number, "in")) * getWidth(),
                (1 - points.up(s.number(points.series(), number, "out"))) * getHeight());
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

    /** Those that its curve goes through, set here. */
    private static Optional<Points> points(Treatment treatment) {
        return treatment instanceof Plot plot ? plot.points() : Optional.empty();
    }

    private void curve(GraphicsContext g, Treatment t, Settings s, double w, double h) {
        DoubleUnaryOperator tone = t instanceof Plot plot ? plot.plotted(s) : null;
        g.beginPath();
        for (int i = 0; i <= STEPS; i++) {
            double v = (double) i / STEPS;
            double y;
            if (tone != null) {
                double flat = ((Plot) t).untouched(v);
                double out = flat + s.amount() * (tone.applyAsDouble(v) - flat);
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
        points = LaneEdits.treatment(session.state()).flatMap(LanePlot::points).orElse(null);
        if (session.state().look().isEmpty() || points == null) {
            return;
        }
        Series series = points.series();
        int lane = LaneEdits.share(session.state());
        Settings s = settings(lane);
        point = -1;
        for (int i = 0; i < s.count(series); i++) {
            if (at(points, s, i).distance(e.getX(), e.getY()) < GRIP) {
                point = i;
            }
        }
        boolean away = e.getButton() == MouseButton.SECONDARY;
        String step = session.state().stepId();
        if (point >= 0 && away) {
            session.editLook(
                    "Remove a point",
                    l -> l.withAmounts(step, lane, a -> a.withoutThing(series, point)));
            return;
        }
        if (away) {
            return;
        }
        if (point < 0) {
            point = s.count(series);
            Map<String, Double> there = Map.of("in", in(e), "out", out(e));
            session.editLook(
                    "Add a point", l -> l.withAmounts(step, lane, a -> a.withThing(series, there)));
        }
        gesture = session.gesture("Move a point");
    }

    private double in(MouseEvent e) {
        return points.in(Math.clamp(e.getX() / getWidth(), 0, 1));
    }

    private double out(MouseEvent e) {
        Parameter range =
                points.series().parameters().stream()
                        .filter(p -> p.name().equals("out"))
                        .findFirst()
                        .orElseThrow();
        return Math.clamp(points.out(1 - e.getY() / getHeight()), range.min(), range.max());
    }

    @Override
    void dragged(MouseEvent e) {
        if (gesture == null) {
            return;
        }
        String step = session.state().stepId();
        int lane = LaneEdits.share(session.state());
        gesture.editLook(
                look ->
                        look.withAmounts(
                                step, lane, a -> moved(moved(a, "in", in(e)), "out", out(e))));
    }

    private Amounts moved(Amounts amounts, String which, double to) {
        return amounts.with(
                points.series().address(point, which), Value.of(Math.rint(to * 10) / 10));
    }
}
