package ivrik.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/** Tables parsed from text and looked up, against the definitions. */
class ColourTableTest {
    private static final int POINTS = 5;

    private static String text(double[][] colours, String... head) {
        StringBuilder text = new StringBuilder(String.join("\n", head)).append('\n');
        for (double[] c : colours) {
            text.append(String.format(Locale.ROOT, "%.6f %.6f %.6f%n", c[0], c[1], c[2]));
        }
        return text.toString();
    }

    private static double[][] random(int n) {
        Random random = new Random(11);
        double[][] colours = new double[n][3];
        for (double[] c : colours) {
            for (int i = 0; i < 3; i++) {
                c[i] = Math.round(1e6 * (1.4 * random.nextDouble() - 0.2)) / 1e6;
            }
        }
        return colours;
    }

    private static float[] looked(ColourTable table, double... rgb) {
        float[][] rows = {{(float) rgb[0]}, {(float) rgb[1]}, {(float) rgb[2]}};
        table.apply(rows, 1);
        return new float[] {rows[0][0], rows[1][0], rows[2][0]};
    }

    /**
     * Tetrahedral interpolation in barycentric coordinates: the corners follow from the lowest corner along
     * one axis after another, largest fraction first.
     */
    private static double[] byTetrahedra(double[][] lattice, double[] place) {
        int[] low = new int[3];
        double[] share = new double[3];
        for (int c = 0; c < 3; c++) {
            low[c] = Math.min(POINTS - 2, (int) Math.floor(place[c]));
            share[c] = place[c] - low[c];
        }
        List<Integer> axes = new ArrayList<>(List.of(0, 1, 2));
        axes.sort(Comparator.comparingDouble(c -> -share[c]));
        double[] out = new double[3];
        int[] corner = low.clone();
        for (int k = 0; k <= 3; k++) {
            double before = k == 0 ? 1 : share[axes.get(k - 1)];
            double after = k == 3 ? 0 : share[axes.get(k)];
            double[] colour = lattice[corner[0] + POINTS * (corner[1] + POINTS * corner[2])];
            for (int c = 0; c < 3; c++) {
                out[c] += (before - after) * colour[c];
            }
            if (k < 3) {
                corner[axes.get(k)]++;
            }
        }
        return out;
    }

    @Test
    void aLatticeIsInterpolatedInTetrahedra() {
        double[][] colours = random(POINTS * POINTS * POINTS);
        ColourTable table =
                CubeFormat.read(
                        text(
                                colours,
                                "# made for this",
                                "TITLE \"A table\"",
                                "",
                                "LUT_3D_SIZE 5",
                                "DOMAIN_MIN -0.5 0 0.25",
                                "DOMAIN_MAX 1.5 1 0.75"),
                        "file");
        assertThat(table.name()).isEqualTo("A table");
        double[] low = {-0.5, 0, 0.25};
        double[] high = {1.5, 1, 0.75};
        Random random = new Random(3);
        for (int i = 0; i < 3000; i++) {
            double[] rgb = new double[3];
            double[] place = new double[3];
            for (int c = 0; c < 3; c++) {
                rgb[c] =
                        i % 7 == 0
                                ? 0.25 * random.nextInt(5)
                                : (float) (2.4 * random.nextDouble() - 0.7);
                double within = (rgb[c] - low[c]) / (high[c] - low[c]);
                place[c] = Math.clamp(within, 0, 1) * (POINTS - 1);
            }
            float[] made = looked(table, rgb);
            double[] exact = byTetrahedra(colours, place);
            for (int c = 0; c < 3; c++) {
                assertThat((double) made[c]).isCloseTo(exact[c], within(2e-6));
            }
        }
    }

    @Test
    void curvesAreInterpolatedLinearlyPerChannel() {
        double[][] colours = {{0, 1, 0.5}, {0.3, 0.5, 0.5}, {1, 0, 0.5}};
        ColourTable table = CubeFormat.read(text(colours, "LUT_1D_SIZE 3"), "file");
        assertThat(table.name()).isEqualTo("file");
        assertThat(looked(table, 0.25, 0.75, 0.1)).containsExactly(0.15f, 0.25f, 0.5f);
        assertThat(looked(table, -3, 7, Double.NaN)).containsExactly(0f, 0f, 0.5f);
    }

    @Test
    void aTableIsWrittenAndReadUnchanged() {
        ColourTable table =
                CubeFormat.read(
                        text(random(27), "TITLE \"x\"", "LUT_3D_SIZE 3", "DOMAIN_MAX 4 4 4"), "f");
        assertThat(CubeFormat.read(CubeFormat.write(table), "other"))
                .isEqualTo(table)
                .hasSameHashCodeAs(table);
        assertThat(CubeFormat.read(CubeFormat.write(table).replace("\"x\"", "\"y\""), "other"))
                .isNotEqualTo(table);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "LUT_3D_SIZE 2;0 0 0;1 1 | line 3 | found 2",
                "LUT_3D_SIZE 2;0 0 0;1 x 1 | line 3 | 'x' is not a number",
                "LUT_3D_SIZE 2;0 0 0;1 NaN 1 | line 3 | 'NaN' is out of range",
                "LUT_3D_SIZE 2;0 0 0;1 1e20 1 | line 3 | '1e20' is out of range",
                "LUT_1D_SIZE 2;0 0 0;1 1 1;2 2 2 | line 4 | more colours",
                "LUT_1D_SIZE 2;0 0 0 | line 2 | only 1 of 2",
                "LUT_1D_SIZE 2;LUT_3D_SIZE 2 | line 2 | two tables",
                "LUT_3D_SIZE 500 | line 1 | between 2 and 129",
                "LUT_3D_SIZE -2 | line 1 | between 2 and 129",
                "0 0 0 | line 1 | precedes the size",
                "MOONLIGHT 3 | line 1 | unknown keyword 'MOONLIGHT'",
                "TITLE \"t\" | line 1 | neither LUT_1D_SIZE",
                "LUT_1D_SIZE 2;DOMAIN_MIN 1 0 0;0 0 0;1 1 1 | line 4 | empty or inverted: 1.0 to"
                        + " 1.0"
            })
    void aDamagedTableIsRefusedWithTheLine(String lines, String where, String why) {
        assertThatThrownBy(() -> CubeFormat.read(lines.replace(';', '\n'), "grade.cube"))
                .isInstanceOf(DamagedTableException.class)
                .hasMessageContainingAll("grade.cube", where, why);
    }
}
