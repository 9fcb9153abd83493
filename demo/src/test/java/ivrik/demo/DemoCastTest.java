package ivrik.demo;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.cache.Store;
import ivrik.core.look.Amounts;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.MeasuredCast;
import ivrik.core.look.Step;
import ivrik.core.measure.Cast;
import ivrik.core.motion.Value;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.UpToLook;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.CastOff;
import ivrik.core.treatment.Gain;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.Parameter;
import ivrik.media.decode.Import;
import ivrik.media.decode.MediaPictures;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.nio.file.Path;

/** What blurred and grainy lanes do to the average of both shots is undone, in frames that were not measured too. */
class DemoCastTest {
    private static final Path MEDIA =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media");
    private static final double SCALE = 0.25;
    private static final long[] OTHERS = {3, 30, 61, 92};

    private final Store store = new Store(1 << 28);
    private final MediaPictures pictures = new MediaPictures(Workers.shared(), store);
    private final Renderer renderer = new Renderer(pictures, Workers.shared(), store);

    /** Red is blurred, blue is grainy, and both are of other strength, which leaves a cast. */
    private static Look blurredAndGrainy() {
        Look look = BuiltInLooks.named("channel-blur");
        Step grain = Step.shownOff(look.freeId(new Grain()), new Grain(), look.lanes().size());
        Step gain = Step.atRest(look.freeId(new Gain()), new Gain(), look.lanes().size());
        return look.withStepAdded(grain.withLane(2, DemoCastTest::strong))
                .withStepAdded(
                        gain.withLane(0, a -> a.with("gamma", Value.of(1.25)))
                                .withLane(2, a -> a.with("gain", Value.of(82))));
    }

    private static Amounts strong(Amounts rest) {
        return rest.with("strength", Value.of(60));
    }

    private int[] pixels(Project project, long frame) {
        return renderer.screen(Planner.plan(project, frame), SCALE, Cancel.NEVER).pixels();
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
    void theAverageIsBackWithinHalfAPerCent(String shot) {
        Project project =
                Import.project(Import.source(MEDIA.resolve(shot), "shot"), blurredAndGrainy());
        Layer layer = project.layers().getFirst();
        Project untouched = UpToLook.untouched(project, layer, 0);
        Project treated = UpToLook.treated(project, layer, 0);
        Cast cast = new Cast();
        for (long frame : UpToLook.frames(layer.clips().getFirst(), 5)) {
            cast.add(pixels(untouched, frame), pixels(treated, frame));
        }
        CastOff kind = new CastOff();
        Step step =
                MeasuredCast.with(Step.atRest("cast", kind, 3), cast)
                        .withLane(0, a -> a.with(Parameter.AMOUNT, Value.of(100)));
        Project without =
                project.withLayer(layer.id(), l -> l.withLook(0, look -> look.withStepAdded(step)));
        double[] wanted = average(untouched);
        double[] cast0 = average(treated);
        double[] back = average(without);
        double most = 0;
        for (int c = 0; c < 3; c++) {
            most = Math.max(most, Math.abs(cast0[c] - wanted[c]));
            assertThat(Math.abs(back[c] - wanted[c])).isLessThan(0.005);
        }
        assertThat(most).as("there was a cast").isGreaterThan(0.005);
    }
}
