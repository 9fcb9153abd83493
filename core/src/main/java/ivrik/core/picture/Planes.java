package ivrik.core.picture;

import ivrik.core.threads.Workers;

import java.util.Arrays;
import java.util.List;
import java.util.function.BinaryOperator;
import java.util.stream.IntStream;

/** Operations on lists of planes. */
public final class Planes {
    private Planes() {}

    /** Combines planes pairwise; both lists have the same length. */
    public static List<Plane> zip(List<Plane> a, List<Plane> b, BinaryOperator<Plane> each) {
        return IntStream.range(0, a.size()).mapToObj(i -> each.apply(a.get(i), b.get(i))).toList();
    }

    /** Mean of planes of the same size. Equal planes give the same bits. */
    public static Plane mean(List<Plane> planes, Workers workers) {
        int width = planes.getFirst().width();
        Plane mean = Plane.of(width, planes.getFirst().height());
        workers.rows(
                mean.height(),
                (from, to) -> {
                    double[] sum = new double[width];
                    float[] row = new float[width];
                    for (int y = from; y < to; y++) {
                        Arrays.fill(sum, 0);
                        for (Plane plane : planes) {
                            System.arraycopy(plane.data(), plane.row(y), row, 0, width);
                            add(row, sum);
                        }
                        divide(sum, planes.size(), row);
                        System.arraycopy(row, 0, mean.data(), mean.row(y), width);
                    }
                });
        return mean;
    }

    static void add(float[] row, double[] sum) {
        for (int x = 0; x < sum.length; x++) {
            sum[x] += row[x];
        }
    }

    static void divide(double[] sum, int count, float[] into) {
        for (int x = 0; x < sum.length; x++) {
            into[x] = (float) (sum[x] / count);
        }
    }
}
