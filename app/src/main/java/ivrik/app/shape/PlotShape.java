package ivrik.app.shape;

import static ivrik.app.widget.Controls.hint;

import ivrik.core.treatment.Plot;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;

import java.util.List;
import java.util.function.DoubleUnaryOperator;

/** Output over input. */
final class PlotShape extends Shape {
    /** The curve. */
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
    public List<Node> controls(Context context) {
        String whose = context.isWhole() ? "the curve" : "the selected channel";
        return context.description().series().isPresent()
                ? List.of(
                        plot(context),
                        hint(
                                "Click to add a point to "
                                        + whose
                                        + ", drag to move it, right-click to delete it."))
                : List.of(plot(context));
    }

    static ChannelPlot plot(Context context) {
        ChannelPlot plot = new ChannelPlot(context.session(), context.view(), context.palette());
        plot.setId("channel-plot");
        return plot;
    }
}
