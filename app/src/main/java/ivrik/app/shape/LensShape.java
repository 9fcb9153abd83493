package ivrik.app.shape;

import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.LensSpread;
import ivrik.app.widget.NumberField;
import ivrik.core.treatment.LensDistortion;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;

import java.util.List;

/** Magnification of each channel from the centre to the corner. */
final class LensShape extends Shape {
    /** Two arcs, the outer one at the corner's magnified radius. */
    @Override
    void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
        double corner = s.number("k0") + s.number("k1") + s.number("k2");
        double by = Math.signum(corner) * (1 - Math.exp(-Math.abs(corner) / 2));
        double out = r * (0.7 + 0.3 * by);
        g.setLineDashes(2, 2);
        g.strokeOval(x - r * 0.7, y - r * 0.7, 1.4 * r, 1.4 * r);
        g.setLineDashes();
        g.strokeOval(x - out, y - out, 2 * out, 2 * out);
    }

    @Override
    public String text(Treatment t, Settings s) {
        double corner = s.number("k0") + s.number("k1") + s.number("k2");
        return signed(corner) + " %";
    }

    @Override
    public List<Node> controls(Context context) {
        return List.of(PlotShape.plot(context), apart(context));
    }

    /** One number that spreads a lens over the channels. */
    private static Node apart(Context context) {
        NumberField field =
                LookNumber.field(
                        "lens-spread",
                        new NumberField.Spec("%", -50, 50, 0, 0.1, 2, true),
                        "Displacement of the first and last channel at the corner, in %, in"
                                + " opposite directions; the middle channel stays",
                        context.session(),
                        "Change spread",
                        to -> {
                            String step = context.session().state().stepId();
                            long frame = context.view().frame.get();
                            return l -> LensSpread.with(l, step, frame, to);
                        });
        context.onState(
                s ->
                        s.step()
                                .filter(step -> step.kind() instanceof LensDistortion)
                                .ifPresent(
                                        step ->
                                                field.show(
                                                        LensSpread.at(
                                                                step,
                                                                context.view().frame.get()))));
        return row(quiet("Spread at corner"), field);
    }
}
