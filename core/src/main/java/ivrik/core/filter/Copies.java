package ivrik.core.filter;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Sampler;

import java.util.Arrays;
import java.util.List;

/** A weighted sum of a plane with itself, moved, enlarged or turned a little each time. */
public final class Copies implements Rows {
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
    public int width() {
        return in.width();
    }

    @Override
    public int height() {
        return in.height();
    }

    @Override
    public Reader reader() {
        int n = in.width();
        double[] x = new double[n];
        double[] y = new double[n];
        float[] one = new float[n];
        float[] sum = new float[n];
        Samples samples = new Samples(in, fill, Sampler.QUICK);
        return (row, out, o) -> {
            Arrays.fill(sum, 0f);
            for (Copy copy : copies) {
                Affine a = copy.at();
                double middle = row + 0.5;
                for (int i = 0; i < n; i++) {
                    x[i] = a.xx() * (i + 0.5) + a.xy() * middle + a.x0();
                    y[i] = a.yx() * (i + 0.5) + a.yy() * middle + a.y0();
                }
                samples.at(x, y, n, one, 0);
                Lines.add(one, (float) copy.weight(), sum);
            }
            System.arraycopy(sum, 0, out, o, n);
        };
    }
}
