package ivrik.app.shape;

import ivrik.app.session.LaneEdits;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;

import java.util.List;

/** How far the wavelengths of each lane are spread. */
final class SpectrumShape extends Shape {
    /** Uprights over as far as the wavelengths are spread. */
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
    public List<Node> closeUp(Around around) {
        int lanes = LaneEdits.shares(around.session().state()).size();
        SpectrumStrip strip =
                new SpectrumStrip(around.session(), around.view(), around.palette(), lanes);
        strip.setId("spectrum-strip");
        return List.of(strip);
    }
}
