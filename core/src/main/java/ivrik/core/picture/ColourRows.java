package ivrik.core.picture;

import ivrik.core.threads.Workers;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.IntStream;

/** Rows of red, green and blue, computed on request. */
public interface ColourRows {
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
        /** Writes row {@code y} to the beginning of three arrays of at least the row width. */
        void row(int y, float[][] rgb);
    }

    /** Changes the first {@code n} pixels of three rows in place. */
    @FunctionalInterface
    interface Work {
        void on(float[][] rgb, int n);
    }

    /**
     * @param readers one reader per thread
     */
    static ColourRows made(Size size, Supplier<Reader> readers) {
        return new LazyColourRows(size, readers);
    }

    /** These rows with work applied to each row. */
    default ColourRows then(Work work) {
        return thenBy(() -> work);
    }

    /**
     * These rows with work applied to each row. Each reader has its own work object with scratch memory.
     */
    default ColourRows thenBy(Supplier<Work> work) {
        int n = width();
        return made(
                size(),
                () -> {
                    Reader reader = reader();
                    Work own = work.get();
                    return (y, rgb) -> {
                        reader.row(y, rgb);
                        own.on(rgb, n);
                    };
                });
    }

    /**
     * Linear interpolation between two pictures of the same size.
     *
     * @param amount 0 for {@code from}, 1 for {@code to}
     */
    static ColourRows mixed(ColourRows from, ColourRows to, float amount) {
        int width = from.width();
        return made(
                from.size(),
                () -> {
                    Reader first = from.reader();
                    Reader second = to.reader();
                    float[][] other = new float[3][width];
                    return (y, rgb) -> {
                        first.row(y, rgb);
                        second.row(y, other);
                        for (int c = 0; c < 3; c++) {
                            mix(rgb[c], other[c], amount, width);
                        }
                    };
                });
    }

    /** Mean of pictures of the same size. Equal pictures give the same bits. */
    static ColourRows mean(List<ColourRows> pictures) {
        int width = pictures.getFirst().width();
        return made(
                pictures.getFirst().size(),
                () -> {
                    List<Reader> readers = pictures.stream().map(ColourRows::reader).toList();
                    double[][] sums = new double[3][width];
                    float[][] one = new float[3][width];
                    return (y, rgb) -> {
                        for (double[] sum : sums) {
                            Arrays.fill(sum, 0);
                        }
                        for (Reader reader : readers) {
                            reader.row(y, one);
                            for (int c = 0; c < 3; c++) {
                                Planes.add(one[c], sums[c]);
                            }
                        }
                        for (int c = 0; c < 3; c++) {
                            Planes.divide(sums[c], pictures.size(), one[c]);
                            System.arraycopy(one[c], 0, rgb[c], 0, width);
                        }
                    };
                });
    }

    private static void mix(float[] into, float[] other, float amount, int n) {
        for (int i = 0; i < n; i++) {
            into[i] += amount * (other[i] - into[i]);
        }
    }

    /**
     * The three channels if they are read without computation, see {@link Rows#areRead}; else empty.
     */
    default Optional<List<Rows>> channels() {
        return Optional.empty();
    }

    /**
     * These rows with some channels replaced.
     *
     * @param others one entry per channel; null keeps the channel
     */
    default ColourRows with(List<Rows> others) {
        Optional<List<Rows>> own = channels();
        if (own.isPresent() || others.stream().allMatch(Objects::nonNull)) {
            return of(
                    IntStream.range(0, 3)
                            .mapToObj(c -> others.get(c) == null ? own.get().get(c) : others.get(c))
                            .toList());
        }
        return made(
                size(),
                () -> {
                    Reader reader = reader();
                    List<Rows.Reader> readers =
                            others.stream()
                                    .map(rows -> rows == null ? null : rows.reader())
                                    .toList();
                    return (y, rgb) -> {
                        reader.row(y, rgb);
                        for (int c = 0; c < 3; c++) {
                            if (readers.get(c) != null) {
                                readers.get(c).row(y, rgb[c], 0);
                            }
                        }
                    };
                });
    }

    /** The rows of three planes. {@link #toPlanes} returns the same planes. */
    static ColourRows ofPlanes(List<Plane> planes) {
        return of(planes.stream().map(Rows::of).toList());
    }

    /** Computes all rows with all threads. */
    default List<Plane> toPlanes(Workers workers) {
        Plane[] out = new Plane[3];
        workers.parts(
                3,
                c ->
                        out[c] =
                                Plane.of(
                                        width(),
                                        height())); // allocating large arrays takes time because
        // they are zeroed
        workers.eachRow(
                height(),
                () -> {
                    Reader reader = reader();
                    float[][] rgb = new float[3][width()];
                    return y -> {
                        reader.row(y, rgb);
                        for (int c = 0; c < 3; c++) {
                            System.arraycopy(rgb[c], 0, out[c].data(), y * width(), width());
                        }
                    };
                });
        return List.of(out);
    }

    /** Rows of three separate channels. */
    static ColourRows of(List<Rows> channels) {
        return new ColourRows() {
            @Override
            public Size size() {
                return channels.getFirst().size();
            }

            @Override
            public Reader reader() {
                List<Rows.Reader> readers = channels.stream().map(Rows::reader).toList();
                return (y, rgb) -> {
                    for (int c = 0; c < 3; c++) {
                        readers.get(c).row(y, rgb[c], 0);
                    }
                };
            }

            @Override
            public Optional<List<Rows>> channels() {
                return Optional.of(channels).filter(all -> all.stream().allMatch(Rows::areRead));
            }

            @Override
            public List<Plane> toPlanes(Workers workers) {
                return channels.stream().map(r -> r.toPlane(workers)).toList();
            }
        };
    }
}
