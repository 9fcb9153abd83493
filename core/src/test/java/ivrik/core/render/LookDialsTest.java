package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Cancellation;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;
import java.util.function.IntToDoubleFunction;

/**
 * The dials of the built-in looks keep their names, each has an effect, and the effect is measured.
 */
class LookDialsTest {
    private static final int W = 240;
    private static final int H = 136;

    static List<BuiltInLook> all() {
        return BuiltInLooks.shelf();
    }

    private static BuiltInLook named(String name) {
        return all().stream().filter(b -> b.look().name().equals(name)).findFirst().orElseThrow();
    }

    private static Frame done(Look look, Frame picture, long frame) {
        return done(look, new Scene(picture), frame);
    }

    private static Frame done(Look look, Scene scene, long frame) {
        return scene.renderer()
                .render(Planner.plan(scene.project(look), frame), 1, Cancellation.NEVER);
    }

    /** Scripts use these names, so they never change. */
    @ParameterizedTest
    @CsvSource({
        "halation, threshold radius red green blue tail strength keep-energy",
        "film-print, grain weave flicker dust scratches fade print",
        "videotape, wear lines chroma-lines chroma-delay ringing noise wobble tear dropouts"
                + " generations",
        "crt, mask pitch scan beam bloom curve misconvergence decay roll brightness",
        "low-res, pixels palette dither bleed dots",
        "digital-breakup, blocks slices lines stuck swap bits hold"
    })
    void scriptNamesOfDialsExist(String look, String dials) {
        assertThat(named(look).look().dials()).extracting(Dial::name).contains(dials.split(" "));
    }

    /** A moving picture with light and dark areas, colours, edges and fine detail. */
    private static Scene film() {
        return new Scene(
                n ->
                        Frame.opaque(
                                Pictured.smooth(W, H, 0.3),
                                Pictured.noise(W, H, 5 + n),
                                Pictured.smooth(W, H, 2.3)));
    }

    /** A tube with few enough lines for a small picture. */
    private static Look shown(String name) {
        Look look = named(name).withExampleSettings();
        return name.equals("crt") ? look.withDial("scan", 34) : look;
    }

    /**
     * At the far end and halfway; a very large number of pixels across leaves the picture unchanged.
     */
    @ParameterizedTest
    @ValueSource(
            strings = {"halation", "film-print", "videotape", "crt", "low-res", "digital-breakup"})
    void everyDialChangesThePicture(String name) {
        Look look = shown(name);
        for (Dial dial : look.dials()) {
            Frame[] made = {
                done(look.withDial(dial.name(), dial.min()), film(), 3),
                done(look.withDial(dial.name(), 0.97 * dial.rest() + 0.03 * dial.max()), film(), 3),
                done(look.withDial(dial.name(), dial.max()), film(), 3)
            };
            assertThat(differ(made[0], made[1]) || differ(made[1], made[2]))
                    .as(dial.name())
                    .isTrue();
        }
    }

    private static boolean differ(Frame a, Frame b) {
        boolean same = true;
        for (int c = 0; c < 3; c++) {
            same &= a.colour().get(c).sameSamples(b.colour().get(c));
        }
        return !same;
    }

    /** The phase of ten cycles across the middle half of a row, in pixels to the right. */
    private static double delay(IntToDoubleFunction row) {
        double cycle = W / 20.0;
        double cos = 0;
        double sin = 0;
        for (int x = W / 4; x < 3 * W / 4; x++) {
            double at = 2 * Math.PI * (x + 0.5) / cycle;
            cos += row.applyAsDouble(x) * Math.cos(at);
            sin += row.applyAsDouble(x) * Math.sin(at);
        }
        return Math.atan2(sin, cos) * cycle / (2 * Math.PI);
    }

    private static double luma(Frame f, int x) {
        return 0.299 * f.colour().get(0).at(x, H / 2)
                + 0.587 * f.colour().get(1).at(x, H / 2)
                + 0.114 * f.colour().get(2).at(x, H / 2);
    }

    /**
     * A red wave of even luma by the weights of BT.601: its colour is delayed and nothing else changes.
     */
    @ParameterizedTest
    @ValueSource(doubles = {4, 2.5, -3})
    void chromaDelayOfTapeMatchesItsDial(double px) {
        Plane red = Plane.of(W, H);
        Plane green = Plane.of(W, H);
        Plane blue = Plane.of(W, H);
        for (int i = 0; i < W * H; i++) {
            double wave = 0.2 * Math.cos(2 * Math.PI * (i % W + 0.5) / (W / 20.0));
            red.data()[i] = (float) (0.5 + wave);
            green.data()[i] = (float) (0.5 - wave * 0.299 / 0.587);
            blue.data()[i] = 0.5f;
        }
        Look look = named("videotape").atZero().withDial("chroma-delay", px);
        Frame out = done(look, Frame.opaque(red, green, blue), 3);
        assertThat(delay(x -> out.colour().getFirst().at(x, H / 2) - luma(out, x)))
                .isCloseTo(px, within(0.02));
        for (int x = W / 4; x < 3 * W / 4; x++) {
            assertThat(luma(out, x)).isCloseTo(0.5, within(1e-4));
        }
    }

    /**
     * Soft discs at the positions given by a lens with a displacement at the corner and no higher order.
     */
    private static Plane discs(double out) {
        Plane plane = Plane.of(W, H);
        for (int y = 0; y < H; y++) {
            for (int x = 0; x < W; x++) {
                double u = W / 2.0 + (x + 0.5 - W / 2.0) / (1 + out);
                double v = H / 2.0 + (y + 0.5 - H / 2.0) / (1 + out);
                double far = Math.hypot(u % 24 - 12, v % 24 - 12);
                plane.data()[y * W + x] = (float) (0.2 + 0.6 / (1 + Math.exp(far - 7)));
            }
        }
        return plane;
    }

    @Test
    void aKnownLensIsCorrected() {
        Plane green = discs(0);
        Frame parted = Frame.opaque(discs(0.01), green, discs(-0.01));
        Look look = named("fringe-correction").atZero().withDial("red", 1).withDial("blue", -1);
        Frame out = done(look, parted, 0);
        for (int c : new int[] {0, 2}) {
            double before = worst(parted.colour().get(c), green);
            assertThat(worst(out.colour().get(c), green)).isLessThan(before / 20);
        }
        assertThat(out.colour().get(1).sameSamples(green)).isTrue();
    }

    /** The largest difference away from the border, where the lens lacks input. */
    private static double worst(Plane a, Plane b) {
        double worst = 0;
        for (int y = 8; y < H - 8; y++) {
            for (int x = 8; x < W - 8; x++) {
                worst = Math.max(worst, Math.abs(a.at(x, y) - b.at(x, y)));
            }
        }
        return worst;
    }

    /** The centre of a single soft spot. */
    private static double[] middle(Plane plane) {
        double[] sum = new double[3];
        for (int y = 0; y < H; y++) {
            for (int x = 0; x < W; x++) {
                double v = plane.at(x, y) - plane.at(0, 0);
                sum[0] += v;
                sum[1] += v * x;
                sum[2] += v * y;
            }
        }
        return new double[] {sum[1] / sum[0], sum[2] / sum[0]};
    }

    @Test
    void gateWeaveIsSmoothAndCommonToAllChannels() {
        Plane spot = Plane.of(W, H);
        for (int i = 0; i < W * H; i++) {
            double far = Math.hypot(i % W - W / 2.0, i / W - H / 2.0);
            spot.data()[i] = (float) (0.2 + 0.5 * Math.exp(-far * far / 200));
        }
        Look look = named("film-print").atZero().withDial("weave", 1);
        double[] last = null;
        double travelled = 0;
        for (int frame = 0; frame < 12; frame++) {
            Frame out = done(look, Frame.opaque(spot, spot, spot), frame);
            double[] at = middle(out.colour().getFirst());
            assertThat(out.colour().get(1).sameSamples(out.colour().get(0))).isTrue();
            assertThat(out.colour().get(2).sameSamples(out.colour().get(0))).isTrue();
            if (last != null) {
                double step = Math.hypot(at[0] - last[0], at[1] - last[1]);
                assertThat(step).isLessThan(1);
                travelled += step;
            }
            last = at;
        }
        assertThat(travelled).isGreaterThan(0.2);
    }
}
