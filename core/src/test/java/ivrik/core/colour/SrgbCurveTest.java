package ivrik.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.lang.classfile.Attributes;
import java.lang.classfile.ClassFile;
import java.lang.classfile.MethodModel;
import java.util.List;
import java.util.Random;

/** The polynomials against the formulas of IEC 61966-2-1. */
class SrgbCurveTest {
    private static final double CLOSE = 1.2e-7;

    private static double light(double v) {
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }

    private static double code(double l) {
        return l <= 0.0031308 ? l * 12.92 : 1.055 * Math.pow(l, 1 / 2.4) - 0.055;
    }

    /** A million values, evenly spaced and denser towards black. */
    @Test
    void bothDirectionsEqualTheFormula() {
        int n = 1 << 20;
        float[] values = new float[n];
        for (int i = 0; i < n; i++) {
            double even = (double) i / (n - 1);
            values[i] = (float) (i % 2 == 0 ? even : even * even * even);
        }
        float[] lights = values.clone();
        SrgbCurve.toLinear(lights, 0, n);
        float[] codes = values.clone();
        SrgbCurve.fromLinear(codes, 0, n);
        double worst = 0;
        double worstBack = 0;
        for (int i = 0; i < n; i++) {
            worst = Math.max(worst, Math.abs(lights[i] - light(values[i])));
            worstBack = Math.max(worstBack, Math.abs(codes[i] - code(values[i])));
        }
        assertThat(worst).isLessThan(CLOSE);
        assertThat(worstBack).isLessThan(CLOSE);
    }

    /** Within the range of the polynomials and above it; negative values are mirrored. */
    @Test
    void valuesOutsideTheRangeEqualTheFormula() {
        int n = 200_000;
        float[] values = new float[n];
        for (int i = 0; i < n; i++) {
            values[i] = (float) (20.0 * i / n * (i % 2 == 0 ? 1 : -1));
        }
        float[] lights = values.clone();
        SrgbCurve.toLinear(lights, 0, n);
        float[] codes = values.clone();
        SrgbCurve.fromLinear(codes, 0, n);
        double before = -1;
        for (int i = 0; i < n; i += 2) {
            double light = light(values[i]);
            double code = code(values[i]);
            assertThat(lights[i]).isCloseTo((float) light, within((float) (6e-7 * (1 + light))));
            assertThat(codes[i]).isCloseTo((float) code, within((float) (3e-7 * (1 + code))));
            assertThat((double) codes[i]).isGreaterThan(before);
            before = codes[i];
            float light1 = (float) light(-values[i + 1]);
            assertThat(lights[i + 1]).isCloseTo(-light1, within(6e-7f * (1 + light1)));
        }
    }

    @Test
    void codesOf16BitRoundTripAndAreMonotonic() {
        int n = 1 << 16;
        float[] values = new float[n];
        for (int i = 0; i < n; i++) {
            values[i] = i / 65535f;
        }
        SrgbCurve.toLinear(values, 0, n);
        for (int i = 1; i < n; i++) {
            assertThat(values[i]).isGreaterThan(values[i - 1]);
        }
        SrgbCurve.fromLinear(values, 0, n);
        for (int i = 0; i < n; i++) {
            assertThat(Math.round(values[i] * 65535)).isEqualTo(i);
        }
    }

    /** The result is independent of the neighbours and of the position in the row. */
    @Test
    void vectorAndScalarResultsAreEqual() {
        Random random = new Random(8);
        float[] row = new float[203];
        for (int i = 0; i < row.length; i++) {
            row[i] = i < 100 ? random.nextFloat() : 40 * random.nextFloat() - 12;
        }
        row[5] = Float.NaN;
        row[8] = -0f;
        float[] to = row.clone();
        float[] from = row.clone();
        SrgbCurve.toLinear(to, 1, 202);
        SrgbCurve.fromLinear(from, 1, 202);
        assertThat(to[0]).isEqualTo(row[0]);
        assertThat(to[202]).isEqualTo(row[202]);
        for (int i = 1; i < 202; i++) {
            float[] one = {row[i]};
            SrgbCurve.toLinear(one, 0, 1);
            assertThat(Float.floatToIntBits(to[i])).isEqualTo(Float.floatToIntBits(one[0]));
            one[0] = row[i];
            SrgbCurve.fromLinear(one, 0, 1);
            assertThat(Float.floatToIntBits(from[i])).isEqualTo(Float.floatToIntBits(one[0]));
        }
    }

    /** Includes the sign of zero. */
    @Test
    void rowsAndSingleValuesGiveTheSameBits() {
        float[] values = new float[256];
        for (int i = 0; i < values.length; i++) {
            values[i] = (i - 128) / 64f;
        }
        values[0] = -0f;
        float[] lights = values.clone();
        SrgbCurve.toLinear(lights, 0, values.length);
        float[] codes = values.clone();
        SrgbCurve.fromLinear(codes, 0, values.length);
        for (int i = 0; i < values.length; i++) {
            assertThat(Float.floatToRawIntBits(lights[i]))
                    .isEqualTo(Float.floatToRawIntBits(SrgbCurve.toLinear(values[i])));
            assertThat(Float.floatToRawIntBits(codes[i]))
                    .isEqualTo(Float.floatToRawIntBits(SrgbCurve.fromLinear(values[i])));
        }
    }

    /** HotSpot inlines hot methods up to this size into their callers. */
    @Test
    void rowMethodsStayTooLargeToInline() throws IOException {
        int longestPutIn = 325;
        byte[] compiled = SrgbCurve.class.getResourceAsStream("SrgbCurve.class").readAllBytes();
        List<MethodModel> forRows =
                ClassFile.of().parse(compiled).methods().stream()
                        .filter(m -> m.methodType().stringValue().equals("([FII)V"))
                        .toList();
        assertThat(forRows).hasSize(2);
        for (MethodModel method : forRows) {
            int length = method.findAttribute(Attributes.code()).orElseThrow().codeLength();
            assertThat(length).as(method.methodName().stringValue()).isGreaterThan(longestPutIn);
        }
    }
}
