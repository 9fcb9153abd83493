package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.colour.Luma;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

/**
 * Luma and colour difference to R'G'B' and back, by the luma weights of ITU-R BT.601, BT.709 and
 * BT.2020; each inverse is solved from its forward.
 *
 * @param kr weight of red in luma
 * @param kb weight of blue in luma
 * @param blackLuma code of black as a share of the largest code
 * @param lumaSpan white less black, as a share of the largest code
 * @param chromaZero the neutral code of colour difference, likewise
 * @param chromaSpan its full swing, likewise
 */
record Yuv(
        double kr,
        double kb,
        double blackLuma,
        double lumaSpan,
        double chromaZero,
        double chromaSpan) {
    /** By FFmpeg's tags; where they say nothing, high definition is BT.709 and the rest BT.601. */
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

    /** Weight of green in luma. */
    private double kg() {
        return 1 - kr - kb;
    }

    /** How far red lies over luma for a whole step of its difference. */
    private float redGain() {
        return (float) (2 * (1 - kr) / chromaSpan);
    }

    private float blueGain() {
        return (float) (2 * (1 - kb) / chromaSpan);
    }

    /** Luma alone to grey. */
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

    /** Luma and the differences of blue and red from one index to another, changed in place to red, green, blue. */
    void toRgb(float[] y, float[] cb, float[] cr, int from, int to) {
        float black = (float) blackLuma;
        float lumaGain = (float) (1 / lumaSpan);
        float zero = (float) chromaZero;
        float redGain = redGain();
        float blueGain = blueGain();
        float redInGreen = (float) (kr / kg());
        float blueInGreen = (float) (kb / kg());
        for (int i = from; i < to; i++) {
            float luma = (y[i] - black) * lumaGain;
            float blue = (cb[i] - zero) * blueGain;
            float red = (cr[i] - zero) * redGain;
            y[i] = luma + red;
            cb[i] = luma - red * redInGreen - blue * blueInGreen;
            cr[i] = luma + blue;
        }
    }

    /** The first samples of luma, changed in place to red by the difference of red. */
    void toRed(float[] y, float[] cr, int n) {
        toColour(y, cr, redGain(), n);
    }

    /** The first samples of luma, changed in place to green by the differences of blue and red. */
    void toGreen(float[] y, float[] cb, float[] cr, int n) {
        float black = (float) blackLuma;
        float lumaGain = (float) (1 / lumaSpan);
        float zero = (float) chromaZero;
        float redGain = redGain();
        float blueGain = blueGain();
        float redInGreen = (float) (kr / kg());
        float blueInGreen = (float) (kb / kg());
        for (int i = 0; i < n; i++) {
            float luma = (y[i] - black) * lumaGain;
            float blue = (cb[i] - zero) * blueGain;
            float red = (cr[i] - zero) * redGain;
            y[i] = luma - red * redInGreen - blue * blueInGreen;
        }
    }

    /** The first samples of luma, changed in place to blue by the difference of blue. */
    void toBlue(float[] y, float[] cb, int n) {
        toColour(y, cb, blueGain(), n);
    }

    private void toColour(float[] y, float[] difference, float gain, int n) {
        float black = (float) blackLuma;
        float lumaGain = (float) (1 / lumaSpan);
        float zero = (float) chromaZero;
        for (int i = 0; i < n; i++) {
            float luma = (y[i] - black) * lumaGain;
            float colour = (difference[i] - zero) * gain;
            y[i] = luma + colour;
        }
    }

    /** Rows of red, green and blue from 0 to 1 to rows of codes of Y', as shares of the largest code. */
    void luma(float[] red, float[] green, float[] blue, float[] y) {
        float black = (float) blackLuma;
        float r = (float) (lumaSpan * kr);
        float g = (float) (lumaSpan * kg());
        float b = (float) (lumaSpan * kb);
        for (int i = 0; i < y.length; i++) {
            y[i] = black + r * red[i] + g * green[i] + b * blue[i];
        }
    }

    /** The same to Cb. */
    void cb(float[] red, float[] green, float[] blue, float[] cb) {
        difference(blue, 1 - kb, red, kr, green, cb);
    }

    /** The same to Cr. */
    void cr(float[] red, float[] green, float[] blue, float[] cr) {
        difference(red, 1 - kr, blue, kb, green, cr);
    }

    /** How far one colour lies over luma, with the weights of the others in luma. */
    private void difference(
            float[] own, double rest, float[] other, double weight, float[] green, float[] out) {
        double gain = chromaSpan / (2 * rest);
        float zero = (float) chromaZero;
        float a = (float) (gain * rest);
        float b = (float) (gain * weight);
        float c = (float) (gain * kg());
        for (int i = 0; i < out.length; i++) {
            out[i] = zero + (a * own[i] - b * other[i] - c * green[i]);
        }
    }
}
