package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.cache.FrameCache;
import ivrik.core.colour.Transfer;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.look.LookBlend;
import ivrik.core.look.Mask;
import ivrik.core.look.Overscan;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.rejoin.Blend;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.Hsv;
import ivrik.core.separation.Rgb;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Flip;
import ivrik.core.treatment.Gain;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.LensDistortion;
import ivrik.core.treatment.MinimumMaximum;
import ivrik.core.treatment.PinWarp;
import ivrik.core.treatment.Rotate;
import ivrik.core.treatment.Scale;
import ivrik.core.treatment.ScreenPattern;
import ivrik.core.treatment.Shift;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Renders of looks with treatments. */
class TreatedTest {
    private static final Workers WORKERS = Workers.shared();
    private final Frame picture = Pictured.frame(96, 64);
    private final Scene scene = new Scene(picture);

    private static boolean same(Frame a, Frame b) {
        for (int c = 0; c < 3; c++) {
            if (!a.colour().get(c).sameSamples(b.colour().get(c))) {
                return false;
            }
        }
        return true;
    }

    private static Look with(Look look, int step, int channel, Object... numbers) {
        Look changed = look;
        for (int i = 0; i < numbers.length; i += 2) {
            String name = (String) numbers[i];
            Value value = Value.of(((Number) numbers[i + 1]).doubleValue());
            changed = changed.withSettings(step, channel, a -> a.with(name, value));
        }
        return changed;
    }

    @ParameterizedTest
    @CsvSource({
        "channel-blur, red green blue",
        "chromatic-aberration, amount smear",
        "spectral-dispersion, length",
        "block-glitch, strength",
        "ghost-warp, amount",
        "dilate-erode, radius",
        "colour-streak, length"
    })
    void aBuiltInLookHasAnEffectAndRests(String name, String dials) {
        Look look = BuiltInLooks.named(name);
        assertThat(same(scene.render(scene.project(look), 3), picture)).isFalse();
        for (String dial : dials.split(" ")) {
            look = look.withDial(dial, 0);
        }
        assertThat(same(scene.render(scene.project(look), 3), picture)).isTrue();
    }

    @Test
    void movesOfAChannelAreSampledOnce() {
        Look twice = Look.atRest("l", new Rgb(), new Shift(), new Rotate(), new Shift());
        Look look = with(twice, 0, 0, "x", 2.5);
        look = with(look, 2, 0, "x", -2.5);
        assertThat(same(scene.render(scene.project(look), 0), picture)).isTrue();
        Look turned = with(with(look, 1, 0, "angle", 180), 2, 0, "x", 2.5);
        Frame out = scene.render(scene.project(turned), 0);
        assertThat(out.colour().get(0).at(10, 20)).isEqualTo(picture.colour().get(0).at(85, 43));
    }

    @Test
    void partialMovesScaleAndOtherTreatmentsMix() {
        Look moved = with(Look.atRest("l", new Rgb(), new Shift()), 0, 0, "x", 8, "amount", 50);
        Frame out = scene.render(scene.project(moved), 0);
        assertThat(out.colour().get(0).at(30, 9)).isEqualTo(picture.colour().get(0).at(26, 9));
        Look blurred = Look.atRest("l", new Rgb(), new GaussianBlur());
        Plane full =
                scene.render(scene.project(with(blurred, 0, 1, "radius", 5)), 0).colour().get(1);
        Plane half =
                scene.render(scene.project(with(blurred, 0, 1, "radius", 5, "amount", 50)), 0)
                        .colour()
                        .get(1);
        double mixed = (full.at(40, 30) + picture.colour().get(1).at(40, 30)) / 2;
        assertThat((double) half.at(40, 30)).isCloseTo(mixed, within(1e-6));
    }

    @Test
    void columnsApplyInTheirOrder() {
        Look gainFirst = Look.atRest("l", new Rgb(), new Gain(), new MinimumMaximum());
        Look look = with(with(gainFirst, 0, 0, "gain", 50, "offset", 10), 1, 0, "radius", 2);
        Look other = look.withSteps(List.of(look.steps().get(1), look.steps().get(0)));
        Plane a = scene.render(scene.project(look), 0).colour().get(0);
        Plane b = scene.render(scene.project(other), 0).colour().get(0);
        assertThat((double) a.at(20, 20)).isCloseTo(b.at(20, 20), within(1e-6));
        Look negative = with(with(gainFirst, 0, 0, "gain", 0, "offset", 10), 1, 0, "radius", 2);
        assertThat(scene.render(scene.project(negative), 0).colour().get(0).at(20, 20))
                .isCloseTo(0.1f, within(1e-6f));
    }

    @Test
    void toneKeepsCoverageAndBlurSpreadsIt() {
        Plane cover = Plane.of(40, 30);
        for (int y = 10; y < 20; y++) {
            Arrays.fill(cover.data(), y * 40 + 15, y * 40 + 25, 1f);
        }
        Plane white = Plane.flat(40, 30, 1);
        Scene title = new Scene(Frame.straight(white, white, white, cover));
        Look toned = with(Look.atRest("l", new Rgb(), new Gain()), 0, 0, "gain", 50, "offset", 20);
        Frame out = title.render(title.project(toned), 0);
        assertThat(out.premultiplied(WORKERS).colour().get(0).at(20, 15))
                .isCloseTo(0.7f, within(1e-6f));
        assertThat(out.premultiplied(WORKERS).colour().get(0).at(2, 2)).isZero();
        assertThat(out.unionAlpha(WORKERS).at(2, 2)).isZero();
        Look blurred = with(Look.atRest("l", new Rgb(), new GaussianBlur()), 0, 0, "radius", 6);
        Frame soft = title.render(title.project(blurred), 0);
        assertThat(soft.unionAlpha(WORKERS).at(13, 15)).isBetween(0.05f, 0.9f);
        assertThat(soft.premultiplied(WORKERS).colour().get(1).at(13, 15)).isZero();
        assertThat(soft.premultiplied(WORKERS).colour().get(0).at(13, 15)).isPositive();
    }

    @Test
    void hueChannelsWrapAndBlurAlongTheShorterArc() {
        Plane one = Plane.flat(16, 16, 1);
        Plane none = Plane.flat(16, 16, 0);
        Scene red = new Scene(Frame.opaque(one, none, none));
        Look look = with(Look.atRest("l", new Hsv(), new Gain()), 0, 0, "offset", 100.0 / 3);
        Frame out = red.render(red.project(look), 0);
        assertThat(out.colour().get(1).at(8, 8)).isCloseTo(1, within(1e-4f));
        assertThat(out.colour().get(0).at(8, 8)).isCloseTo(0, within(1e-4f));
    }

    private static Mask tones(double low, double high, double soft) {
        return Mask.NONE.withTones(
                new Mask.Tones(true, Value.of(low), Value.of(high), Value.of(soft), false));
    }

    private static Look brightened() {
        Look look = Look.atRest("l", new Rgb(), new Gain());
        for (int channel = 0; channel < 3; channel++) {
            look = with(look, 0, channel, "offset", 20);
        }
        return look;
    }

    @Test
    void aToneMaskChangesNothingElse() {
        Frame out = scene.render(scene.project(brightened().withMask(tones(60, 100, 0))), 0);
        for (int y = 0; y < 64; y += 3) {
            for (int x = 0; x < 96; x += 5) {
                double luma =
                        0.2126 * picture.colour().get(0).at(x, y)
                                + 0.7152 * picture.colour().get(1).at(x, y)
                                + 0.0722 * picture.colour().get(2).at(x, y);
                float by = out.colour().get(0).at(x, y) - picture.colour().get(0).at(x, y);
                assertThat((double) by).isCloseTo(luma >= 0.6 ? 0.2 : 0, within(1e-6));
            }
        }
    }

    @Test
    void aMaskAndItsInverseAddUpToTheWhole() {
        Look look = brightened();
        Mask mask =
                tones(30, 80, 25)
                        .withColour(
                                new Mask.Colour(true, Value.of(120), Value.of(80), Value.of(40)));
        Frame in = scene.render(scene.project(look.withMask(mask)), 0);
        Frame out = scene.render(scene.project(look.withMask(mask.withInverted(true))), 0);
        Frame all = scene.render(scene.project(look), 0);
        for (int i = 0; i < 96 * 64; i += 7) {
            double sum = in.colour().get(2).data()[i] + out.colour().get(2).data()[i];
            double whole = all.colour().get(2).data()[i] + picture.colour().get(2).data()[i];
            assertThat(sum).isCloseTo(whole, within(1e-5));
        }
    }

    @Test
    void aColourMaskExcludesOtherHuesAndGrey() {
        Plane r = Plane.of(4, 1, 1f, 0.2f, 0.5f, 0.9f);
        Plane g = Plane.of(4, 1, 0.1f, 0.9f, 0.5f, 0.1f);
        Plane b = Plane.of(4, 1, 0.1f, 0.2f, 0.5f, 0.6f);
        Plan.MaskPlan reds =
                new Plan.MaskPlan(
                        Optional.empty(),
                        Optional.of(new Plan.HuePlan(360, 60, 0)),
                        Optional.empty(),
                        false,
                        false);
        Plane weights = MaskWeights.of(reds, Transfer.SRGB, Frame.opaque(r, g, b), null, WORKERS);
        assertThat(weights.data()).containsExactly(1f, 0f, 0f, 0f);
    }

    @Test
    void aMaskAppliesBeforeOrAfterTheSpread() {
        Plane spot = Plane.flat(60, 40, 0.1f);
        for (int y = 12; y < 28; y++) {
            Arrays.fill(spot.data(), y * 60 + 22, y * 60 + 38, 1f);
        }
        Scene lights = new Scene(Frame.opaque(spot, spot, spot));
        Look look = Look.atRest("l", new Rgb(), new GaussianBlur());
        for (int channel = 0; channel < 3; channel++) {
            look = with(look, 0, channel, "radius", 10);
        }
        Look within = look.withMask(tones(50, 100, 0));
        Frame stays = lights.render(lights.project(within), 0);
        assertThat(stays.colour().get(0).at(19, 20)).isEqualTo(0.1f);
        assertThat(stays.colour().get(0).at(22, 20)).isLessThan(0.9f);
        Look beyond = look.withMask(tones(50, 100, 0).withSpreads(true));
        Frame goes = lights.render(lights.project(beyond), 0);
        assertThat(goes.colour().get(0).at(19, 20)).isGreaterThan(0.2f);
        assertThat(goes.colour().get(0).at(1, 20)).isCloseTo(0.1f, within(1e-3f));
        Look glow = beyond.withBlend(new LookBlend(Blend.LIGHTEN, Value.of(1)));
        Frame over = lights.render(lights.project(glow), 0);
        assertThat(over.colour().get(0).at(30, 20)).isEqualTo(1f);
        assertThat(over.colour().get(0).at(19, 20)).isGreaterThan(0.15f);
    }

    @Test
    void aMatteIsAnotherLayersPicture() {
        Plane mask = Plane.of(96, 64);
        for (int y = 0; y < 64; y++) {
            Arrays.fill(mask.data(), y * 96, y * 96 + 48, 1f);
        }
        Look look =
                brightened()
                        .withMask(
                                Mask.NONE.withMatte(new Mask.Matte("m", Mask.Matte.Channel.LUMA)));
        Project one = scene.project(look);
        Layer matte =
                Layer.of("m", "m", Look.atRest("n", new Rgb()), new Clip("b", 0, Scene.FRAMES, 0))
                        .withVisible(false);
        Project both = one.withLayers(List.of(one.layers().getFirst(), matte));
        Renderer renderer =
                new Renderer(
                        (p, shown) ->
                                p.source().id().equals("b")
                                        ? Frame.opaque(mask, mask, mask)
                                        : picture,
                        WORKERS,
                        new FrameCache(1 << 26));
        Frame out = renderer.render(both, 0);
        float left = out.colour().get(0).at(10, 10) - picture.colour().get(0).at(10, 10);
        assertThat(left).isCloseTo(0.2f, within(1e-6f));
        assertThat(out.colour().get(0).at(80, 10)).isEqualTo(picture.colour().get(0).at(80, 10));
    }

    @Test
    void aTreatmentUsesAnotherSourceOfTheProject() {
        Step mask =
                Step.atRest("screen-pattern-1", new ScreenPattern(), 3)
                        .withPicture("b")
                        .withChannel(0, a -> a.with("amount", Value.of(100)));
        Look look = Look.atRest("l", new Rgb()).withSteps(List.of(mask));
        Plane stripes = Plane.of(96, 64);
        for (int i = 0; i < stripes.data().length; i++) {
            stripes.data()[i] = i % 2;
        }
        Renderer renderer =
                new Renderer(
                        (p, shown) ->
                                p.source().id().equals("b")
                                        ? Frame.opaque(stripes, stripes, stripes)
                                        : picture,
                        WORKERS,
                        new FrameCache(1 << 26));
        Frame out = renderer.render(scene.project(look), 0);
        assertThat(out.colour().get(0).at(10, 5)).isZero();
        assertThat(out.colour().get(0).at(11, 5))
                .isCloseTo(2 * picture.colour().get(0).at(11, 5), within(1e-5f));
        assertThat(out.colour().get(1).sameSamples(picture.colour().get(1))).isTrue();
    }

    /** White on black: an uncovered pixel is darker. */
    @Property(tries = 60)
    void automaticOverscanHidesWhatAnyMoveUncovers(
            @ForAll @DoubleRange(min = -6, max = 6) double degrees,
            @ForAll @DoubleRange(min = 94, max = 104) double percent,
            @ForAll @DoubleRange(min = -3, max = 3) double k0,
            @ForAll @DoubleRange(min = -5, max = 5) double x) {
        Plane white = Plane.flat(320, 240, 1);
        Scene plain = new Scene(Frame.opaque(white, white, white));
        Look look =
                Look.atRest(
                        "l",
                        new Rgb(),
                        new Shift(),
                        new Rotate(),
                        new Scale(),
                        new LensDistortion());
        look = with(look, 0, 0, "x", x);
        look = with(look, 1, 1, "angle", degrees);
        look = with(look, 2, 1, "x", percent, "y", percent);
        look = with(look, 3, 2, "k0", k0);
        for (int step = 0; step < 4; step++) {
            look = look.withStep(step, s -> s.withEdgeFill(EdgeFill.EMPTY));
        }
        OverscanFinder.Result demanded = plain.demanded(look);
        assertThat(darkest(plain, look, demanded.scale())).isGreaterThan(0.99999f);
        if (demanded.scale() > 1.04) {
            // Four pixels less at each edge, more than the two pixels of the sampling kernel.
            assertThat(darkest(plain, look, demanded.scale() * 0.965)).isLessThan(0.9999f);
        }
    }

    private static float darkest(Scene scene, Look look, double scale) {
        Look over = look.withOverscan(new Overscan(Overscan.Kind.FIXED, scale));
        Frame out = scene.render(scene.project(over), 0);
        float least = 1;
        for (Plane plane : out.colour()) {
            for (float v : plane.data()) {
                least = Math.min(least, v);
            }
        }
        return least;
    }

    @Test
    void aFixedChannelTakesNoPartInMoves() {
        Look look = Look.atRest("l", new Rgb(), new Flip());
        Look flipped = with(look, 0, 0, "across", 1);
        assertThat(same(scene.render(scene.project(flipped), 0), picture)).isFalse();
        Look held = flipped.withChannel(0, s -> s.withFixed(true));
        assertThat(same(scene.render(scene.project(held), 0), picture)).isTrue();
    }

    @Test
    void seriesMembersAreAddedCountedAndRemoved() {
        ChannelSettings none = ChannelSettings.atRest(new PinWarp().description());
        var series = PinWarp.SERIES;
        ChannelSettings two =
                none.withItem(series, Map.of("x", 1.0)).withItem(series, Map.of("x", 2.0));
        assertThat(two.count(series)).isEqualTo(2);
        ChannelSettings one = two.withoutItem(series, 0);
        assertThat(one.count(series)).isEqualTo(1);
        assertThat(one.value("pin.0.x").rest()).isEqualTo(2);
        assertThat(one.withoutItem(series, 0)).isEqualTo(none);
    }
}
