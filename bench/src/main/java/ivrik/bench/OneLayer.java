package ivrik.bench;

import ivrik.core.look.Look;
import ivrik.core.look.Placement.Fit;
import ivrik.core.look.Step;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.project.Background;
import ivrik.core.project.Source;
import ivrik.core.rejoin.Blend;
import ivrik.core.render.LookPlanner;
import ivrik.core.render.Plan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.LensDistortion;
import ivrik.core.treatment.Shift;

import java.util.List;
import java.util.Optional;

/** A project for measurements: one opaque layer with a look. */
final class OneLayer {
    private OneLayer() {}

    static Plan plan(Frame frame, Look look) {
        Size size = frame.size();
        Source source =
                new Source("s", "s", "s", Source.Kind.STILL, size, Rational.of(24), 1, false);
        LookPlan planned = LookPlanner.plan(look, Instant.of(0, Rational.of(24)));
        return new Plan(
                size,
                Background.TRANSPARENT,
                List.of(
                        new Plan.LayerPlan(
                                "l",
                                Optional.of(new Plan.Picture(source, 0)),
                                new Plan.PlacementPlan(Fit.FIT, 0, 0, 1, 0, false, false),
                                List.of(planned),
                                Blend.NORMAL,
                                1)));
    }

    /** Four treatments on each of three channels. */
    static Look four() {
        Look look =
                Look.atRest(
                        "four",
                        Separations.named("rgb"),
                        new Shift(),
                        new LensDistortion(),
                        new GaussianBlur(),
                        new Grain());
        for (int step = 0; step < 4; step++) {
            look = look.withStep(step, s -> Step.withExampleSettings(s.id(), s.kind(), 3));
            for (int channel = 0; step == 2 && channel < 3; channel++) {
                look = look.withSettings(step, channel, a -> a.with("radius", Value.of(16)));
            }
        }
        return look;
    }
}
