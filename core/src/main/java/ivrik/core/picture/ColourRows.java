package ivrik.core.picture;

import java.util.List;

/** Rows of red, green and blue together, made when they are asked for. */
public interface ColourRows {
    int width();

    int height();

    /** A reader for one thread, with whatever scratch space it needs. */
    Reader reader();

    /** Makes rows. */
    @FunctionalInterface
    interface Reader {
        /** Writes row {@code y} to the beginnings of three arrays, at least as long as it is wide. */
        void row(int y, float[][] rgb);
    }

    /** All rows, made by many threads. */
    default List<Plane> toPlanes(Workers workers) {
        Plane[] out = new Plane[3];
        for (int c = 0; c < 3; c++) {
            out[c] = Plane.of(width(), height());
        }
        workers.rows(
                height(),
                (from, to) -> {
                    Reader reader = reader();
                    float[][] rgb = new float[3][width()];
                    for (int y = from; y < to; y++) {
                        reader.row(y, rgb);
                        for (int c = 0; c < 3; c++) {
                            System.arraycopy(rgb[c], 0, out[c].data(), y * width(), width());
                        }
                    }
                });
        return List.of(out);
    }

    /** Each channel by itself. */
    static ColourRows of(List<Rows> channels) {
        return new ColourRows() {
            @Override
            public int width() {
                return channels.getFirst().width();
            }

            @Override
            public int height() {
                return channels.getFirst().height();
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
            public List<Plane> toPlanes(Workers workers) {
                return channels.stream().map(r -> r.toPlane(workers)).toList();
            }
        };
    }
}
