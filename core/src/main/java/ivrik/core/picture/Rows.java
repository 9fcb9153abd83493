package ivrik.core.picture;

import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

import java.util.Optional;
import java.util.function.Supplier;

/**
 * A plane whose rows are computed on request, so that work can proceed row by row within the processor cache,
 * without intermediate planes.
 */
public interface Rows {
    Size size();

    default int width() {
        return size().width();
    }

    default int height() {
        return size().height();
    }

    /** A reader for one thread, with its own scratch memory. */
    Reader reader();

    /** Computes rows. */
    @FunctionalInterface
    interface Reader {
        /** Writes row {@code y} to {@code out} from index {@code o} on. */
        void row(int y, float[] out, int o);
    }

    /** Computes all rows with all threads. */
    default Plane toPlane(Workers workers) {
        Plane out = Plane.of(width(), height());
        into(out, workers);
        return out;
    }

    /** Computes all rows with all threads into a new plane of the same size. */
    default void into(Plane out, Workers workers) {
        workers.eachRow(
                height(),
                () -> {
                    Reader reader = reader();
                    return y -> reader.row(y, out.data(), out.row(y));
                });
    }

    /**
     * Computes rows {@code from} to before {@code to} on the calling thread. Polls for cancellation.
     */
    default void write(int from, int to, Plane out) {
        Reader reader = reader();
        for (int y = from; y < to; y++) {
            Cancellation.poll();
            reader.row(y, out.data(), out.row(y));
        }
    }

    /** The same rows, prepared so that a few rows cost no more than their share of the whole. */
    default Rows ready(Workers workers) {
        return this;
    }

    /** The plane that these rows belong to; empty if they are computed. */
    default Optional<Plane> plane() {
        return Optional.empty();
    }

    /**
     * Whether rows are only read, from a plane or a stored picture, so that reading them again is cheap.
     */
    default boolean areRead() {
        return plane().isPresent();
    }

    /**
     * @param readers one reader per thread
     */
    static Rows made(Size size, Supplier<Reader> readers) {
        return new LazyRows(size, false, readers);
    }

    /**
     * Rows that are only read, see {@link #areRead}.
     *
     * @param readers one reader per thread
     */
    static Rows read(Size size, Supplier<Reader> readers) {
        return new LazyRows(size, true, readers);
    }

    /** The rows of a plane. {@link #toPlane} returns the same plane. */
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
