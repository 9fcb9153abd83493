package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.cache.FrameCache;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.ChannelSource;
import ivrik.core.look.ListEdits;
import ivrik.core.look.Look;
import ivrik.core.measure.Misregistration;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Composite;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.CustomPrimaries;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Shift;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.stream.Stream;

/**
 * Channels of every model in the renderer: proofs, coverage, channel pictures and times, stacked looks.
 */
class ChannelsTest {
    private static final int W = 24;
    private static final int H = 12;

    /** Frame n is a flat grey of n hundredths. */
    private final Scene counting =
            new Scene(
                    n -> {
                        Plane p = Plane.flat(W, H, n / 100f);
                        return Frame.opaque(p, p, p);
                    });

    static Stream<Separation> models() {
        return Separations.all().stream();
    }

    private static Look shift(Separation model) {
        return Look.atRest("shift", model, new Shift());
    }

    @ParameterizedTest
    @MethodSource("models")
    void theProofRejoinsWithin16BitCodes(Separation model) {
        Scene scene = new Scene(Pictured.frame(W, H));
        Plan plan = Planner.plan(scene.project(shift(model)), 0);
        Misregistration proof =
                scene.renderer().proof(plan, plan.layers().getFirst(), 0, 1, Cancellation.NEVER);
        assertThat(proof.isExact()).as(proof.toString()).isTrue();
    }

    @ParameterizedTest
    @MethodSource("models")
    void equalShiftsOfAllChannelsShiftThePicture(Separation model) {
        Frame picture = Pictured.frame(W, H);
        Scene scene = new Scene(picture);
        Look look = shift(model);
        for (int channel = 0; channel < model.channels().size(); channel++) {
            look = look.withSettings(0, channel, a -> a.with("x", Value.of(3)));
        }
        Frame out = scene.render(scene.project(look), 0);
        for (int c = 0; c < 3; c++) {
            assertThat(out.colour().get(c).at(10, 5))
                    .isCloseTo(picture.colour().get(c).at(7, 5), within(2e-6f));
        }
    }

    static Stream<Separation> notLinear() {
        return models().filter(m -> !m.isLinear());
    }

    static Stream<Separation> linear() {
        return Stream.concat(
                models().filter(Separation::isLinear),
                Stream.of(
                        Separations.named("primaries:ff5a28,28c878,4638ff"),
                        Separations.named("primaries:ff5a28,28c878,4638ff,linear")));
    }

    /** White in columns 8 to 16 of rows 4 to 8; the left edge is half covered. */
    private static Frame title() {
        Plane white = Plane.flat(W, H, 1);
        Plane cover = Plane.of(W, H);
        for (int y = 4; y < 8; y++) {
            for (int x = 8; x < 16; x++) {
                cover.data()[y * W + x] = x == 8 ? 0.5f : 1;
            }
        }
        return Frame.straight(white, white, white, cover);
    }

    private static Look apart(Separation model) {
        return shift(model)
                .withSettings(0, 0, a -> a.with("x", Value.of(-3)))
                .withSettings(0, 2, a -> a.with("x", Value.of(3)));
    }

    @ParameterizedTest
    @MethodSource("notLinear")
    void aTitleWithAlphaCompositesAlikeHereAndElsewhere(Separation model) {
        Workers workers = Workers.shared();
        Scene title = new Scene(title());
        Frame alone = title.render(title.project(apart(model)), 0);
        assertThat(alone.isOpaque()).isFalse();
        Plane union = alone.unionAlpha(workers);
        List<Plane> colour = alone.premultiplied(workers).colour();
        Plane white = Plane.flat(W, H, 1);
        for (Frame backdrop : List.of(Pictured.frame(W, H), Frame.opaque(white, white, white))) {
            Frame here = Composite.of(backdrop, alone, Blend.NORMAL, 1, workers);
            for (int c = 0; c < 3; c++) {
                for (int x = 0; x < W; x++) {
                    // the composite of an ordinary file with a single alpha
                    float under = backdrop.colour().get(c).at(x, 5);
                    float elsewhere = colour.get(c).at(x, 5) + (1 - union.at(x, 5)) * under;
                    assertThat(here.colour().get(c).at(x, 5)).isCloseTo(elsewhere, within(1e-5f));
                }
            }
        }
        assertThat(union.at(2, 5)).isZero();
    }

    /**
     * Channels composite with those of the background one by one, so separated channels do not darken the
     * background.
     */
    @ParameterizedTest
    @MethodSource("linear")
    void separatedChannelsOfAWhiteTitleLeaveNoDarkFringe(Separation model) {
        for (float background : new float[] {0.05f, 0.5f, 0.9f}) {
            Plane flat = Plane.flat(W, H, background);
            Frame under = Frame.opaque(flat, flat, flat);
            Scene scene = new Scene(under);
            Project both =
                    scene.project(Look.atRest("rest", Separations.named("rgb")))
                            .withLayers(
                                    List.of(
                                            scene.project(
                                                            Look.atRest(
                                                                    "rest",
                                                                    Separations.named("rgb")))
                                                    .layers()
                                                    .getFirst(),
                                            Layer.of(
                                                    "t",
                                                    "t",
                                                    apart(model),
                                                    new Clip("b", 0, Scene.FRAMES, 0))));
            Renderer renderer =
                    new Renderer(
                            (p, s) -> p.source().id().equals("b") ? title() : under,
                            Workers.shared(),
                            new FrameCache(1 << 20));
            Frame out = renderer.render(both, 0);
            if (model.isChannels()
                    || model
                            instanceof
                            CustomPrimaries) { // the other models have no additive primaries
                for (int c = 0; c < 3; c++) {
                    for (float v : out.colour().get(c).data()) {
                        assertThat(v).isGreaterThanOrEqualTo(background - 1e-4f);
                    }
                }
            }
            for (int c = 0; c < 3; c++) {
                assertThat(out.colour().get(c).at(12, 5)).isCloseTo(1f, within(2e-4f));
                assertThat(out.colour().get(c).at(1, 5)).isCloseTo(background, within(2e-4f));
            }
        }
    }

    @Test
    void aWhiteTitleInRgbShowsItsRedGreenAndBlueEdges() {
        Plane white = Plane.flat(W, H, 1);
        Plane cover = Plane.of(W, H);
        for (int x = 8; x < 16; x++) {
            cover.data()[5 * W + x] = 1;
        }
        Scene title = new Scene(Frame.straight(white, white, white, cover));
        Look apart = BuiltInLooks.named("rgb-split").withDial("red-x", -2).withDial("blue-x", 2);
        Frame out = title.render(title.project(apart), 0);
        assertThat(colour(out, 6)).containsExactly(1f, 0f, 0f);
        assertThat(colour(out, 8)).containsExactly(1f, 1f, 0f);
        assertThat(colour(out, 10)).containsExactly(1f, 1f, 1f);
        assertThat(colour(out, 17)).containsExactly(0f, 0f, 1f);
    }

    private static Float[] colour(Frame frame, int x) {
        return frame.premultiplied(Workers.shared()).colour().stream()
                .map(p -> p.at(x, 5))
                .toArray(Float[]::new);
    }

    @Test
    void huesInterpolateAlongTheShorterArc() {
        float[] r = new float[W * H];
        float[] g = new float[W * H];
        float[] b = new float[W * H];
        for (int i = 0; i < r.length; i++) {
            boolean left = i % W < W / 2;
            r[i] = 1;
            g[i] = left ? 0.2f : 0; // a hue just above red
            b[i] = left ? 0 : 0.2f; // a hue just below red
        }
        Scene scene =
                new Scene(Frame.opaque(Plane.of(W, H, r), Plane.of(W, H, g), Plane.of(W, H, b)));
        Look half =
                shift(Separations.named("hsv"))
                        .withStep(0, s -> s.withSampler(ivrik.core.sampling.Sampler.LINEAR))
                        .withSettings(0, 0, a -> a.with("x", Value.of(0.5)));
        Frame out = scene.render(scene.project(half), 0);
        // the mean of the two hues is red, not the cyan on the longer arc
        assertThat(out.colour().get(0).at(12, 5)).isCloseTo(1f, within(1e-5f));
        assertThat(out.colour().get(1).at(12, 5)).isCloseTo(0f, within(1e-5f));
        assertThat(out.colour().get(2).at(12, 5)).isCloseTo(0f, within(1e-5f));
    }

    @ParameterizedTest
    @CsvSource({
        "REPEAT, 2, 0",
        "EMPTY, 2, 0",
        "MIRROR, 2, 2",
        "WRAP, 2, 37",
        "REPEAT, 10, 5",
        "WRAP, 0, 35"
    })
    void aDelayedChannelComesFromAnEarlierFrame(EdgeFill beyond, long frame, int expected) {
        Look late =
                BuiltInLooks.named("neutral")
                        .withChannel(
                                0,
                                s ->
                                        s.withChannelSource(
                                                ChannelSource.LAYER_PICTURE
                                                        .delayed(5)
                                                        .withOutside(beyond)));
        Frame out = counting.render(counting.project(late), frame);
        assertThat(out.premultiplied(Workers.shared()).colour().get(0).at(3, 3))
                .isCloseTo(expected / 100f, within(1e-7f));
        assertThat(out.premultiplied(Workers.shared()).colour().get(1).at(3, 3))
                .isCloseTo(frame / 100f, within(1e-7f));
    }

    @Test
    void aChannelUsesAnotherSource() {
        Frame a = Pictured.frame(W, H);
        Plane flat = Plane.flat(W, H, 0.25f);
        Frame b = Frame.opaque(flat, flat, flat);
        Scene scene = new Scene(a);
        Renderer renderer =
                new Renderer(
                        (p, s) -> p.source().id().equals("b") ? b : a,
                        Workers.shared(),
                        new FrameCache(1 << 20));
        Look other =
                BuiltInLooks.named("neutral")
                        .withChannel(
                                2,
                                s ->
                                        s.withChannelSource(
                                                ChannelSource.LAYER_PICTURE.withSource("b")));
        Frame out = renderer.render(scene.project(other), 0);
        assertThat(out.colour().get(0)).isSameAs(a.colour().get(0));
        assertThat(out.colour().get(2).data()).containsOnly(0.25f);
    }

    @Test
    void looksApplyInOrderAndOnlyIfOn() {
        Frame picture = Pictured.frame(W, H);
        Scene scene = new Scene(picture);
        Look two = BuiltInLooks.named("rgb-split").withDial("red-x", 2);
        Project stacked =
                scene.project(two)
                        .withLayer(
                                "l",
                                l ->
                                        l.withLooks(
                                                ListEdits.plus(
                                                        l.looks(),
                                                        new LayerLook("look-2", two, true))));
        assertThat(scene.render(stacked, 0).colour().get(0).at(10, 5))
                .isEqualTo(picture.colour().get(0).at(6, 5));
        Project off =
                stacked.withLayer(
                        "l",
                        l ->
                                l.withLooks(
                                        ListEdits.with(
                                                l.looks(),
                                                0,
                                                new LayerLook("look-1", two, false))));
        assertThat(scene.render(off, 0).colour().get(0).at(10, 5))
                .isEqualTo(picture.colour().get(0).at(8, 5));
    }

    @Test
    void stereoGlassesShiftEachPairByHalves() {
        Look glasses = BuiltInLooks.named("anaglyph");
        Frame picture = Pictured.frame(W, H);
        Scene scene = new Scene(picture);
        assertThat(scene.render(scene.project(glasses), 0)).isSameAs(picture);
        for (int pair = 0; pair < 6; pair++) {
            Frame out =
                    scene.render(
                            scene.project(
                                    glasses.withDial("depth", 4)
                                            .withDial("height", -2)
                                            .withDial("pair", pair)),
                            0);
            for (int c = 0; c < 3; c++) {
                int side =
                        (c == pair % 3) == (pair < 3) ? 1 : -1; // the last three pairs are swapped
                assertThat(out.colour().get(c).at(10, 5))
                        .isEqualTo(picture.colour().get(c).at(10 - 2 * side, 5 + side));
            }
        }
    }
}
