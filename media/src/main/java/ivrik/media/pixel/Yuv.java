package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.colour.Luma;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import java.util.List;

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

    /** Three planes of one size, row by row without gaps, changed in place to red, green, blue. */
    void toRgb(Plane y, Plane cb, Plane cr, Workers workers) {
        float[] a = y.data();
        float[] b = cb.data();
        float[] c = cr.data();
        float black = (float) blackLuma;
        float lumaGain = (float) (1 / lumaSpan);
        float zero = (float) chromaZero;
        float redGain = (float) (2 * (1 - kr) / chromaSpan);
        float blueGain = (float) (2 * (1 - kb) / chromaSpan);
        double kg = 1 - kr - kb;
        float redInGreen = (float) (kr / kg);
        float blueInGreen = (float) (kb / kg);
        int width = y.width();
        workers.rows(
                y.height(),
                (from, to) -> {
                    for (int i = from * width; i < to * width; i++) {
                        float luma = (a[i] - black) * lumaGain;
                        float blue = (b[i] - zero) * blueGain;
                        float red = (c[i] - zero) * redGain;
                        a[i] = luma + red;
                        b[i] = luma - red * redInGreen - blue * blueInGreen;
                        c[i] = luma + blue;
                    }
                });
    }

    /** Red, green and blue to codes of Y', Cb, Cr as shares of the largest code. */
    List<Plane> fromRgb(List<Plane> rgb, Workers workers) {
        Plane r = rgb.get(0);
        int width = r.width();
        Plane y = Plane.of(width, r.height());
        Plane cb = Plane.of(width, r.height());
        Plane cr = Plane.of(width, r.height());
        double kg = 1 - kr - kb;
        workers.rows(
                r.height(),
                (from, to) -> {
                    for (int row = from; row < to; row++) {
                        for (int x = 0; x < width; x++) {
                            double red = clamp(rgb.get(0).at(x, row));
                            double green = clamp(rgb.get(1).at(x, row));
                            double blue = clamp(rgb.get(2).at(x, row));
                            double luma = kr * red + kg * green + kb * blue;
                            int o = row * width + x;
                            y.data()[o] = (float) (blackLuma + lumaSpan * luma);
                            cb.data()[o] =
                                    (float)
                                            (chromaZero
                                                    + chromaSpan * (blue - luma) / (2 * (1 - kb)));
                            cr.data()[o] =
                                    (float)
                                            (chromaZero
                                                    + chromaSpan * (red - luma) / (2 * (1 - kr)));
                        }
                    }
                });
        return List.of(y, cb, cr);
    }

    private static double clamp(float v) {
        return v > 0 ? Math.min(v, 1f) : 0;
    }
}
