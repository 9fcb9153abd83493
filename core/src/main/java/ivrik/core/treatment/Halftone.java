package ivrik.core.treatment;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;

import ivrik.core.filter.Turns;
import ivrik.core.picture.Size;

import java.util.function.Supplier;

/**
 * A lane as a printing press lays it on: dots or lines on a turned grid, of which so much is covered as the
 * value says. The shape at each value is where (cos u + cos v)/2, or cos u, exceeds a height; edges are as soft
 * as one pixel, and the height is such that so much of a cell is covered. Dot gain is how much more a half is covered by than it should be.
 */
public final class Halftone implements RowTreatment {
    private static final Option SHAPE =
            new Option("shape", "shape", "What the ink is laid on in", "dots", "lines");

    /** Places looked at within a cell, along each side. */
    private static final int SIDE = 24;

    private static final int LEVELS = 256;

    /** All that decides how high a shape is cut. */
    private record Cut(boolean dots, double soft) {}

    /** The same from frame to frame, and for all lanes. */
    private static final Cache<Cut, float[]> HEIGHTS =
            Caffeine.newBuilder().maximumSize(32).build();

    private static final Description DESCRIPTION =
            Description.of(
                            "halftone",
                            "Halftone",
                            "Lays a lane on in dots or lines, as print does.",
                            Group.TONE,
                            Control.RULER,
                            Parameter.amount(0).shown(100, 100),
                            Parameter.of("size", "size", "px", 2, 400, 8, 0.5).setting(),
                            Parameter.of("angle", "angle", "deg", -3600, 3600, 45, 1)
                                    .setting()
                                    .shown(15, 75),
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
        boolean dots = settings.word(SHAPE).equals(SHAPE.rest());
        double cell = settings.number("size") * context.scale();
        double angle = Math.toRadians(settings.number("angle"));
        double right = StrictMath.cos(angle) / cell;
        double down = StrictMath.sin(angle) / cell;
        float gain = (float) settings.share("gain");
        float span = context.lane().span();
        double soft = 2 * Math.PI / cell * (dots ? Math.sqrt(0.5) : 1);
        float[] heights = HEIGHTS.get(new Cut(dots, soft), c -> heights(c.dots, c.soft));
        float perSoft = (float) (1 / soft);
        // too fine to be seen it is the value itself
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

    /** The cosines of places in turns, from one on, so far apart. */
    private static void wave(double first, double apart, float[] out) {
        int from = Turns.of(first);
        int step = Turns.of(apart);
        for (int x = 0; x < out.length; x++) {
            out[x] = (from + x * step) * 0x1p-32f;
        }
        Turns.cosines(out, out.length);
    }

    private static void halves(float[] other, float[] height, int n) {
        for (int x = 0; x < n; x++) {
            height[x] = (height[x] + other[x]) / 2;
        }
    }

    /** What is covered where values are meant to be: a parabola through 0, 1 and a half and its gain. */
    private static void gained(float[] row, float perSpan, float gain, float[] out, int n) {
        for (int x = 0; x < n; x++) {
            float value = row[x] * perSpan;
            float more = value + 4 * gain * value * (1 - value);
            out[x] = Math.min(1f, Math.max(0f, more));
        }
    }

    /** Covered where the shape is higher than it is cut, with soft edges; as much as can be seen of that. */
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

    /** For each of even shares the height above which so much of a cell is covered, edges softened. */
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
            double way = covered[before + 1] - covered[before];
            double on = way == 0 ? 0 : Math.clamp((share - covered[before]) / way, 0, 1);
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
