package ivrik.app.shell;

import ivrik.app.session.TakeEdits;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.ChannelSourceParameters;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.look.Target.OfChannelSource;
import ivrik.core.look.Targets;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Curve;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.LensDistortion;
import ivrik.core.treatment.Treatment;

import java.util.List;
import java.util.Map;

/** Edits of the demo for the pictures in the documentation. */
final class ScreenshotLooks {
    private ScreenshotLooks() {}

    static void keepTakes(TakeEdits takes) {
        takes.save();
        for (String name : List.of("videotape", "anaglyph", "channel-blur")) {
            Look look = BuiltInLooks.named(name);
            takes.save(look.displayName(), l -> look);
        }
        takes.mark("take-1", true);
        takes.mark("take-3", true);
    }

    /** A lens, a blur, a curve and some grain. */
    static Look withTreatments(Look look) {
        Look more = look;
        for (Treatment each :
                List.of(new LensDistortion(), new GaussianBlur(), new Curve(), new Grain())) {
            more = more.withStepAdded(Step.withExampleSettings(more.freeId(each), each, 3));
        }
        for (int channel = 0; channel < 3; channel++) {
            double out = 42 - 6 * channel;
            int number = channel;
            more =
                    more.withSettings(
                                    3,
                                    channel,
                                    a -> a.withItem(Curve.SERIES, Map.of("in", 40.0, "out", out)))
                            .withSettings(
                                    2,
                                    channel,
                                    a -> a.with("radius", Value.of(number == 0 ? 7 : 0)))
                            .withSettings(4, channel, a -> a.with("strength", Value.of(6)));
        }
        return more;
    }

    /** Red wipes to the next shot; blue cuts later and is delayed. */
    static Look withTimes(Look look) {
        return Targets.with(
                Targets.with(
                        Targets.with(
                                look,
                                new OfChannelSource(0, ChannelSourceParameters.WIPE),
                                Value.of(10)),
                        new OfChannelSource(2, ChannelSourceParameters.CUT),
                        Value.of(8)),
                new OfChannelSource(2, ChannelSourceParameters.SLIT),
                Value.of(4));
    }
}
