package ivrik.core.measure;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;

import java.util.List;
import java.util.OptionalDouble;

/**
 * Red, green and blue values across an edge, and the distance between the edges of the channels. The edge of
 * a channel is the crossing nearest to the place of the mean of its minimum and maximum, linearly
 * interpolated.
 *
 * @param across whether the values run along the row, or down the column; the direction with the steeper
 *     gradient
 * @param values {@code 2 radius + 1} values per channel, centred on the place
 */
public record EdgeProfile(boolean across, List<float[]> values) {
    /** Smallest contrast of an edge. */
    private static final float FLAT = 0.12f;

    /** Smallest change between pixels that is not noise. */
    private static final float STILL = 0.02f;

    /**
     * The profile at a pixel; values beyond the border repeat the border.
     *
     * @param radius number of pixels in either direction
     */
    public static EdgeProfile at(Frame frame, int x, int y, int radius) {
        List<float[]> rows = frame.colour().stream().map(p -> row(p, x, y, radius, true)).toList();
        List<float[]> columns =
                frame.colour().stream().map(p -> row(p, x, y, radius, false)).toList();
        boolean across = steepness(rows) >= steepness(columns);
        return new EdgeProfile(across, across ? rows : columns);
    }

    private static float[] row(Plane plane, int x, int y, int radius, boolean across) {
        float[] values = new float[2 * radius + 1];
        for (int k = -radius; k <= radius; k++) {
            int i = Math.clamp(across ? x + k : x, 0, plane.width() - 1);
            int j = Math.clamp(across ? y : y + k, 0, plane.height() - 1);
            values[k + radius] = plane.at(i, j);
        }
        return values;
    }

    private static double steepness(List<float[]> channels) {
        double sum = 0;
        for (float[] v : channels) {
            for (int i = 1; i < v.length; i++) {
                sum += Math.abs(v[i] - v[i - 1]);
            }
        }
        return sum;
    }

    /**
     * Position of a channel's edge relative to the place, in pixels; empty if the channel is flat.
     */
    public OptionalDouble edge(int channel) {
        float[] v = values.get(channel);
        float low = Float.MAX_VALUE;
        float high = -Float.MAX_VALUE;
        for (float value : v) {
            low = Math.min(low, value);
            high = Math.max(high, value);
        }
        if (high - low < FLAT) {
            return OptionalDouble.empty();
        }
        double middle = (low + high) / 2.0;
        double best = Double.POSITIVE_INFINITY;
        int radius = v.length / 2;
        for (int i = 1; i < v.length; i++) {
            double a = v[i - 1] - middle;
            double b = v[i] - middle;
            if (a * b <= 0 && a != b) {
                double at = i - 1 + a / (a - b) - radius;
                best = Math.abs(at) < Math.abs(best) ? at : best;
            }
        }
        return Double.isFinite(best) ? OptionalDouble.of(best) : OptionalDouble.empty();
    }

    /** Whether a channel still changes at either end: the edge is wider than the profile. */
    public boolean isCutOff(int channel) {
        float[] v = values.get(channel);
        int last = v.length - 1;
        return Math.abs(v[1] - v[0]) > STILL || Math.abs(v[last] - v[last - 1]) > STILL;
    }

    /** Distance from one channel's edge to another's, in pixels; empty if either is flat. */
    public OptionalDouble apart(int channel, int from) {
        OptionalDouble a = edge(channel);
        OptionalDouble b = edge(from);
        return a.isPresent() && b.isPresent()
                ? OptionalDouble.of(a.getAsDouble() - b.getAsDouble())
                : OptionalDouble.empty();
    }
}
