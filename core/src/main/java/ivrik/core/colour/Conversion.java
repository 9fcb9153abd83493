package ivrik.core.colour;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Pixels;
import ivrik.core.threads.Workers;

import java.util.List;

/**
 * Colours of one meaning as the same colours of another: to linear light, from primaries to primaries,
 * and back by the other transfer function. Nothing is clamped.
 */
public final class Conversion {
    /** How much more contrast a display of 1000 cd/m2 gives hybrid log-gamma (ITU-R BT.2100). */
    private static final double SYSTEM_GAMMA = 1.2;

    private static final double HLG_PEAK = 1000 / Transfer.REFERENCE_WHITE;

    private final List<TransferTable> toLinear;
    private final double[] matrix;
    private final TransferTable fromLinear;
    private final boolean fromHlg;
    private final boolean toHlg;

    private Conversion(
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

    /** From primaries and a transfer function to a space. */
    public static Conversion of(Primaries primaries, Transfer transfer, ColourSpace to) {
        TransferTable toLinear = TransferTable.toLinear(transfer);
        return new Conversion(
                List.of(toLinear, toLinear, toLinear),
                primaries.to(to.primaries()),
                TransferTable.fromLinear(to.transfer()),
                transfer == Transfer.HLG,
                to.transfer() == Transfer.HLG);
    }

    /**
     * From a space that is given by its curves and its colours.
     *
     * @param toLinear of red, green and blue
     * @param toXyz from linear light to CIE XYZ with this white
     * @param white in CIE XYZ
     */
    public static Conversion of(
            List<TransferTable> toLinear, Matrix3 toXyz, double[] white, ColourSpace to) {
        Matrix3 adapted = Primaries.adaptation(white, to.primaries().white()).times(toXyz);
        return new Conversion(
                toLinear,
                to.primaries().toXyz().inverse().times(adapted),
                TransferTable.fromLinear(to.transfer()),
                false,
                to.transfer() == Transfer.HLG);
    }

    /** The same picture, its colour straight where it has alpha. */
    public Frame apply(Frame frame, Workers workers) {
        Frame straight = frame.straight(workers);
        var colour = Pixels.map(straight.colour(), 3, workers, this::apply);
        return straight.isOpaque()
                ? Frame.opaque(colour.get(0), colour.get(1), colour.get(2))
                : new Frame(colour, Alpha.STRAIGHT, straight.coverage());
    }

    /** The first {@code n} colours of three rows; {@code in} is written over. */
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

    /** The light of the scene as that of a display, or back: by a power of its luminance. */
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
