package ivrik.app.shape;

import static ivrik.app.control.Controls.hint;

import ivrik.core.treatment.Plot;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;

import java.util.List;
import java.util.function.DoubleUnaryOperator;

/** What comes out for what goes in. */
final class PlotShape extends Shape {
    /** The curve of what comes out for what goes in. */
    @Override
    void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
        if (!(t instanceof Plot plot)) {
            return;
        }
        DoubleUnaryOperator curve = plot.plotted(s);
        double amount = s.amount();
        g.beginPath();
        for (int i = 0; i <= 24; i++) {
            double v = i / 24.0;
            double flat = plot.untouched(v);
            double out = flat + amount * (curve.applyAsDouble(v) - flat);
            double px = x - r + 2 * r * v;
            double py = y + r - 2 * r * Math.clamp(out, 0, 1);
            if (i == 0) {
                g.moveTo(px, py);
            } else {
                g.lineTo(px, py);
            }
        }
        g.stroke();
    }

    @Override
    public String text(Treatment t, Settings s) {
        if (t.description().series().isEmpty()) {
            return super.text(t, s);
        }
        int n = s.count(t.description().series().get());
        return n == 1 ? "1 point" : n + " points";
    }

    @Override
    public List<Node> closeUp(Around around) {
        String whose = around.isWhole() ? "the curve" : "the lane being worked on";
        return around.description().series().isPresent()
                ? List.of(
                        plot(around),
                        hint(
                                "Press in the plot to set a point of "
                                        + whose
                                        + ", and drag it; the right button takes it away."))
                : List.of(plot(around));
    }

    static LanePlot plot(Around around) {
        LanePlot plot = new LanePlot(around.session(), around.view(), around.palette());
        plot.setId("lane-plot");
        return plot;
    }
}
