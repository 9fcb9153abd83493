package ivrik.app.shape;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.CurrentValues;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.app.widget.CanvasLines;
import ivrik.core.colour.Hue;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.motion.Value;
import ivrik.core.separation.ChannelKind;
import ivrik.core.treatment.CurvePoints;
import ivrik.core.treatment.LensDistortion;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Plot;
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
 * A plot with one curve per channel: output over input, or the magnification of a lens over the distance from
 * the centre. Curve points are set by a click, dragged, and removed by a right click.
 */
final class ChannelPlot extends ChannelDrawing {
    private static final int STEPS = 64;
    private static final double GRIP = 9;
    private static final double[] ROOMS = {0.005, 0.01, 0.02, 0.05, 0.1, 0.25, 0.5, 1, 2, 5};

    private static final int HUES = 36;

    /** The points of the clicked plot and the index of the dragged one. */
    private CurvePoints points;

    private int point;
    private double room = 0.01;

    ChannelPlot(Session session, View view, ObjectProperty<Palette> palette) {
        super(session, view, palette, "One curve per channel");
        setMinSize(120, 150);
        setPrefHeight(176);
    }

    private Settings settings(int channel) {
        return CurrentValues.settings(session, channel, view.frame.get()).orElseThrow();
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        Look look = session.state().look().orElse(null);
        Treatment treatment = ChannelEdits.treatment(session.state()).orElse(null);
        if (look == null || treatment == null) {
            return;
        }
        g.setFill(p.colour("background"));
        g.fillRect(0, 0, w, h);
        g.setLineWidth(1);
        for (int i = 0; i <= 4; i++) {
            g.setFill(p.colour(i % 4 == 0 ? "line" : "faint"));
            CanvasLines.cross(g, (w - 1) * i / 4, (h - 1) * i / 4, w, h);
        }
        List<ChannelKind> kinds = ChannelEdits.shares(session.state());
        int working = ChannelEdits.share(session.state());
        if (treatment instanceof LensDistortion) {
            chooseRoom(kinds.size());
            g.setFill(p.colour("quiet"));
            g.setFont(p.numberFont(11));
            g.fillText(String.format(Locale.ROOT, "+%.1f %%", 100 * room), 6, 14);
            g.fillText("centre", 6, h - 6);
            g.fillText("corner", w - 48, h - 6);
        }
        for (int k = 1; k <= kinds.size(); k++) {
            int channel = (working + k) % kinds.size();
            g.setStroke(p.ink(kinds.get(channel)));
            g.setLineWidth(channel == working ? 2.4 : 1.4);
            curve(g, treatment, settings(channel), w, h);
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

    /** Draws the hues along the axis. */
    private static void hues(GraphicsContext g, double w, double h) {
        for (int i = 0; i < HUES; i++) {
            g.setFill(Color.hsb(Hue.TURN * i / HUES, 0.8, 0.9));
            g.fillRect(w * i / HUES, h - 4, w / HUES + 1, 4);
        }
    }

    private Point2D at(CurvePoints points, Settings s, int number) {
        return new Point2D(
                points.across(s.number(points.series(), number, "in")) * getWidth(),
                (1 - points.up(s.number(points.series(), number, "out"))) * getHeight());
    }

    private void chooseRoom(int channels) {
        double most =
                IntStream.range(0, channels)
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
        return Math.abs(LensDistortion.magnified(s, r) / r - 1);
    }

    /** Editable points of the treatment's curve. */
    private static Optional<CurvePoints> points(Treatment treatment) {
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
                y = h / 2 - (LensDistortion.magnified(s, r) / r - 1) / room * h / 2;
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
        points = ChannelEdits.treatment(session.state()).flatMap(ChannelPlot::points).orElse(null);
        if (session.state().look().isEmpty() || points == null) {
            return;
        }
        Series series = points.series();
        int channel = ChannelEdits.share(session.state());
        Settings s = settings(channel);
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
                    "Delete point",
                    l -> l.withSettings(step, channel, a -> a.withoutItem(series, point)));
            return;
        }
        if (away) {
            return;
        }
        if (point < 0) {
            point = s.count(series);
            Map<String, Double> there = Map.of("in", in(e), "out", out(e));
            session.editLook(
                    "Add point",
                    l -> l.withSettings(step, channel, a -> a.withItem(series, there)));
        }
        gesture = session.gesture("Move point");
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
        int channel = ChannelEdits.share(session.state());
        gesture.editLook(
                look ->
                        look.withSettings(
                                step, channel, a -> moved(moved(a, "in", in(e)), "out", out(e))));
    }

    private ChannelSettings moved(ChannelSettings settings, String which, double to) {
        return settings.with(
                points.series().address(point, which), Value.of(Math.rint(to * 10) / 10));
    }
}
