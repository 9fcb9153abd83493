package ivrik.demo;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.cache.FrameCache;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.look.MeasuredColourCast;
import ivrik.core.look.Step;
import ivrik.core.measure.ColourCast;
import ivrik.core.motion.Value;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.ProjectUpToLook;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.CastCorrection;
import ivrik.core.treatment.Gain;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.Parameter;
import ivrik.media.decode.Import;
import ivrik.media.decode.MediaPictures;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.nio.file.Path;

/**
 * The correction removes the cast of blurred and grainy channels from both shots, also in frames that were
 * not measured.
 */
class DemoColourCastTest {
    private static final Path MEDIA =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media");
    private static final double SCALE = 0.25;
    private static final long[] OTHERS = {3, 30, 61, 92};

    private final FrameCache cache = new FrameCache(1 << 28);
    private final MediaPictures pictures = new MediaPictures(Workers.shared(), cache);
    private final Renderer renderer = new Renderer(pictures, Workers.shared(), cache);

    /** Red is blurred, blue is grainy, and both have another gain, which leaves a cast. */
    private static Look blurredAndGrainy() {
        Look look = BuiltInLooks.named("channel-blur");
        Step grain =
                Step.withExampleSettings(
                        look.freeId(new Grain()), new Grain(), look.channels().size());
        Step gain = Step.atRest(look.freeId(new Gain()), new Gain(), look.channels().size());
        return look.withStepAdded(grain.withChannel(2, DemoColourCastTest::strong))
                .withStepAdded(
                        gain.withChannel(0, a -> a.with("gamma", Value.of(1.25)))
                                .withChannel(2, a -> a.with("gain", Value.of(82))));
    }

    private static ChannelSettings strong(ChannelSettings rest) {
        return rest.with("strength", Value.of(60));
    }

    private int[] pixels(Project project, long frame) {
        return renderer.screen(Planner.plan(project, frame), SCALE, Cancellation.NEVER).pixels();
    }

    private double[] average(Project project) {
        double[] sums = new double[3];
        long count = 0;
        for (long frame : OTHERS) {
            for (int word : pixels(project, frame)) {
                for (int c = 0; c < 3; c++) {
                    sums[c] += (word >> 16 - 8 * c & 255) / 255.0;
                }
                count++;
            }
        }
        for (int c = 0; c < 3; c++) {
            sums[c] /= count;
        }
        return sums;
    }

    @ParameterizedTest
    @ValueSource(strings = {"tram.webm", "lanterns.webm"})
    void theAverageIsRestoredWithinHalfAPerCent(String shot) {
        Project project =
                Import.project(Import.source(MEDIA.resolve(shot), "shot"), blurredAndGrainy());
        Layer layer = project.layers().getFirst();
        Project untouched = ProjectUpToLook.untouched(project, layer, 0);
        Project treated = ProjectUpToLook.treated(project, layer, 0);
        ColourCast colourCast = new ColourCast();
        for (long frame : ProjectUpToLook.frames(layer.clips().getFirst(), 5)) {
            colourCast.add(pixels(untouched, frame), pixels(treated, frame));
        }
        CastCorrection kind = new CastCorrection();
        Step step =
                MeasuredColourCast.with(Step.atRest("cast", kind, 3), colourCast)
                        .withChannel(0, a -> a.with(Parameter.AMOUNT, Value.of(100)));
        Project without =
                project.withLayer(layer.id(), l -> l.withLook(0, look -> look.withStepAdded(step)));
        double[] wanted = average(untouched);
        double[] colourCast0 = average(treated);
        double[] back = average(without);
        double most = 0;
        for (int c = 0; c < 3; c++) {
            most = Math.max(most, Math.abs(colourCast0[c] - wanted[c]));
            assertThat(Math.abs(back[c] - wanted[c])).isLessThan(0.005);
        }
        assertThat(most).as("there was a cast").isGreaterThan(0.005);
    }
}
