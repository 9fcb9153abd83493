package ivrik.core;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;

/** Rows computed on demand from planes that the consumer cannot see. */
public final class Made {
    private Made() {}

    /** The rows of a plane; counts the rows computed. */
    public static Rows rows(Plane plane, AtomicInteger made) {
        return Rows.made(plane.size(), () -> counted(plane, made));
    }

    private static Rows.Reader counted(Plane plane, AtomicInteger made) {
        return (y, out, o) -> {
            made.incrementAndGet();
            System.arraycopy(plane.data(), plane.row(y), out, o, plane.width());
        };
    }

    /** The rows of three planes, declared as stored. */
    public static ColourRows stored(List<Plane> planes, AtomicInteger made) {
        return ColourRows.of(
                planes.stream()
                        .map(plane -> Rows.read(plane.size(), () -> counted(plane, made)))
                        .toList());
    }

    /** The rows of three planes, declared as expensive to compute. */
    public static ColourRows dear(List<Plane> planes, AtomicInteger made) {
        return ColourRows.made(planes.getFirst().size(), stored(planes, made)::reader);
    }
}
