package ivrik.core.filter;

import ivrik.core.picture.Lines;
import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import java.util.Arrays;
import java.util.List;

/**
 * A weighted mean of a plane with itself, moved, enlarged or turned a little each time. The weights sum
 * to one; what each copy differs from the plane is summed, so that what is flat stays exactly so.
 */
public final class Copies implements Filtered {
    private final Plane in;
    private final List<Copy> copies;
    private final EdgeFill fill;

    /** One of them. */
    public record Copy(Affine at, double weight) {}

    public Copies(Plane in, List<Copy> copies, EdgeFill fill) {
        this.in = in;
        this.copies = List.copyOf(copies);
        this.fill = fill;
    }

    @Override
    public Plane in() {
        return in;
    }

    @Override
    public Reader reader() {
        int n = in.width();
        double[] x = new double[n];
        double[] y = new double[n];
        float[] one = new float[n];
        float[] own = new float[n];
        float[] sum = new float[n];
        ScatteredSamples samples = new ScatteredSamples(in, n, fill, Sampler.LINEAR);
        return (row, out, o) -> {
            System.arraycopy(in.data(), in.row(row), own, 0, n);
            Arrays.fill(sum, 0f);
            for (Copy copy : copies) {
                Affine a = copy.at();
                double middle = row + 0.5;
                for (int i = 0; i < n; i++) {
                    x[i] = a.xx() * (i + 0.5) + a.xy() * middle + a.x0();
                    y[i] = a.yx() * (i + 0.5) + a.yy() * middle + a.y0();
                }
                samples.at(x, y, n, one, 0);
                Lines.addDifference(one, own, (float) copy.weight(), sum);
            }
            for (int i = 0; i < n; i++) {
                out[o + i] = own[i] + sum[i];
            }
        };
    }
}
