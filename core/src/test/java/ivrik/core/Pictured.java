package ivrik.core;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;

import java.util.Random;

/** Small pictures for tests. */
public final class Pictured {
    private Pictured() {}

    /** Noise in 0..1, repeatable by seed. */
    public static Plane noise(int width, int height, long seed) {
        Random random = new Random(seed);
        float[] samples = new float[width * height];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = random.nextFloat();
        }
        return Plane.of(width, height, samples);
    }

    public static Frame frame(int width, int height) {
        return Frame.opaque(
                noise(width, height, 1), noise(width, height, 2), noise(width, height, 3));
    }

    /** A smooth picture, as a lens gives. */
    public static Plane smooth(int width, int height, double phase) {
        float[] samples = new float[width * height];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                samples[y * width + x] =
                        (float)
                                (0.5
                                        + 0.25 * Math.sin(0.11 * (x + 0.5) + phase)
                                        + 0.2 * Math.cos(0.07 * (y + 0.5) - phase));
            }
        }
        return Plane.of(width, height, samples);
    }

    /** A white disc on black with an edge one pixel wide. */
    public static Plane disc(int width, int height, double radius) {
        float[] samples = new float[width * height];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                double far = Math.hypot(x - width / 2.0, y - height / 2.0);
                samples[y * width + x] = (float) Math.clamp(radius + 0.5 - far, 0, 1);
            }
        }
        return Plane.of(width, height, samples);
    }
}
