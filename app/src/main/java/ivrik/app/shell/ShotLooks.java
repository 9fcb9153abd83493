package ivrik.app.shell;

import ivrik.app.session.TakeEdits;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.FeedParts;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.look.Target.OfFeed;
import ivrik.core.look.Targets;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Curve;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.Lens;
import ivrik.core.treatment.Treatment;

import java.util.List;
import java.util.Map;

/** What is done to the demo for the pictures of the documentation. */
final class ShotLooks {
    private ShotLooks() {}

    static void keepTakes(TakeEdits takes) {
        takes.keep();
        for (String name : List.of("tape", "stereo-glasses", "channel-blur")) {
            Look look = BuiltInLooks.named(name);
            takes.keep(look.shownName(), l -> look);
        }
        takes.pick("take-1", true);
        takes.pick("take-3", true);
    }

    /** A lens, a blur, a curve and some grain. */
    static Look withTreatments(Look look) {
        Look more = look;
        for (Treatment each : List.of(new Lens(), new GaussianBlur(), new Curve(), new Grain())) {
            more = more.withStepAdded(Step.shownOff(more.freeId(each), each, 3));
        }
        for (int lane = 0; lane < 3; lane++) {
            double out = 42 - 6 * lane;
            int number = lane;
            more =
                    more.withAmounts(
                                    3,
                                    lane,
                                    a -> a.withThing(Curve.SERIES, Map.of("in", 40.0, "out", out)))
                            .withAmounts(
                                    2, lane, a -> a.with("radius", Value.of(number == 0 ? 7 : 0)))
                            .withAmounts(4, lane, a -> a.with("strength", Value.of(6)));
        }
        return more;
    }

    /** Red wipes to the next shot, blue cuts later and lags. */
    static Look withTimes(Look look) {
        return Targets.with(
                Targets.with(
                        Targets.with(look, new OfFeed(0, FeedParts.WIPE), Value.of(10)),
                        new OfFeed(2, FeedParts.CUT),
                        Value.of(8)),
                new OfFeed(2, FeedParts.SLIT),
                Value.of(4));
    }
}
