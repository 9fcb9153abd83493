package ivrik.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

import java.util.Random;

/** The averages of the zones and their correction, computed by hand. */
class ColourCastTest {
    private static final int N = 5000;

    private final int[] before = new int[N];
    private final int[] after = new int[N];

    private static int word(double r, double g, double b) {
        return 0xff000000
                | (int) Math.round(255 * r) << 16
                | (int) Math.round(255 * g) << 8
                | (int) Math.round(255 * b);
    }

    private static double[] rgb(int word) {
        return new double[] {
            (word >> 16 & 255) / 255.0, (word >> 8 & 255) / 255.0, (word & 255) / 255.0
        };
    }

    private static double luma(double[] rgb) {
        return 0.2126 * rgb[0] + 0.7152 * rgb[1] + 0.0722 * rgb[2];
    }

    /** Triangular weights around black, mid grey and white. */
    private static double[] hats(double luma) {
        return new double[] {
            Math.max(0, 1 - 2 * luma), 1 - Math.abs(2 * luma - 1), Math.max(0, 2 * luma - 1)
        };
    }

    private ColourCast colourCast(double darkest, double lightest) {
        Random random = new Random(2);
        for (int i = 0; i < N; i++) {
            double v = darkest + (lightest - darkest) * random.nextDouble();
            before[i] = word(v, Math.min(1, v + 0.03), v);
            after[i] =
                    word(
                            Math.clamp(v * 0.9 + 0.08 * random.nextDouble(), 0, 1),
                            v,
                            Math.clamp(v * v + 0.05, 0, 1));
        }
        ColourCast colourCast = new ColourCast();
        colourCast.add(before, after);
        return colourCast;
    }

    @Test
    void theCorrectionRestoresTheAveragesOfAllZones() {
        double[][] by = colourCast(0, 1).correction();
        double[][] was = new double[3][3];
        double[][] is = new double[3][3];
        for (int i = 0; i < N; i++) {
            double[] treated = rgb(after[i]);
            double[] zone = hats(luma(treated));
            for (int c = 0; c < 3; c++) {
                double added = zone[0] * by[0][c] + zone[1] * by[1][c] + zone[2] * by[2][c];
                for (int z = 0; z < 3; z++) {
                    was[z][c] += zone[z] * rgb(before[i])[c];
                    is[z][c] += zone[z] * (treated[c] + added);
                }
            }
        }
        for (int z = 0; z < 3; z++) {
            for (int c = 0; c < 3; c++) {
                assertThat(is[z][c] / was[z][c]).isCloseTo(1, within(1e-6));
                assertThat(Math.abs(by[z][c])).isLessThan(0.5);
            }
        }
    }

    @Test
    void zoneAveragesMatchTheDefinition() {
        ColourCast colourCast = colourCast(0, 1);
        double sum = 0;
        double all = 0;
        for (int i = 0; i < N; i++) {
            double lights = hats(luma(rgb(after[i])))[2];
            sum += lights * rgb(before[i])[1];
            all += lights;
        }
        assertThat(colourCast.before(2)[1]).isCloseTo(sum / all, within(1e-9));
        assertThat(colourCast.after(2)[1]).isLessThan(colourCast.before(2)[1]);
    }

    @Test
    void anEmptyZoneStaysUnchanged() {
        double[][] by = colourCast(0, 0.3).correction();
        assertThat(by[2]).containsExactly(new double[3], within(1e-6));
        assertThat(colourCast(0, 0.3).before(2)).containsExactly(0, 0, 0);
    }
}
