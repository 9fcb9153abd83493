package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

/**
 * Moves each place by the value that another picture has there: the whole distance where it is 1, the
 * whole distance the other way where it is 0. The picture repeats itself.
 */
public record PictureWarp(Plane picture, double x, double y) implements Warp {
    @Override
    public void back(double[] px, double[] py, int n) {
        float[] value = new float[n];
        new ScatteredSamples(picture, n, EdgeFill.WRAP, Sampler.LINEAR).at(px, py, n, value, 0);
        for (int i = 0; i < n; i++) {
            double by = 2.0 * value[i] - 1;
            px[i] -= by * x;
            py[i] -= by * y;
        }
    }
}
