package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.colour.Luma;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.Vector;
import jdk.incubator.vector.VectorOperators;
import jdk.incubator.vector.VectorSpecies;

/**
 * Converts between Y'CbCr and R'G'B' with the luma weights of ITU-R BT.601, BT.709 and BT.2020; the inverses
 * are solved from the forward equations.
 *
 * @param kr luma weight of red
 * @param kb luma weight of blue
 * @param blackLuma code value of black as a share of the largest
 * @param lumaSpan white minus black, as a share of the largest code value
 * @param chromaZero neutral chroma, as a share of the largest code value
 * @param chromaSpan full range of chroma, as a share of the largest code value
 */
record Yuv(
        double kr,
        double kb,
        double blackLuma,
        double lumaSpan,
        double chromaZero,
        double chromaSpan) {
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;
    private static final int GRID = 1 << 24;

    /** By FFmpeg's tags; untagged high definition is BT.709, other sizes BT.601. */
    static Yuv of(int colourSpace, boolean fullRange, int bits, int height) {
        double[] k =
                switch (colourSpace) {
                    case AVCOL_SPC_BT709 -> new double[] {Luma.RED, Luma.BLUE};
                    case AVCOL_SPC_BT2020_NCL, AVCOL_SPC_BT2020_CL -> new double[] {0.2627, 0.0593};
                    case AVCOL_SPC_BT470BG, AVCOL_SPC_SMPTE170M, AVCOL_SPC_FCC ->
                            new double[] {0.299, 0.114};
                    case AVCOL_SPC_SMPTE240M -> new double[] {0.212, 0.087};
                    default ->
                            height >= 720
                                    ? new double[] {Luma.RED, Luma.BLUE}
                                    : new double[] {0.299, 0.114};
                };
        double largest = (1 << bits) - 1;
        double unit = 1 << (bits - 8);
        return fullRange
                ? new Yuv(k[0], k[1], 0, 1, 128 * unit / largest, 1)
                : new Yuv(
                        k[0],
                        k[1],
                        16 * unit / largest,
                        219 * unit / largest,
                        128 * unit / largest,
                        224 * unit / largest);
    }

    /** Luma weight of green. */
    private double kg() {
        return 1 - kr - kb;
    }

    /** Red minus luma for a full step of Cr. */
    private float redGain() {
        return (float) (2 * (1 - kr) / chromaSpan);
    }

    private float blueGain() {
        return (float) (2 * (1 - kb) / chromaSpan);
    }

    /** Grey from luma. */
    Plane grey(Plane luma, Workers workers) {
        Plane out = Plane.of(luma.width(), luma.height());
        float black = (float) blackLuma;
        float gain = (float) (1 / lumaSpan);
        workers.rows(
                luma.height(),
                (from, to) -> {
                    for (int i = from * luma.width(); i < to * luma.width(); i++) {
                        out.data()[i] = (luma.data()[i] - black) * gain;
                    }
                });
        return out;
    }

    /**
     * A row of chroma between two others.
     *
     * @param share weight of the lower one, 0 to 1
     */
    record Between(float[] upper, float[] lower, float share) {}

    /**
     * Converts samples of a row to red, green and blue.
     *
     * @param rgb the first array contains luma on entry
     */
    void toRgb(float[][] rgb, Between cb, Between cr, int n) {
        System.arraycopy(rgb[0], 0, rgb[1], 0, n);
        System.arraycopy(rgb[0], 0, rgb[2], 0, n);
        toRed(rgb[0], cr, n);
        toGreen(rgb[1], cb, cr, n);
        toBlue(rgb[2], cb, n);
    }

    /** Converts luma to red in place. */
    void toRed(float[] y, Between cr, int n) {
        toColour(y, cr, redGain(), n);
    }

    /** Converts luma to blue in place. */
    void toBlue(float[] y, Between cb, int n) {
        toColour(y, cb, blueGain(), n);
    }

    private void toColour(float[] y, Between difference, float gain, int n) {
        float[] upper = difference.upper;
        float[] lower = difference.lower;
        float share = difference.share;
        float black = (float) blackLuma;
        float lumaGain = (float) (1 / lumaSpan);
        float zero = (float) chromaZero;
        for (int i = 0; i < n; i++) {
            float luma = (y[i] - black) * lumaGain;
            float between = upper[i] + share * (lower[i] - upper[i]);
            y[i] = luma + (between - zero) * gain;
        }
    }

    /** Converts luma to green in place. */
    void toGreen(float[] y, Between cb, Between cr, int n) {
        float[] upperBlue = cb.upper;
        float[] lowerBlue = cb.lower;
        float shareBlue = cb.share;
        float[] upperRed = cr.upper;
        float[] lowerRed = cr.lower;
        float shareRed = cr.share;
        float black = (float) blackLuma;
        float lumaGain = (float) (1 / lumaSpan);
        float zero = (float) chromaZero;
        float redGain = redGain();
        float blueGain = blueGain();
        float redInGreen = (float) (kr / kg());
        float blueInGreen = (float) (kb / kg());
        for (int i = 0; i < n; i++) {
            float luma = (y[i] - black) * lumaGain;
            float betweenBlue = upperBlue[i] + shareBlue * (lowerBlue[i] - upperBlue[i]);
            float betweenRed = upperRed[i] + shareRed * (lowerRed[i] - upperRed[i]);
            float blue = (betweenBlue - zero) * blueGain;
            float red = (betweenRed - zero) * redGain;
            y[i] = luma - red * redInGreen - blue * blueInGreen;
        }
    }

    /**
     * Converts red, green and blue to code values of Y', Cb and Cr as shares of the largest. Samples are
     * clamped to 0..1 and rounded to multiples of 2^-24, the precision of floats near 1; NaN becomes 0.
     */
    void toCodes(float[] red, float[] green, float[] blue, float[] luma, float[] cb, float[] cr) {
        float black = (float) blackLuma;
        float redInLuma = (float) (lumaSpan * kr);
        float greenInLuma = (float) (lumaSpan * kg());
        float blueInLuma = (float) (lumaSpan * kb);
        float zero = (float) chromaZero;
        float own = (float) (chromaSpan / 2);
        float redInCb = (float) (chromaSpan / 2 * kr / (1 - kb));
        float greenInCb = (float) (chromaSpan / 2 * kg() / (1 - kb));
        float blueInCr = (float) (chromaSpan / 2 * kb / (1 - kr));
        float greenInCr = (float) (chromaSpan / 2 * kg() / (1 - kr));
        int i = 0;
        for (; i <= luma.length - FLOATS.length(); i += FLOATS.length()) {
            FloatVector r = clamped(red, i);
            FloatVector g = clamped(green, i);
            FloatVector b = clamped(blue, i);
            r.mul(redInLuma)
                    .add(black)
                    .add(g.mul(greenInLuma))
                    .add(b.mul(blueInLuma))
                    .intoArray(luma, i);
            b.mul(own).sub(r.mul(redInCb)).sub(g.mul(greenInCb)).add(zero).intoArray(cb, i);
            r.mul(own).sub(b.mul(blueInCr)).sub(g.mul(greenInCr)).add(zero).intoArray(cr, i);
        }
        for (; i < luma.length; i++) {
            float r = clamped(red[i]);
            float g = clamped(green[i]);
            float b = clamped(blue[i]);
            luma[i] = black + r * redInLuma + g * greenInLuma + b * blueInLuma;
            cb[i] = zero + (own * b - redInCb * r - greenInCb * g);
            cr[i] = zero + (own * r - blueInCr * b - greenInCr * g);
        }
    }

    private static FloatVector clamped(float[] row, int i) {
        FloatVector steps = FloatVector.fromArray(FLOATS, row, i).mul(GRID);
        Vector<Integer> whole = steps.convert(VectorOperators.F2I, 0);
        return ((FloatVector)
                        whole.reinterpretAsInts().max(0).min(GRID).convert(VectorOperators.I2F, 0))
                .mul(1f / GRID);
    }

    private static float clamped(float sample) {
        return Math.clamp((int) (sample * GRID), 0, GRID) * (1f / GRID);
    }
}
