package ivrik.app.shape;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Dispersion;

import javafx.beans.property.ObjectProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * Positions and weights of each channel's wavelengths, one strip per channel on a common scale in pixels. A
 * click or drag in a strip sets its length.
 */
final class SpectrumStrip extends ChannelDrawing {
    private static final double[] ROOMS = {5, 10, 25, 50, 100, 250, 500, 1000};
    private static final double LEFT = 22;
    private static final double RIGHT = 8;
    private static final double STRIP = 30;
    private static final double FOOT = 20;
    private static final List<ChannelKind> LIGHT = new Rgb().channels();

    private int channel;
    private double room = 25;

    SpectrumStrip(Session session, View view, ObjectProperty<Palette> palette, int channels) {
        super(session, view, palette, "Length of the spectrum in each channel, in px");
        setMinSize(120, channels * STRIP + FOOT);
        setPrefHeight(channels * STRIP + FOOT);
    }

    private double at(Look look, int of, String parameter) {
        ChannelSettings settings = ChannelEdits.settings(look, session.state().stepId(), of);
        return settings.value(parameter).at(view.frame.get());
    }

    private double x(double px) {
        return LEFT + (getWidth() - LEFT - RIGHT) * (px / room + 1) / 2;
    }

    private double px(double x) {
        return room * (2 * (x - LEFT) / (getWidth() - LEFT - RIGHT) - 1);
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        Look look = session.state().look().orElse(null);
        if (look == null
                || !(ChannelEdits.treatment(session.state()).orElse(null) instanceof Dispersion)) {
            return;
        }
        List<ChannelKind> kinds = ChannelEdits.shares(session.state());
        if (gesture == null) {
            chooseRoom(look, kinds.size());
        }
        g.setFill(p.colour("background"));
        g.fillRect(0, 0, w, h);
        g.setLineWidth(1);
        double base = Math.rint(kinds.size() * STRIP) + 0.5;
        for (int i = -2; i <= 2; i++) {
            double x = Math.rint(x(room * i / 2)) + 0.5;
            g.setStroke(p.colour(i == 0 ? "line" : "faint"));
            g.strokeLine(x, 0, x, base);
            String text = number(room * i / 2);
            double wide = text.length() * 6.6;
            g.setFill(p.colour("quiet"));
            g.setFont(p.numberFont(11));
            g.fillText(text, Math.clamp(x - wide / 2, LEFT, w - wide - 2), h - 6);
        }
        for (int i = 0; i < kinds.size(); i++) {
            strip(g, p, look, i, kinds.get(i), (i + 1) * STRIP - 3);
            g.setStroke(p.colour("faint"));
            g.strokeLine(
                    LEFT, Math.rint((i + 1) * STRIP) + 0.5, w, Math.rint((i + 1) * STRIP) + 0.5);
        }
    }

    /** Largest number of distinguishable bars. */
    private static final int SMOOTH = 200;

    private void strip(
            GraphicsContext g, Palette p, Look look, int number, ChannelKind kind, double y) {
        double length = at(look, number, "length");
        int n = (int) Math.clamp(Math.ceil(Math.abs(length)), at(look, number, "samples"), SMOOTH);
        double[] weights = Dispersion.weights(kind, n);
        double most = Arrays.stream(weights).max().orElse(1);
        double wide = Math.max(1.5, Math.abs(x(length) - x(0)) / n);
        for (int k = 0; k < n; k++) {
            double high = (STRIP - 8) * weights[k] / most;
            g.setFill(wavelength(k, n));
            g.fillRect(x(length * ((k + 0.5) / n - 0.5)) - wide / 2, y - high, wide, high);
        }
        boolean working = number == ChannelEdits.share(session.state());
        g.setFill(p.ink(kind));
        g.setFont(p.textFont(12));
        g.fillText(kind.letter(), 7, y - 8);
        g.setStroke(p.ink(kind));
        g.setLineWidth(working ? 2.4 : 1.4);
        double end = x(length / 2);
        g.strokeLine(end, y + 2, end, y - STRIP + 8);
        g.setLineWidth(1);
    }

    /** Displayed colour of a wavelength. */
    private static Color wavelength(int k, int n) {
        double[] rgb = LIGHT.stream().mapToDouble(l -> Dispersion.weights(l, n)[k]).toArray();
        double most = Math.max(1e-9, Arrays.stream(rgb).max().orElse(1));
        double[] lit = Stream.of(0, 1, 2).mapToDouble(c -> 0.15 + 0.8 * rgb[c] / most).toArray();
        return Color.color(lit[0], lit[1], lit[2]);
    }

    private void chooseRoom(Look look, int channels) {
        double far = 0;
        for (int i = 0; i < channels; i++) {
            far = Math.max(far, Math.abs(at(look, i, "length")) / 2);
        }
        for (double r : ROOMS) {
            room = r;
            if (r >= far * 1.1) {
                return;
            }
        }
    }

    private static String number(double v) {
        return String.format(Locale.ROOT, v == Math.rint(v) ? "%.0f" : "%.1f", v);
    }

    @Override
    void pressed(MouseEvent e) {
        Look look = session.state().look().orElse(null);
        if (look == null) {
            return;
        }
        List<ChannelKind> kinds = ChannelEdits.shares(session.state());
        channel = Math.clamp((int) (e.getY() / STRIP), 0, kinds.size() - 1);
        ChannelEdits.select(session, channel);
        gesture = session.gesture("Set " + kinds.get(channel).title() + " length");
        dragged(e);
    }

    @Override
    void dragged(MouseEvent e) {
        if (gesture == null) {
            return;
        }
        double unit = e.isAltDown() ? 10 : 1;
        double to = Math.rint(2 * px(e.getX()) * unit) / unit;
        String step = session.state().stepId();
        long frame = view.frame.get();
        gesture.editLook(look -> ChannelEdits.with(look, step, channel, frame, "length", to));
    }
}
