package ivrik.app.controls;

import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.shape.LookNumber;
import ivrik.app.shape.TargetedFields;
import ivrik.app.widget.NumberField;
import ivrik.core.look.Look;
import ivrik.core.look.Shutter;
import ivrik.core.look.Target;

import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.util.function.UnaryOperator;

/** Motion blur: shutter angle, phase and samples. */
final class ShutterPart extends VBox {
    private final View view;
    private final NumberField angle;
    private final NumberField phase;
    private final NumberField samples;
    private final HBox more;

    ShutterPart(Session session, View view) {
        super(2);
        this.view = view;
        double most = Shutter.MAX_DEGREES;
        angle =
                LookNumber.field(
                        "shutter-angle",
                        new NumberField.Spec("deg", 0, most, 0, 10, 0, false),
                        "Shutter angle: 360° exposes the whole frame duration, 180° half, 0° turns"
                                + " motion blur off",
                        session,
                        "Shutter",
                        to ->
                                change(
                                        s ->
                                                s.withAngleDegrees(
                                                        s.angleDegrees()
                                                                .set(view.frame.get(), to))));
        TargetedFields.at(angle, session, view, new Target.OfShutter());
        phase =
                LookNumber.field(
                        "shutter-phase",
                        new NumberField.Spec("deg", -most, most, 0, 10, 0, true),
                        "Shutter phase: when the shutter opens, in degrees after the frame starts",
                        session,
                        "Shutter phase",
                        to -> change(s -> s.withPhaseDegrees(to)));
        samples =
                LookNumber.field(
                        "shutter-samples",
                        new NumberField.Spec(
                                "", 2, Shutter.MAX_SAMPLES, Shutter.OFF.samples(), 1, 0, false),
                        "Minimum number of motion blur samples per frame. A fast movement gets one"
                                + " per pixel, up to "
                                + Shutter.MOST_SAMPLES
                                + "; render time grows in proportion",
                        session,
                        "Change motion blur samples",
                        to -> change(s -> s.withSamples((int) Math.rint(to))));
        more = row(quiet("shutter phase"), phase, quiet("samples"), samples);
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
