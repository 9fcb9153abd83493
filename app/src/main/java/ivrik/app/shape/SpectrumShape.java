package ivrik.app.shape;

import ivrik.app.session.ChannelEdits;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;

import java.util.List;

/** Spread of the wavelengths of each channel. */
final class SpectrumShape extends Shape {
    /** Vertical lines over the spread. */
    @Override
    void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
        double length = Math.abs(s.number("length"));
        double half = length == 0 ? 0 : r * (0.3 + 1.1 * (1 - Math.exp(-length / 40)));
        for (int i = -3; i <= 3; i++) {
            double high = r * 0.55 * Math.exp(-i * i / 5.0);
            g.strokeLine(x + half * i / 3, y - high, x + half * i / 3, y + high);
        }
    }

    @Override
    public List<Node> controls(Context context) {
        int channels = ChannelEdits.shares(context.session().state()).size();
        SpectrumStrip strip =
                new SpectrumStrip(context.session(), context.view(), context.palette(), channels);
        strip.setId("spectrum-strip");
        return List.of(strip);
    }
}
