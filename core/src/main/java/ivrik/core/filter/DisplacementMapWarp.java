package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

/**
 * Displaces each position by the value of a map: by the full distance at 1, by the full distance in the
 * opposite direction at 0. The map is tiled.
 */
public record DisplacementMapWarp(Plane picture, double x, double y) implements Warp {
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
