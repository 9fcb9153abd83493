package ivrik.core.picture;

import java.util.List;
import java.util.function.BinaryOperator;
import java.util.stream.IntStream;

/** Lists of planes worked on in step. */
public final class Planes {
    private Planes() {}

    /** One plane out of each pair; the lists are of one length. */
    public static List<Plane> zip(List<Plane> a, List<Plane> b, BinaryOperator<Plane> each) {
        return IntStream.range(0, a.size()).mapToObj(i -> each.apply(a.get(i), b.get(i))).toList();
    }
}
