package ivrik.core.picture;

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
