package ivrik.core.colour;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Pixels;
import ivrik.core.threads.Workers;

import java.util.List;

/**
 * Converts colour between colour spaces: to linear light, to the primaries of the target, and to the transfer
 * function of the target. Nothing is clamped.
 */
public final class ColourConversion {
    /** System gamma of hybrid log-gamma on a display of 1000 cd/m2 (ITU-R BT.2100). */
    private static final double SYSTEM_GAMMA = 1.2;

    private static final double HLG_PEAK = 1000 / Transfer.REFERENCE_WHITE;

    private final List<TransferTable> toLinear;
    private final double[] matrix;
    private final TransferTable fromLinear;
    private final boolean fromHlg;
    private final boolean toHlg;

    private ColourConversion(
            List<TransferTable> toLinear,
            Matrix3 matrix,
            TransferTable fromLinear,
            boolean fromHlg,
            boolean toHlg) {
        this.toLinear = toLinear;
        this.matrix =
                new double[] {
                    matrix.at(0, 0), matrix.at(0, 1), matrix.at(0, 2),
                    matrix.at(1, 0), matrix.at(1, 1), matrix.at(1, 2),
                    matrix.at(2, 0), matrix.at(2, 1), matrix.at(2, 2)
                };
        this.fromLinear = fromLinear;
        this.fromHlg = fromHlg;
        this.toHlg = toHlg;
    }

    /** Conversion from primaries and a transfer function. */
    public static ColourConversion of(Primaries primaries, Transfer transfer, ColourSpace to) {
        TransferTable toLinear = TransferTable.toLinear(transfer);
        return new ColourConversion(
                List.of(toLinear, toLinear, toLinear),
                primaries.to(to.primaries()),
                TransferTable.fromLinear(to.transfer()),
                transfer == Transfer.HLG,
                to.transfer() == Transfer.HLG);
    }

    /**
     * Conversion from a colour space given by curves and a matrix, such as an ICC profile.
     *
     * @param toLinear transfer curves of red, green and blue
     * @param toXyz matrix from linear light to CIE XYZ, relative to {@code white}
     * @param white white point in CIE XYZ
     */
    public static ColourConversion of(
            List<TransferTable> toLinear, Matrix3 toXyz, double[] white, ColourSpace to) {
        Matrix3 adapted = Primaries.adaptation(white, to.primaries().white()).times(toXyz);
        return new ColourConversion(
                toLinear,
                to.primaries().toXyz().inverse().times(adapted),
                TransferTable.fromLinear(to.transfer()),
                false,
                to.transfer() == Transfer.HLG);
    }

    /** Converts a frame. Colour with alpha is converted unpremultiplied. */
    public Frame apply(Frame frame, Workers workers) {
        Frame straight = frame.straight(workers);
        var colour = Pixels.map(straight.colour(), 3, workers, this::apply);
        return straight.isOpaque()
                ? Frame.opaque(colour.get(0), colour.get(1), colour.get(2))
                : new Frame(colour, Alpha.STRAIGHT, straight.coverage());
    }

    /**
     * Converts {@code n} pixels of three rows.
     *
     * @param in rows of red, green and blue; overwritten
     */
    void apply(float[][] in, float[][] out, int n) {
        for (int c = 0; c < 3; c++) {
            toLinear.get(c).apply(in[c], n);
        }
        if (fromHlg) {
            display(in, n, SYSTEM_GAMMA - 1, HLG_PEAK);
        }
        Pixels.matrix(matrix, in, out, n);
        if (toHlg) {
            for (int c = 0; c < 3; c++) {
                for (int i = 0; i < n; i++) {
                    out[c][i] /= (float) HLG_PEAK;
                }
            }
            display(out, n, 1 / SYSTEM_GAMMA - 1, 1);
        }
        for (int c = 0; c < 3; c++) {
            fromLinear.apply(out[c], n);
        }
    }

    /**
     * Converts scene light to display light or back, by a power of the luminance (ITU-R BT.2100).
     */
    private static void display(float[][] light, int n, double power, double peak) {
        for (int i = 0; i < n; i++) {
            double y = 0.2627 * light[0][i] + 0.6780 * light[1][i] + 0.0593 * light[2][i];
            float gain = y <= 0 ? 0 : (float) (peak * StrictMath.pow(y, power));
            light[0][i] *= gain;
            light[1][i] *= gain;
            light[2][i] *= gain;
        }
    }
}
