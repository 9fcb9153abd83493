package ivrik.app.shape;

import static ivrik.app.control.Controls.hint;
import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.InkWell;
import ivrik.core.treatment.GradientMap;
import ivrik.core.treatment.GradientMap.Stop;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

import java.util.List;

/** Colours along a strip from dark to light. */
final class GradientShape extends Shape {
    /** The strip, small. */
    @Override
    void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
        strip(g, GradientMap.stops(s), x - 24, y - 4, 48, 8);
    }

    /** The colours of all tones from left to right. */
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
    public List<Node> closeUp(Around around) {
        GradientStrip strip = new GradientStrip(around.session(), around.view(), around.palette());
        strip.setId("gradient-strip");
        InkWell well = new InkWell("The colour of the stop that was pressed last", strip::colour);
        well.setId("stop-colour");
        strip.onShown(well::show);
        return List.of(
                strip,
                row(quiet("colour"), well),
                hint(
                        "Press in the strip to set a stop, and drag it; the right button takes it"
                                + " away."));
    }
}
