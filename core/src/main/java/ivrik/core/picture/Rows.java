package ivrik.core.picture;

import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;

import java.util.Optional;
import java.util.function.Supplier;

/**
 * A plane whose rows are made when they are asked for, so that work can go on row by row in the
 * cache without whole planes in between.
 */
public interface Rows {
    Size size();

    default int width() {
        return size().width();
    }

    default int height() {
        return size().height();
    }

    /** A reader for one thread, with whatever scratch space it needs. */
    Reader reader();

    /** Makes rows. */
    @FunctionalInterface
    interface Reader {
        /** Writes the samples of row {@code y} to {@code out} from {@code o} on. */
        void row(int y, float[] out, int o);
    }

    /** All rows, made by many threads. */
    default Plane toPlane(Workers workers) {
        Plane out = Plane.of(width(), height());
        into(out, workers);
        return out;
    }

    /** All rows, made by many threads, into a plane of their size that nobody reads yet. */
    default void into(Plane out, Workers workers) {
        workers.eachRow(
                height(),
                () -> {
                    Reader reader = reader();
                    return y -> reader.row(y, out.data(), out.row(y));
                });
    }

    /** Some rows in order, by one thread, into a plane of their size; given up when no longer wanted. */
    default void write(int from, int to, Plane out) {
        Reader reader = reader();
        for (int y = from; y < to; y++) {
            Cancel.poll();
            reader.row(y, out.data(), out.row(y));
        }
    }

    /** The same rows, such that any few of them can be made at no more than their share of the cost. */
    default Rows ready(Workers workers) {
        return this;
    }

    /** The plane whose rows these are; empty where they are made. */
    default Optional<Plane> plane() {
        return Optional.empty();
    }

    /** Whether they are only read, from a plane or from a picture as it is stored: then making them again costs little. */
    default boolean areRead() {
        return plane().isPresent();
    }

    /**
     * Rows of a size.
     *
     * @param readers gives each thread its own
     */
    static Rows made(Size size, Supplier<Reader> readers) {
        return new MadeRows(size, false, readers);
    }

    /** The same of rows that are only read, see {@link #areRead}. */
    static Rows read(Size size, Supplier<Reader> readers) {
        return new MadeRows(size, true, readers);
    }

    /** The rows of a plane; it is itself when all are wanted. */
    static Rows of(Plane plane) {
        return new Rows() {
            @Override
            public Size size() {
                return plane.size();
            }

            @Override
            public Reader reader() {
                return (y, out, o) ->
                        System.arraycopy(plane.data(), plane.row(y), out, o, plane.width());
            }

            @Override
            public Plane toPlane(Workers workers) {
                return plane;
            }

            @Override
            public Optional<Plane> plane() {
                return Optional.of(plane);
            }
        };
    }
}
