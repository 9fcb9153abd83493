package ivrik.core.rejoin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.Random;

/** Every mode against the text of W3C Compositing and Blending Level 1, in double precision. */
class BlendTest {
    private static final int PIXELS = 400;

    private final Workers workers = Workers.shared();
    private final Random random = new Random(7);

    /** Colours in steps of 1/8, which include the limits of the formulas. */
    private float[] colours() {
        float[] samples = new float[PIXELS];
        for (int i = 0; i < PIXELS; i++) {
            samples[i] = i % 2 == 0 ? random.nextInt(9) / 8f : random.nextFloat();
        }
        return samples;
    }

    private static Plane plane(float[] samples) {
        return Plane.of(PIXELS, 1, samples);
    }

    private Frame frame(boolean covered) {
        Plane r = plane(colours());
        Plane g = plane(colours());
        Plane b = plane(colours());
        return covered ? Frame.straight(r, g, b, plane(colours())) : Frame.opaque(r, g, b);
    }

    private static double[] colour(Frame frame, int x) {
        return frame.colour().stream().mapToDouble(p -> p.at(x, 0)).toArray();
    }

    @ParameterizedTest
    @EnumSource
    void opaquePicturesFollowTheFormula(Blend blend) {
        Frame under = frame(false);
        Frame over = frame(false);
        Frame out = Composite.of(under, over, blend, 1, workers);
        for (int x = 0; x < PIXELS; x++) {
            double[] expected = Standard.blend(blend, colour(under, x), colour(over, x));
            for (int c = 0; c < 3; c++) {
                assertThat(colour(out, x)[c])
                        .isCloseTo(expected[c], within(1e-6 * Math.max(1, Math.abs(expected[c]))));
            }
        }
    }

    @ParameterizedTest
    @EnumSource
    void coveredPicturesFollowTheGeneralFormula(Blend blend) {
        for (double amount : new double[] {1, 0.4}) {
            Frame under = frame(true);
            Frame over = frame(true);
            Frame out = Composite.of(under, over, blend, amount, workers).premultiplied(workers);
            for (int x = 0; x < PIXELS; x++) {
                double ab = under.coverage().getFirst().at(x, 0);
                double as = over.coverage().getFirst().at(x, 0) * amount;
                double[] cb = colour(under, x);
                double[] cs = colour(over, x);
                double[] mixed = Standard.blend(blend, cb, cs);
                for (int c = 0; c < 3; c++) {
                    double expected =
                            as * (1 - ab) * cs[c] + ab * (1 - as) * cb[c] + as * ab * mixed[c];
                    assertThat((double) out.colour().get(c).at(x, 0))
                            .as("%s at %s over %s", blend, cs[c], cb[c])
                            .isCloseTo(expected, within(jumps(blend) ? 2e-3 : 2e-6));
                }
                assertThat((double) out.unionAlpha(workers).at(x, 0))
                        .isCloseTo(as + ab * (1 - as), within(1e-6));
            }
        }
    }

    /** Whether the last bit of a colour can decide between two very different values. */
    private static boolean jumps(Blend blend) {
        return switch (blend) {
            case COLOR_DODGE, COLOR_BURN, VIVID_LIGHT, DIVIDE, HUE, SATURATION -> true;
            default -> false;
        };
    }

    @Test
    void sumsAndProductsExtendBeyondTheRange() {
        assertThat(at(Blend.ADD, 1.5, 1)).isEqualTo(2.5f);
        assertThat(at(Blend.SUBTRACT, 0.25, 1)).isEqualTo(-0.75f);
        assertThat(at(Blend.MULTIPLY, 2, -0.5)).isEqualTo(-1f);
        assertThat(at(Blend.SCREEN, 2, 2)).isEqualTo(0f);
        assertThat(at(Blend.LINEAR_LIGHT, 1.5, 1)).isEqualTo(2.5f);
        assertThat(at(Blend.DIVIDE, 1, 0.25)).isEqualTo(4f);
    }

    @Test
    void quotientsClampAsTheStandardDoes() {
        assertThat(at(Blend.COLOR_DODGE, -0.5, 0.5)).isZero();
        assertThat(at(Blend.COLOR_DODGE, 0.5, 3)).isEqualTo(1f);
        assertThat(at(Blend.COLOR_BURN, 2, 0.5)).isEqualTo(1f);
        assertThat(at(Blend.COLOR_BURN, 0.5, -1)).isZero();
        assertThat(at(Blend.DIVIDE, 0, 0)).isZero();
        assertThat(at(Blend.DIVIDE, 0.5, 0)).isEqualTo(1f);
    }

    private float at(Blend blend, double b, double s) {
        Plane under = Plane.of(1, 1, (float) b);
        Plane over = Plane.of(1, 1, (float) s);
        return Composite.of(
                        Frame.opaque(under, under, under),
                        Frame.opaque(over, over, over),
                        blend,
                        1,
                        workers)
                .colour()
                .get(1)
                .at(0, 0);
    }

    @Test
    void namesFollowTheStandard() {
        assertThat(Blend.COLOR_DODGE.id()).isEqualTo("color-dodge");
        assertThat(Blend.SOFT_LIGHT.title()).isEqualTo("Soft light");
        assertThat(Rejoin.named("hard-light")).isEqualTo(Rejoin.by(Blend.HARD_LIGHT));
        assertThat(Rejoin.named("exact")).isEqualTo(Rejoin.EXACT);
        assertThat(Rejoin.all()).hasSize(Blend.values().length);
    }
}
