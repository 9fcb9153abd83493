package ivrik.core;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;

/** Rows that are made when they are asked for, of planes that whoever asks does not see. */
public final class Made {
    private Made() {}

    /** The rows of a plane; as many as are made are counted. */
    public static Rows rows(Plane plane, AtomicInteger made) {
        return rows(plane, false, made);
    }

    private static Rows rows(Plane plane, boolean areRead, AtomicInteger made) {
        return new Rows() {
            @Override
            public int width() {
                return plane.width();
            }

            @Override
            public int height() {
                return plane.height();
            }

            @Override
            public boolean areRead() {
                return areRead;
            }

            @Override
            public Reader reader() {
                return (y, out, o) -> {
                    made.incrementAndGet();
                    System.arraycopy(plane.data(), plane.row(y), out, o, plane.width());
                };
            }
        };
    }

    /** The rows of three planes, as if they were only read. */
    public static ColourRows stored(List<Plane> planes, AtomicInteger made) {
        return ColourRows.of(planes.stream().map(plane -> rows(plane, true, made)).toList());
    }

    /** The rows of three planes, as if they cost something. */
    public static ColourRows dear(List<Plane> planes, AtomicInteger made) {
        ColourRows apart = stored(planes, made);
        return new ColourRows() {
            @Override
            public int width() {
                return apart.width();
            }

            @Override
            public int height() {
                return apart.height();
            }

            @Override
            public Reader reader() {
                return apart.reader();
            }

            @Override
            public Optional<List<Rows>> channels() {
                return Optional.empty();
            }
        };
    }
}
