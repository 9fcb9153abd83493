package ivrik.app.theme;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** The registration mark: a cross in a ring, in one colour or split into its inks. */
public final class Marks {
    private static final String[] INKS = {"red", "green", "blue"};

    private Marks() {}

    /**
     * @param apart distance of the inks in pixels; 0 for one colour
     */
    public static void register(
            GraphicsContext g, Palette palette, double x, double y, double r, double apart) {
        if (apart < 0.3) {
            mark(g, palette.colour("quiet"), x, y, r);
            return;
        }
        for (int i = 0; i < INKS.length; i++) {
            mark(
                    g,
                    palette.colour("ink-" + INKS[i]),
                    x + (i - 1) * apart,
                    y - (i - 1) * apart * 0.4,
                    r);
        }
    }

    private static void mark(GraphicsContext g, Color colour, double x, double y, double r) {
        g.setStroke(colour);
        g.setLineWidth(1);
        g.strokeLine(x - r * 1.5, y, x + r * 1.5, y);
        g.strokeLine(x, y - r * 1.5, x, y + r * 1.5);
        g.strokeOval(x - r, y - r, 2 * r, 2 * r);
    }
}
