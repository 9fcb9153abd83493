package ivrik.app.shape;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.CurrentValues;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.look.Look;
import ivrik.core.separation.ChannelKind;
import ivrik.core.treatment.Parameter;

import javafx.beans.property.ObjectProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;

import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A ruler with a handle per channel; its range grows with the values. */
final class ChannelRuler extends ChannelDrawing {
    private static final double[] ROOMS = {
        0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 20000
    };
    private static final double SIDE = 14;
    private static final double GRIP = 8;

    private final Parameter parameter;
    private int channel;
    private double room = 10;

    ChannelRuler(Session session, View view, ObjectProperty<Palette> palette, Parameter parameter) {
        super(
                session,
                view,
                palette,
                parameter.title() + " of each channel, in " + parameter.unit());
        this.parameter = parameter;
        setMinSize(120, 76);
        setPrefHeight(76);
    }

    private List<Double> values() {
        return session.state().step().stream()
                .flatMap(step -> step.channels().stream())
                .map(a -> a.value(parameter.name()))
                .map(v -> v == null ? parameter.rest() : v.at(view.frame.get()))
                .toList();
    }

    private boolean bothDirections() {
        return parameter.min() < parameter.rest();
    }

    private double x(double value) {
        double share = (value - parameter.rest()) / room;
        double inner = getWidth() - 2 * SIDE;
        return SIDE + (bothDirections() ? (0.5 + share / 2) * inner : share * inner);
    }

    private double value(double x) {
        double share = (x - SIDE) / (getWidth() - 2 * SIDE);
        return parameter.rest() + (bothDirections() ? 2 * share - 1 : share) * room;
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        Look look = session.state().look().orElse(null);
        if (look == null || look.steps().isEmpty()) {
            return;
        }
        List<Double> values = values();
        List<Double> totals = totals(values);
        if (gesture == null) {
            room = roomFor(Stream.concat(values.stream(), totals.stream()).toList());
        }
        g.setFill(p.colour("background"));
        g.fillRect(0, 0, w, h);
        g.setStroke(p.colour("line"));
        g.setLineWidth(1);
        g.strokeRect(0.5, 0.5, w - 1, h - 1);
        double base = h - 20.5;
        g.strokeLine(SIDE, base, w - SIDE, base);
        g.setFont(p.numberFont(11));
        for (int i = 0; i <= 8; i++) {
            double share = bothDirections() ? i / 4.0 - 1 : i / 8.0;
            double value = parameter.rest() + share * room;
            double x = Math.rint(x(value)) + 0.5;
            boolean named = i % 4 == 0;
            g.strokeLine(x, base, x, base - (named ? 7 : 4));
            if (named) {
                g.setFill(p.colour("quiet"));
                String text = number(value);
                double half = text.length() * 3.3;
                g.fillText(text, Math.clamp(x - half, 4, w - 2 * half - 4), h - 6);
            }
        }
        List<ChannelKind> kinds = ChannelEdits.shares(session.state());
        int working = ChannelEdits.share(session.state());
        for (int k = 1; k <= values.size(); k++) {
            int i = (working + k) % values.size();
            marker(g, p, x(values.get(i)), base, kinds.get(i), i == working, i);
            total(g, p.ink(kinds.get(i)), x(values.get(i)), x(totals.get(i)), 12 + i * 9);
        }
    }

    /** Totals with dials, bursts and jitter. */
    private List<Double> totals(List<Double> values) {
        return IntStream.range(0, values.size())
                .mapToObj(
                        channel ->
                                CurrentValues.settings(session, channel, view.frame.get())
                                        .map(s -> s.number(parameter.name()))
                                        .orElse(values.get(channel)))
                .toList();
    }

    /** Draws a line from the set value to the total, if they differ. */
    private static void total(GraphicsContext g, Color ink, double set, double comes, double y) {
        if (Math.abs(set - comes) > 0.5) {
            g.setStroke(ink);
            g.setLineWidth(1);
            g.setLineDashes(2, 2);
            g.strokeLine(set, y, comes, y);
            g.setLineDashes();
            g.setLineWidth(2);
            g.strokeLine(comes, y - 4, comes, y + 4);
        }
    }

    private double roomFor(List<Double> values) {
        double far =
                values.stream().mapToDouble(v -> Math.abs(v - parameter.rest())).max().orElse(0);
        double most =
                Math.max(parameter.max() - parameter.rest(), parameter.rest() - parameter.min());
        for (double r : ROOMS) {
            if (r >= far * 1.05 && r >= parameter.step() * 8) {
                return Math.min(r, most);
            }
        }
        return most;
    }

    private static String number(double v) {
        return String.format(Locale.ROOT, v == Math.rint(v) ? "%.0f" : "%.2f", v);
    }

    /** Draws a handle with a flag; flags of successive channels are higher. */
    private static void marker(
            GraphicsContext g,
            Palette p,
            double x,
            double base,
            ChannelKind channel,
            boolean working,
            int number) {
        Color ink = p.ink(channel);
        double top = 9 + number * 9;
        g.setStroke(ink);
        g.setFill(ink);
        g.setLineWidth(working ? 2.4 : 1.4);
        g.strokeLine(x, base, x, top + 3);
        g.fillOval(x - 4, top - 1, 8, 8);
        g.setFont(p.textFont(11));
        g.fillText(channel.letter(), x + 7, top + 7);
    }

    @Override
    void pressed(MouseEvent e) {
        Look look = session.state().look().orElse(null);
        if (look == null || look.steps().isEmpty()) {
            return;
        }
        List<Double> values = values();
        channel = ChannelEdits.share(session.state());
        double best = GRIP;
        for (int i = 0; i < values.size(); i++) {
            double d = Math.hypot(x(values.get(i)) - e.getX(), 12 + i * 9 - e.getY());
            if (d < best) {
                best = d;
                channel = i;
            }
        }
        List<ChannelKind> kinds = ChannelEdits.shares(session.state());
        ChannelEdits.select(session, channel);
        gesture = session.gesture("Set " + kinds.get(channel).title() + " " + parameter.title());
        dragged(e);
    }

    @Override
    void dragged(MouseEvent e) {
        if (gesture == null) {
            return;
        }
        double unit =
                parameter.step() * (e.isAltDown() ? 0.1 : room > 40 * parameter.step() ? 1 : 0.5);
        double to = Math.rint(value(e.getX()) / unit) * unit;
        String step = session.state().stepId();
        long frame = view.frame.get();
        gesture.editLook(
                look -> ChannelEdits.with(look, step, channel, frame, parameter.name(), to));
    }
}
