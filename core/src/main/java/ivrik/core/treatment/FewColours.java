package ivrik.core.treatment;

import ivrik.core.colour.Luma;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.List;

/** A few colours, made by rule. */
final class FewColours {
    /** How the colours are chosen. */
    static final Option RULE =
            new Option(
                    "palette",
                    "palette",
                    "Even steps of red, green and blue; even hues; or shades of one colour",
                    "even steps",
                    "hues",
                    "greys",
                    "amber",
                    "green");

    /** Halfway between alike and as BT.709 luma weighs them. */
    private static final float[] WEIGHT = {
        (float) (Luma.RED / 2 + 1.0 / 6),
        (float) (Luma.GREEN / 2 + 1.0 / 6),
        (float) (Luma.BLUE / 2 + 1.0 / 6)
    };

    private static final int[][] BAYER = bayer(8);
    private final float[][] colours;

    /** How far the dither goes to either side, in each channel. */
    private final float reach;

    private FewColours(List<double[]> all) {
        colours = new float[all.size()][3];
        for (int i = 0; i < colours.length; i++) {
            for (int c = 0; c < 3; c++) {
                colours[i][c] = (float) all.get(i)[c];
            }
        }
        reach = (float) reach(all);
    }

    static FewColours of(Settings settings) {
        int n = (int) Math.max(2, Math.round(settings.number("colours")));
        return switch (settings.word(RULE)) {
            case "hues" -> new FewColours(hues(n));
            case "greys" -> new FewColours(shades(n, 1, 1, 1));
            case "amber" -> new FewColours(shades(n, 1, 0.69, 0.12));
            case "green" -> new FewColours(shades(n, 0.25, 1, 0.38));
            default -> new FewColours(steps(n));
        };
    }

    /** As many even steps of each channel as there are colours for; green has more first, then red. */
    private static List<double[]> steps(int n) {
        int[] count = {1, 1, 1};
        int[] order = {1, 0, 2};
        boolean more = true;
        while (more) {
            more = false;
            for (int c : order) {
                count[c]++;
                if (count[0] * count[1] * count[2] <= n) {
                    more = true;
                } else {
                    count[c]--;
                }
            }
        }
        List<double[]> all = new ArrayList<>();
        for (int r = 0; r < count[0]; r++) {
            for (int g = 0; g < count[1]; g++) {
                for (int b = 0; b < count[2]; b++) {
                    all.add(new double[] {step(r, count[0]), step(g, count[1]), step(b, count[2])});
                }
            }
        }
        return all;
    }

    private static double step(int i, int of) {
        return of == 1 ? 0.5 : (double) i / (of - 1);
    }

    private static List<double[]> shades(int n, double red, double green, double blue) {
        List<double[]> all = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double v = step(i, n);
            all.add(new double[] {v * red, v * green, v * blue});
        }
        return all;
    }

    /** Black, white, and hues at even steps, light and dark in turn. */
    private static List<double[]> hues(int n) {
        List<double[]> all = new ArrayList<>(shades(2, 1, 1, 1));
        for (int i = 0; i < n - 2; i++) {
            double hue = 6.0 * i / (n - 2);
            double value = i % 2 == 0 ? 1 : 0.6;
            double[] rgb = new double[3];
            for (int c = 0; c < 3; c++) {
                double away = Math.abs(Math.IEEEremainder(hue - 2 * c, 6));
                rgb[c] = value * Math.clamp(2 - away, 0, 1);
            }
            all.add(rgb);
        }
        return all;
    }

    /** The mean way from a colour to the one nearest to it, along each channel. */
    private static double reach(List<double[]> all) {
        double sum = 0;
        for (double[] a : all) {
            double nearest = Double.POSITIVE_INFINITY;
            for (double[] b : all) {
                if (a != b) {
                    double far = 0;
                    for (int c = 0; c < 3; c++) {
                        far = Math.max(far, Math.abs(a[c] - b[c]));
                    }
                    nearest = Math.min(nearest, far);
                }
            }
            sum += nearest;
        }
        return sum / all.size();
    }

    private static int[][] bayer(int n) {
        if (n == 1) {
            return new int[1][1];
        }
        int[][] half = bayer(n / 2);
        int[][] all = new int[n][n];
        int[][] add = {{0, 2}, {3, 1}};
        for (int y = 0; y < n; y++) {
            for (int x = 0; x < n; x++) {
                all[y][x] = 4 * half[y % (n / 2)][x % (n / 2)] + add[2 * y / n][2 * x / n];
            }
        }
        return all;
    }

    /** The nearest colour of each pixel, by the squares of its channels' distances weighed. */
    List<Plane> nearest(List<Plane> picture, float dither, Workers workers) {
        Plane first = picture.getFirst();
        List<Plane> out =
                List.of(
                        Plane.of(first.width(), first.height()),
                        Plane.of(first.width(), first.height()),
                        Plane.of(first.width(), first.height()));
        workers.rows(
                first.height(),
                (from, to) -> {
                    float[] v = new float[3];
                    for (int y = from; y < to; y++) {
                        int[] pattern = BAYER[y % BAYER.length];
                        for (int x = 0; x < first.width(); x++) {
                            float lift =
                                    dither
                                            * reach
                                            * ((pattern[x % pattern.length] + 0.5f) / 64 - 0.5f);
                            for (int c = 0; c < 3; c++) {
                                v[c] = picture.get(c).at(x, y) + lift;
                            }
                            float[] near = colours[nearest(v)];
                            for (int c = 0; c < 3; c++) {
                                out.get(c).data()[out.get(c).row(y) + x] = near[c];
                            }
                        }
                    }
                });
        return out;
    }

    private int nearest(float[] v) {
        int best = 0;
        float least = Float.POSITIVE_INFINITY;
        for (int i = 0; i < colours.length; i++) {
            float r = v[0] - colours[i][0];
            float g = v[1] - colours[i][1];
            float b = v[2] - colours[i][2];
            float far = WEIGHT[0] * r * r + WEIGHT[1] * g * g + WEIGHT[2] * b * b;
            if (far < least) {
                least = far;
                best = i;
            }
        }
        return best;
    }
}
