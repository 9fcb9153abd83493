package ivrik.app.shape;

import ivrik.core.treatment.ConvolutionKernel;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;

import java.util.List;

/** A grid of weights. */
final class GridShape extends Shape {
    /** The weights as squares. */
    @Override
    void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
        double cell = 2 * r / ConvolutionKernel.SIDE;
        for (int i = 0; i < ConvolutionKernel.SIDE * ConvolutionKernel.SIDE; i++) {
            double w = s.number(ConvolutionKernel.name(i));
            double side = cell * Math.min(0.9, 0.2 + Math.abs(w) / 3);
            double px = x - r + (i % ConvolutionKernel.SIDE + 0.5) * cell;
            double py = y - r + (i / ConvolutionKernel.SIDE + 0.5) * cell;
            if (w > 0) {
                g.fillRect(px - side / 2, py - side / 2, side, side);
            } else if (w < 0) {
                g.setLineWidth(1);
                g.strokeRect(px - side / 2, py - side / 2, side, side);
            }
        }
    }

    @Override
    public String text(Treatment t, Settings s) {
        return t.isNeutral(s) ? "neutral" : "kernel";
    }

    @Override
    public List<Node> controls(Context context) {
        KernelGrid grid = new KernelGrid(context.session(), context.view());
        context.onState(grid::show);
        return List.of(grid);
    }
}
