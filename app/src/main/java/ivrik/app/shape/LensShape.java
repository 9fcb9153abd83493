package ivrik.app.shape;

import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.NumberField;
import ivrik.app.session.LensSpread;
import ivrik.core.treatment.Lens;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;

import java.util.List;

/** How far each lane is magnified from the centre to the corner. */
final class LensShape extends Shape {
    /** Two arcs, the outer one where the corner comes. */
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
    public List<Node> closeUp(Around around) {
        return List.of(PlotShape.plot(around), apart(around));
    }

    /** The one number that spreads a lens over the lanes. */
    private static Node apart(Around around) {
        NumberField field =
                LookNumber.field(
                        "lens-apart",
                        new NumberField.Spec("%", -50, 50, 0, 0.1, 2, true),
                        "How far the first and the last lane lie to either side at the corner; what"
                                + " lies between is held",
                        around.session(),
                        "Spread the lens",
                        to -> {
                            String step = around.session().state().stepId();
                            long frame = around.view().frame.get();
                            return l -> LensSpread.with(l, step, frame, to);
                        });
        around.onState(
                s ->
                        s.step()
                                .filter(step -> step.kind() instanceof Lens)
                                .ifPresent(
                                        step ->
                                                field.show(
                                                        LensSpread.at(
                                                                step, around.view().frame.get()))));
        return row(quiet("apart at the corner"), field);
    }
}
