package ivrik.core.picture;

import ivrik.core.threads.Workers;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.IntStream;

/** Rows of red, green and blue together, made when they are asked for. */
public interface ColourRows {
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
        /** Writes row {@code y} to the beginnings of three arrays, at least as long as it is wide. */
        void row(int y, float[][] rgb);
    }

    /** Work on the first {@code n} samples of three rows, in place. */
    @FunctionalInterface
    interface Work {
        void on(float[][] rgb, int n);
    }

    /**
     * Rows of a size.
     *
     * @param readers gives each thread its own
     */
    static ColourRows made(Size size, Supplier<Reader> readers) {
        return new MadeColourRows(size, readers);
    }

    /** These rows with work done on each as it is made. */
    default ColourRows then(Work work) {
        return thenBy(() -> work);
    }

    /** The same by work that each reader has for itself, with whatever scratch space it needs. */
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

    /** From one picture to another of its size by so much, 0..1. */
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

    /** The mean of pictures of one size; where all are the same it is that, to the last bit. */
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

    /** Red, green and blue by themselves where they are only read, see {@link Rows#areRead}; else empty. */
    default Optional<List<Rows>> channels() {
        return Optional.empty();
    }

    /**
     * These rows with some channels in place of their own.
     *
     * @param others one for each channel; null for one that stays
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

    /** The rows of three planes; they are themselves when all are wanted. */
    static ColourRows ofPlanes(List<Plane> planes) {
        return of(planes.stream().map(Rows::of).toList());
    }

    /** All rows, made by many threads. */
    default List<Plane> toPlanes(Workers workers) {
        Plane[] out = new Plane[3];
        workers.parts(3, c -> out[c] = Plane.of(width(), height())); // zeroed, which takes its time
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

    /** Each channel by itself. */
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
