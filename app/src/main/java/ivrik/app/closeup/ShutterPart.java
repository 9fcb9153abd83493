package ivrik.app.closeup;

import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.shape.Aimed;
import ivrik.app.shape.LookNumber;
import ivrik.core.look.Look;
import ivrik.core.look.Shutter;
import ivrik.core.look.Target;

import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.util.function.UnaryOperator;

/** The blur of what moves: how long the look sees each frame, from when on, and how finely. */
final class ShutterPart extends VBox {
    private final View view;
    private final NumberField angle;
    private final NumberField phase;
    private final NumberField samples;
    private final HBox more;

    ShutterPart(Session session, View view) {
        super(2);
        this.view = view;
        double most = Shutter.MOST_DEGREES;
        angle =
                LookNumber.field(
                        "shutter-angle",
                        new NumberField.Spec("deg", 0, most, 0, 10, 0, false),
                        "Blurs what moves: 360 degrees see all of each frame's time, 0 none of it",
                        session,
                        "Shutter",
                        to ->
                                change(
                                        s ->
                                                s.withAngleDegrees(
                                                        s.angleDegrees()
                                                                .set(view.frame.get(), to))));
        Aimed.at(angle, session, view, new Target.OfShutter());
        phase =
                LookNumber.field(
                        "shutter-phase",
                        new NumberField.Spec("deg", -most, most, 0, 10, 0, true),
                        "When it opens, after the beginning of the frame",
                        session,
                        "Shutter phase",
                        to -> change(s -> s.withPhaseDegrees(to)));
        samples =
                LookNumber.field(
                        "shutter-samples",
                        new NumberField.Spec(
                                "", 2, Shutter.MOST_SAMPLES, Shutter.OFF.samples(), 1, 0, false),
                        "How many moments are seen: more for faster moves, each costs as much"
                                + " again",
                        session,
                        "Shutter moments",
                        to -> change(s -> s.withSamples((int) Math.rint(to))));
        more = row(quiet("opens at"), phase, quiet("moments"), samples);
        getChildren().addAll(row(quiet("Motion blur"), angle), more);
    }

    private static UnaryOperator<Look> change(UnaryOperator<Shutter> change) {
        return look -> look.withShutter(change.apply(look.shutter()));
    }

    void show(Look look) {
        Shutter shutter = look.shutter();
        angle.show(shutter.angleDegrees().at(view.frame.get()));
        phase.show(shutter.phaseDegrees());
        samples.show(shutter.samples());
        boolean on = shutter.angleDegrees().isMoving() || shutter.angleDegrees().rest() > 0;
        more.setVisible(on);
        more.setManaged(on);
    }
}
