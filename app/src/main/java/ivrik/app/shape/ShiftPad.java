package ivrik.app.shape;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.CurrentValues;
import ivrik.app.session.Follow;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.app.widget.CanvasLines;
import ivrik.core.look.Look;
import ivrik.core.separation.ChannelKind;

import javafx.beans.property.ObjectProperty;
import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A pad with an ink-coloured point per channel at its shift; zero is in the centre. */
public final class ShiftPad extends ChannelDrawing {
    private static final double RADIUS = 9;
    private static final double[] RANGES_PX = {8, 20, 50, 100, 250, 500, 1000, 2500, 20000};

    private int channel;
    private Point2D grip;
    private double range = RANGES_PX[1];

    public ShiftPad(Session session, View view, ObjectProperty<Palette> palette) {
        super(session, view, palette, "Offset of each channel, in px");
        setMinSize(120, 120);
    }

    /** Screen pixels per sequence pixel. */
    private double unit() {
        return (Math.min(getWidth(), getHeight()) / 2 - 14) / range;
    }

    private Point2D place(Point2D shift) {
        return new Point2D(
                getWidth() / 2 + shift.getX() * unit(), getHeight() / 2 + shift.getY() * unit());
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        List<ChannelKind> kinds = ChannelEdits.shares(session.state());
        List<Point2D> points =
                ChannelEdits.hasShift(session.state())
                        ? ChannelEdits.shifts(session.state(), view.frame.get())
                        : List.of();
        List<Point2D> totals = totals(points);
        if (gesture == null) {
            double far =
                    Stream.concat(points.stream(), totals.stream())
                            .mapToDouble(s -> Math.max(Math.abs(s.getX()), Math.abs(s.getY())))
                            .max()
                            .orElse(0);
            range =
                    java.util.Arrays.stream(RANGES_PX)
                            .filter(r -> r >= far * 1.05)
                            .findFirst()
                            .orElse(far);
        }
        grid(g, p, w, h);
        if (points.isEmpty()) {
            return;
        }
        int working = ChannelEdits.share(session.state());
        Look look = session.state().look().orElseThrow();
        g.setLineDashes(2, 3);
        g.setStroke(p.colour("quiet"));
        for (int i = 0; i < points.size(); i++) {
            Point2D a = place(points.get(i));
            Point2D o = place(Point2D.ZERO);
            g.strokeLine(o.getX(), o.getY(), a.getX(), a.getY());
        }
        g.setLineDashes();
        for (int i = 0; i < totals.size(); i++) {
            total(g, place(points.get(i)), place(totals.get(i)), p.ink(kinds.get(i)));
        }
        g.setFont(p.textFont(11));
        for (int k = 1; k <= points.size(); k++) {
            int i = (working + k) % points.size();
            boolean held = kinds.size() > 1 && look.channels().get(i).fixed();
            point(g, p, place(points.get(i)), kinds.get(i), i == working, held);
        }
    }

    /** Totals with dials, bursts and jitter. */
    private List<Point2D> totals(List<Point2D> points) {
        return IntStream.range(0, points.size())
                .mapToObj(
                        channel ->
                                CurrentValues.settings(session, channel, view.frame.get())
                                        .map(s -> new Point2D(s.number("x"), s.number("y")))
                                        .orElse(points.get(channel)))
                .toList();
    }

    /** Draws a dot at the total, if it differs from the set point. */
    private static void total(GraphicsContext g, Point2D set, Point2D at, Color ink) {
        if (set.distance(at) > 0.5) {
            g.setStroke(ink);
            g.setLineWidth(1);
            g.strokeLine(set.getX(), set.getY(), at.getX(), at.getY());
            g.setFill(ink);
            g.fillOval(at.getX() - 4, at.getY() - 4, 8, 8);
        }
    }

    private void grid(GraphicsContext g, Palette p, double w, double h) {
        g.setFill(p.colour("background"));
        g.fillRect(0, 0, w, h);
        double cell = range / 4 * unit();
        for (int i = -8; i <= 8; i++) {
            g.setFill(p.colour(i == 0 ? "line" : "faint"));
            CanvasLines.cross(g, w / 2 + i * cell, h / 2 + i * cell, w, h);
        }
        g.setFill(p.colour("line"));
        CanvasLines.outline(g, 0, 0, w, h);
        g.setFill(p.colour("quiet"));
        g.setFont(p.numberFont(11));
        g.fillText(String.format(java.util.Locale.ROOT, "%.0f px", range), 6, h - 7);
    }

    private static void point(
            GraphicsContext g,
            Palette p,
            Point2D at,
            ChannelKind channel,
            boolean working,
            boolean held) {
        Color ink = p.ink(channel);
        double x = at.getX();
        double y = at.getY();
        g.setStroke(ink);
        g.setLineWidth(working ? 2.2 : 1.4);
        g.strokeOval(x - RADIUS, y - RADIUS, 2 * RADIUS, 2 * RADIUS);
        if (held) {
            g.strokeRect(x - 3, y - 3, 6, 6);
        } else {
            g.strokeLine(x - RADIUS - 4, y, x + RADIUS + 4, y);
            g.strokeLine(x, y - RADIUS - 4, x, y + RADIUS + 4);
        }
        g.setFill(ink);
        g.fillText(channel.letter(), x + RADIUS + 4, y - RADIUS + 2);
    }

    @Override
    void pressed(MouseEvent e) {
        if (!ChannelEdits.hasShift(session.state())) {
            return;
        }
        List<ChannelKind> kinds = ChannelEdits.shares(session.state());
        List<Point2D> points = ChannelEdits.shifts(session.state(), view.frame.get());
        int working = ChannelEdits.share(session.state());
        channel = working;
        for (int k = 0; k < kinds.size(); k++) {
            int i = (working + k) % kinds.size();
            if (place(points.get(i)).distance(e.getX(), e.getY()) < RADIUS + 4) {
                channel = i;
                break;
            }
        }
        ChannelEdits.select(session, channel);
        boolean taken = place(points.get(channel)).distance(e.getX(), e.getY()) < RADIUS + 4;
        grip = taken ? place(points.get(channel)).subtract(e.getX(), e.getY()) : Point2D.ZERO;
        gesture = session.gesture("Move " + kinds.get(channel).title() + suffix());
        if (!taken) {
            dragged(e);
        }
    }

    private String suffix() {
        return view.follow.get() == Follow.ALONE ? "" : " " + view.follow.get();
    }

    @Override
    void dragged(MouseEvent e) {
        if (gesture == null) {
            return;
        }
        double fine = e.isAltDown() ? 10 : range <= 20 ? 2 : 1;
        double x = Math.rint((e.getX() + grip.getX() - getWidth() / 2) / unit() * fine) / fine;
        double y = Math.rint((e.getY() + grip.getY() - getHeight() / 2) / unit() * fine) / fine;
        Point2D to = new Point2D(x, y);
        String step = session.state().stepId();
        long frame = view.frame.get();
        gesture.editLook(look -> view.follow.get().moved(look, step, channel, frame, to));
    }
}
