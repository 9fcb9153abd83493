package ivrik.app.shape;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * Presentation of one kind of control: the drawing in a cell with its text, the control in the controls
 * panel, and the handles on the picture if any. {@link Shapes} lists all.
 */
public abstract class Shape {
    /** What a control is built from. */
    public record Context(
            Session session,
            View view,
            ObjectProperty<Palette> palette,
            Description description,
            boolean isWhole,
            List<Consumer<State>> showers) {
        /** Registers a function that shows each new state. */
        void onState(Consumer<State> shower) {
            showers.add(shower);
        }
    }

    /** Draws a channel's settings about a position, at most {@code r} pixels up and down. */
    abstract void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s);

    /** The number below the drawing. */
    public String text(Treatment t, Settings s) {
        Parameter main = t.description().main();
        double v = s.number(main.name());
        String unit = main.unit().isEmpty() ? "" : " " + main.unit();
        return (main.min() < 0 ? signed(v) : plain(v)) + unit;
    }

    /** The control for all channels. */
    public abstract List<Node> controls(Context context);

    /** The handle on the picture. */
    public Optional<Handle> handle(Session session, View view) {
        return Optional.empty();
    }

    /**
     * Draws a cell about a position.
     *
     * @param r largest extent up and down in pixels
     */
    public final void draw(
            GraphicsContext g,
            Palette p,
            double x,
            double y,
            double r,
            Color ink,
            Treatment t,
            Settings s) {
        g.setStroke(p.colour("line"));
        g.setLineWidth(1);
        g.strokeLine(x - 26, Math.rint(y) + 0.5, x + 26, Math.rint(y) + 0.5);
        g.strokeLine(Math.rint(x) + 0.5, y - r, Math.rint(x) + 0.5, y + r);
        g.setStroke(ink);
        g.setFill(ink);
        g.setLineWidth(2);
        art(g, x, y, r, t, s);
    }

    static String signed(double v) {
        return v == 0 ? "0" : String.format(Locale.ROOT, format(v, "%+"), v);
    }

    private static String plain(double v) {
        return v == 0 ? "0" : String.format(Locale.ROOT, format(v, "%"), v);
    }

    private static String format(double v, String sign) {
        return sign + (Math.abs(v) >= 100 || v == Math.rint(v) ? ".0f" : ".1f");
    }
}
