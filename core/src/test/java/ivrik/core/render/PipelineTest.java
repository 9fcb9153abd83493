package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.cache.FrameCache;
import ivrik.core.look.Look;
import ivrik.core.look.Section;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.separation.Rgb;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Exposure;
import ivrik.core.treatment.Gain;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.Saturation;
import ivrik.core.treatment.Shift;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.Arrays;
import java.util.List;

/**
 * The pipeline of a look: prepare, separate, treat, rejoin, blend, finish; and the contents of the cache.
 */
class PipelineTest {
    private final Frame picture = Pictured.frame(64, 48);
    private final Scene scene = new Scene(picture);

    private static Look with(Look look, String step, int channel, String name, double value) {
        return look.withSettings(step, channel, a -> a.with(name, Value.of(value)));
    }

    private static Look grey(Section section) {
        Look look = Look.atRest("l", new Rgb(), new Gain());
        Step saturation =
                Step.atRest("saturation-1", new Saturation(), 3)
                        .withSection(section)
                        .withChannel(0, a -> a.with("saturation", Value.of(0)));
        return with(look.withStepAdded(saturation), "gain-1", 0, "offset", 20);
    }

    @Test
    void stagesApplyBeforeAndAfterTheChannels() {
        Frame first = scene.render(scene.project(grey(Section.PREPARE)), 0);
        Frame last = scene.render(scene.project(grey(Section.FINISH)), 0);
        for (int i = 0; i < 64 * 48; i += 11) {
            double r = picture.colour().get(0).data()[i];
            double g = picture.colour().get(1).data()[i];
            double b = picture.colour().get(2).data()[i];
            double luma = 0.2126 * r + 0.7152 * g + 0.0722 * b;
            double after = 0.2126 * (r + 0.2) + 0.7152 * g + 0.0722 * b;
            assertThat((double) first.colour().get(0).data()[i])
                    .isCloseTo(luma + 0.2, within(1e-5));
            assertThat((double) first.colour().get(1).data()[i]).isCloseTo(luma, within(1e-5));
            for (int c = 0; c < 3; c++) {
                assertThat((double) last.colour().get(c).data()[i]).isCloseTo(after, within(1e-5));
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"rgb", "cmyk", "lab", "ycbcr-709"})
    void directScreenPixelsEqualThoseOfPlanes(String model) {
        Look look = Look.atRest("l", Separations.named(model), new Shift());
        look =
                look.withStepAdded(
                                Step.withExampleSettings("exposure-1", new Exposure(), 3)
                                        .withSection(Section.PREPARE))
                        .withStepAdded(
                                Step.withExampleSettings("saturation-1", new Saturation(), 3));
        look = with(look, "shift-1", 1, "x", 2.5);
        Plan plan = Planner.plan(scene.project(look), 0);
        for (double scale : new double[] {1, 0.5}) {
            assertThat(scene.renderer().screen(plan, scale, Cancellation.NEVER).pixels())
                    .isEqualTo(
                            Screen.of(
                                            scene.renderer()
                                                    .render(plan, scale, Cancellation.NEVER),
                                            Workers.shared())
                                    .pixels());
        }
    }

    @Test
    void aPartialPictureTreatmentIsAMix() {
        Look all =
                Look.atRest("l", new Rgb())
                        .withStepAdded(
                                Step.withExampleSettings("saturation-1", new Saturation(), 3));
        Frame whole = scene.render(scene.project(all), 0);
        Frame half = scene.render(scene.project(with(all, "saturation-1", 0, "amount", 50)), 0);
        for (int i = 0; i < 64 * 48; i += 13) {
            double mixed =
                    (picture.colour().get(2).data()[i] + whole.colour().get(2).data()[i]) / 2.0;
            assertThat((double) half.colour().get(2).data()[i]).isCloseTo(mixed, within(1e-6));
        }
        assertThat(scene.render(scene.project(with(all, "saturation-1", 0, "amount", 0)), 0))
                .isSameAs(picture);
    }

    @Test
    void aTitleKeepsItsCoverage() {
        Plane white = Plane.flat(40, 30, 0.5f);
        Plane cover = Plane.flat(40, 30, 0.25f);
        Scene title = new Scene(Frame.straight(white, white, white, cover));
        Look look =
                Look.atRest("l", new Rgb())
                        .withStepAdded(
                                Step.atRest("exposure-1", new Exposure(), 3)
                                        .withChannel(0, a -> a.with("stops", Value.of(1)))
                                        .withChoice(
                                                new Exposure().description().options().getFirst(),
                                                "gamma-encoded"));
        Frame out = title.render(title.project(look), 0).premultiplied(Workers.shared());
        assertThat(out.coverage().getFirst().at(9, 9)).isEqualTo(0.25f);
        assertThat(out.colour().get(1).at(9, 9)).isCloseTo(0.25f, within(1e-6f));
    }

    /**
     * White from which red is shifted away: a brighter picture covers no more than the picture itself.
     */
    @Test
    void separatedChannelsOfATitleStaySeparated() {
        Plane square = Plane.of(64, 48);
        for (int y = 10; y < 30; y++) {
            Arrays.fill(square.data(), y * 64 + 10, y * 64 + 30, 1);
        }
        Frame title = Frame.straight(square, square, square, square);
        Look moved = with(Look.atRest("l", new Rgb(), new Shift()), "shift-1", 0, "x", 8);
        Step darker =
                Step.atRest("exposure-1", new Exposure(), 3)
                        .withSection(Section.FINISH)
                        .withChannel(0, a -> a.with("stops", Value.of(-1)));
        Scene scene = new Scene(title);
        Frame plain = scene.render(scene.project(moved), 0);
        Frame dark = scene.render(scene.project(moved.withStepAdded(darker)), 0);
        for (int channel = 0; channel < 3; channel++) {
            assertThat(dark.coverage().get(channel).sameSamples(plain.coverage().get(channel)))
                    .as("coverage of %d", channel)
                    .isTrue();
        }
        assertThat(plain.coverage().getFirst().at(12, 20)).isZero();
        assertThat(plain.coverage().getLast().at(12, 20)).isOne();
        float half = dark.premultiplied(Workers.shared()).colour().getLast().at(12, 20);
        // Half the linear light of white, by IEC 61966-2-1.
        assertThat((double) half).isCloseTo(0.735357, within(1e-5));
    }

    /** The cache contains exactly the results that were computed. */
    @Test
    void aLateChangeReusesEarlierResults() {
        Look look = Look.atRest("l", new Rgb(), new GaussianBlur(), new Gain());
        for (int channel = 0; channel < 3; channel++) {
            look =
                    with(
                            with(look, "gaussian-1", channel, "radius", 6),
                            "gain-1",
                            channel,
                            "gain",
                            80);
        }
        FrameCache cache = new FrameCache(1 << 26);
        Renderer renderer = new Renderer((p, shown) -> picture, Workers.shared(), cache);
        long plane = 4L * 64 * 48;
        Frame whole = renderer.render(scene.project(look), 0);
        long first = cache.held();
        Look late = with(look, "gain-1", 0, "gain", 70);
        Frame changed = renderer.render(scene.project(late), 0);
        // the frame twice and the two reused channels, without the three blurs
        assertThat(cache.held() - first).isLessThan(9 * plane);
        assertThat(changed.colour().get(1).sameSamples(whole.colour().get(1))).isTrue();
        Frame anew = new Scene(picture).render(scene.project(late), 0);
        for (int c = 0; c < 3; c++) {
            assertThat(changed.colour().get(c).sameSamples(anew.colour().get(c))).isTrue();
        }
        long second = cache.held();
        Look early = with(look, "gaussian-1", 0, "radius", 3);
        renderer.render(scene.project(early), 0);
        // the frame twice and one channel's blur
        assertThat(cache.held() - second).isBetween(7 * plane, 8 * plane);
        assertThat(renderer.render(scene.project(look), 0)).isSameAs(whole);
    }

    @Test
    void stepsAreOrderedBySection() {
        Look look =
                Look.atRest("l", new Rgb(), new Shift())
                        .withStepAdded(0, Step.atRest("saturation-1", new Saturation(), 3))
                        .withStepAdded(
                                Step.atRest("exposure-1", new Exposure(), 3)
                                        .withSection(Section.PREPARE));
        assertThat(look.steps().stream().map(Step::id))
                .containsExactly("exposure-1", "shift-1", "saturation-1");
        assertThat(look.steps(Section.CHANNELS)).hasSize(1);
        List<Section> all = look.steps().stream().map(Step::section).toList();
        assertThat(all).isSorted();
    }
}
