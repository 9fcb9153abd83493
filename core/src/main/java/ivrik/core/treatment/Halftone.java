package ivrik.core.treatment;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;

import ivrik.core.filter.TurnCosines;
import ivrik.core.picture.Size;

import java.util.function.Supplier;

/**
 * Halftone of a channel: dots or lines on a rotated grid whose covered area equals the value. The shape is
 * the set where (cos u + cos v)/2, or cos u, exceeds a threshold, with edges one pixel soft; the threshold is
 * chosen for the exact area. Dot gain is the excess of coverage at one half.
 */
public final class Halftone implements RowTreatment {
    private static final Option SHAPE =
            new Option("shape", "shape", "Shape of the halftone screen", "dots", "lines");

    /** Samples per side of a cell. */
    private static final int SIDE = 24;

    private static final int LEVELS = 256;

    /** Everything that the thresholds depend on. */
    private record Cut(boolean dots, double soft) {}

    /** Thresholds are the same for all frames and channels. */
    private static final Cache<Cut, float[]> HEIGHTS =
            Caffeine.newBuilder().maximumSize(32).build();

    private static final Description DESCRIPTION =
            Description.of(
                            "halftone",
                            "Halftone",
                            "Halftone screen of a channel, in dots or lines.",
                            TreatmentGroup.TONE,
                            Control.RULER,
                            Parameter.amount(0).example(100, 100),
                            Parameter.of("size", "size", "px", 2, 400, 8, 0.5).setting(),
                            Parameter.of("angle", "angle", "deg", -3600, 3600, 45, 1)
                                    .setting()
                                    .example(15, 75),
                            Parameter.percent("gain", "dot gain", -50, 50, 0).setting())
                    .choosing(SHAPE)
                    .with(Trait.POINTWISE, Trait.PLACED)
                    .called("print", "newspaper", "dots", "screen", "ink", "comic");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Supplier<Work> work(Size size, Settings settings, Context context) {
        boolean dots = settings.choice(SHAPE).equals(SHAPE.rest());
        double cell = settings.number("size") * context.scale();
        double angle = Math.toRadians(settings.number("angle"));
        double right = StrictMath.cos(angle) / cell;
        double down = StrictMath.sin(angle) / cell;
        float gain = (float) settings.share("gain");
        float span = context.channel().span();
        double soft = 2 * Math.PI / cell * (dots ? Math.sqrt(0.5) : 1);
        float[] heights = HEIGHTS.get(new Cut(dots, soft), c -> heights(c.dots, c.soft));
        float perSoft = (float) (1 / soft);
        // a grid finer than the pixels shows the value itself
        float seen = (float) Math.clamp((cell - 1) / 1.5, 0, 1);
        int n = size.width();
        double middleX = n / 2.0;
        double middleY = size.height() / 2.0;
        return () -> {
            float[] height = new float[n];
            float[] other = new float[n];
            float[] wanted = new float[n];
            return (y, row) -> {
                double dy = y + 0.5 - middleY;
                wave(-down * dy - right * middleX + right / 2, right, height);
                if (dots) {
                    wave(right * dy - down * middleX + down / 2, down, other);
                    halves(other, height, n);
                }
                gained(row, 1 / span, gain, wanted, n);
                for (int x = 0; x < n; x++) {
                    height[x] -= at(heights, wanted[x]);
                }
                ink(height, perSoft, wanted, seen, span, row, n);
            };
        };
    }

    /** Cosines of equally spaced positions in turns. */
    private static void wave(double first, double apart, float[] out) {
        int from = TurnCosines.of(first);
        int step = TurnCosines.of(apart);
        for (int x = 0; x < out.length; x++) {
            out[x] = (from + x * step) * 0x1p-32f;
        }
        TurnCosines.cosines(out, out.length);
    }

    private static void halves(float[] other, float[] height, int n) {
        for (int x = 0; x < n; x++) {
            height[x] = (height[x] + other[x]) / 2;
        }
    }

    /** Dot gain as a parabola through 0, 1 and one half plus gain. */
    private static void gained(float[] row, float perSpan, float gain, float[] out, int n) {
        for (int x = 0; x < n; x++) {
            float value = row[x] * perSpan;
            float more = value + 4 * gain * value * (1 - value);
            out[x] = Math.min(1f, Math.max(0f, more));
        }
    }

    /**
     * Coverage where the shape exceeds the threshold, with soft edges, faded by the visibility of the grid.
     */
    private static void ink(
            float[] over,
            float perSoft,
            float[] wanted,
            float seen,
            float span,
            float[] row,
            int n) {
        for (int x = 0; x < n; x++) {
            float inked = Math.min(1f, Math.max(0f, over[x] * perSoft + 0.5f));
            row[x] = span * (wanted[x] + seen * (inked - wanted[x]));
        }
    }

    /** The threshold for each of evenly spaced areas, with soft edges. */
    private static float[] heights(boolean dots, double soft) {
        double[] covered = new double[LEVELS + 1];
        float[] wave = new float[SIDE];
        wave(0.5 / SIDE, 1.0 / SIDE, wave);
        double reach = 1 + soft / 2;
        for (int i = 0; i <= LEVELS; i++) {
            double above = reach - 2 * reach * i / LEVELS;
            for (int j = 0; j < SIDE * SIDE; j++) {
                float across = wave[j % SIDE];
                double over = (dots ? (across + wave[j / SIDE]) / 2 : across) - above;
                covered[i] += Math.clamp(over / soft + 0.5, 0, 1) / (SIDE * SIDE);
            }
        }
        float[] heights = new float[LEVELS + 1];
        int before = 0;
        for (int i = 0; i <= LEVELS; i++) {
            double share = (double) i / LEVELS;
            while (before < LEVELS - 1 && covered[before + 1] < share) {
                before++;
            }
            double direction = covered[before + 1] - covered[before];
            double on =
                    direction == 0 ? 0 : Math.clamp((share - covered[before]) / direction, 0, 1);
            heights[i] = (float) (reach - 2 * reach * (before + on) / LEVELS);
        }
        return heights;
    }

    private static float at(float[] heights, float share) {
        float at = share * LEVELS;
        int before = Math.min(LEVELS - 1, (int) at);
        return heights[before] + (at - before) * (heights[before + 1] - heights[before]);
    }
}
