package ivrik.app.shape;

import static ivrik.app.widget.Controls.hint;
import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.widget.InkWell;
import ivrik.core.treatment.GradientMap;
import ivrik.core.treatment.GradientMap.Stop;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

import java.util.List;

/** A gradient from dark to light. */
final class GradientShape extends Shape {
    /** A small gradient. */
    @Override
    void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
        strip(g, GradientMap.stops(s), x - 24, y - 4, 48, 8);
    }

    /** Draws the gradient from left to right. */
    static void strip(
            GraphicsContext g, List<Stop> stops, double x, double y, double width, double height) {
        for (int i = 0; i < width; i++) {
            g.setFill(colour(GradientMap.colour(stops, i / (width - 1))));
            g.fillRect(x + i, y, 1, height);
        }
    }

    static Color colour(double[] rgb) {
        return Color.color(
                Math.clamp(rgb[0], 0, 1), Math.clamp(rgb[1], 0, 1), Math.clamp(rgb[2], 0, 1));
    }

    @Override
    public List<Node> controls(Context context) {
        GradientStrip strip =
                new GradientStrip(context.session(), context.view(), context.palette());
        strip.setId("gradient-strip");
        InkWell well = new InkWell("Colour of the selected stop", strip::colour);
        well.setId("stop-colour");
        strip.onDrawn(well::show);
        return List.of(
                strip,
                row(quiet("colour"), well),
                hint("Click the strip to add a stop, drag to move it, right-click to delete it."));
    }
}
