package ivrik.core.treatment;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.sampling.Resample;
import ivrik.core.threads.Workers;

import java.util.List;

/**
 * Reduces a picture to few pixels and colours: downsampled, mapped to a palette with ordered dither (Bayer
 * 1973), and enlarged with each pixel as a square or a dot.
 */
public final class Pixelate implements PictureTreatment {
    /** Shape of the large pixels. */
    private static final Option SHAPE =
            new Option("shape", "pixel shape", "Shape of each large pixel", "squares", "dots");

    private static final Description DESCRIPTION =
            Description.of(
                            "pixelate",
                            "Pixelate",
                            "Reduces the picture to large pixels and a small palette.",
                            TreatmentGroup.WHOLE,
                            Control.RULER,
                            Parameter.of("pixels", "horizontal pixels", "", 0, 3840, 0, 1)
                                    .example(96, 96),
                            Parameter.of("colours", "colours", "", 0, 256, 0, 1),
                            Parameter.percent("dither", "dither", 0, 200, 100).setting(),
                            Parameter.percent("gap", "pixel gap", 0, 95, 0))
                    .choosing(IndexedPalette.RULE, SHAPE)
                    .called("pixels", "mosaic", "palette", "dither", "dot matrix", "retro");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        Workers workers = context.workers();
        int width = picture.width();
        int height = picture.height();
        double asked = settings.number("pixels");
        int across = asked < 1 ? width : (int) Math.min(width, Math.round(asked));
        int down = (int) Math.max(1, Math.round((double) height * across / width));
        Size few = new Size(across, down);
        List<Plane> planes = picture.toPlanes(workers);
        Frame small = Resample.to(new Frame(planes, Alpha.OPAQUE, List.of()), few, workers);
        List<Plane> cells =
                settings.number("colours") < 2
                        ? small.colour()
                        : IndexedPalette.of(settings)
                                .nearest(small.colour(), (float) settings.share("dither"), workers);
        Cells large = new Cells(Places.of(width, across), Places.of(height, down));
        double gap = settings.share("gap");
        boolean round = settings.choice(SHAPE).equals("dots");
        return large.of(cells, round, gap);
    }

    /**
     * Positions of pixels among cells: the cell at a pixel's start, the pixel's share in the next cell, and
     * the position of its centre within the cell.
     */
    private record Places(int[] cell, float[] next, float[] within, double perCell) {
        static Places of(int pixels, int cells) {
            double size = (double) pixels / cells;
            int[] cell = new int[pixels];
            float[] next = new float[pixels];
            float[] within = new float[pixels];
            for (int i = 0; i < pixels; i++) {
                int first = (int) Math.min(cells - 1, Math.floor(i / size + 1e-9));
                double end = (first + 1) * size;
                cell[i] = first;
                next[i] = (float) Math.clamp(i + 1 - end, 0, 1);
                within[i] = (float) ((i + 0.5) / size - first);
            }
            return new Places(cell, next, within, size);
        }
    }

    private record Cells(Places across, Places down) {
        ColourRows of(List<Plane> cells, boolean round, double gap) {
            int width = across.cell().length;
            int height = down.cell().length;
            int count = cells.getFirst().width();
            int last = cells.getFirst().height() - 1;
            return new ColourRows() {
                @Override
                public Size size() {
                    return new Size(width, height);
                }

                @Override
                public Reader reader() {
                    float[] row = new float[count + 1];
                    float[] open = new float[width];
                    return (y, rgb) -> {
                        open(y, round, gap, open);
                        for (int c = 0; c < 3; c++) {
                            Plane plane = cells.get(c);
                            int at = plane.row(down.cell()[y]);
                            int below = plane.row(Math.min(last, down.cell()[y] + 1));
                            float part = down.next()[y];
                            for (int x = 0; x < count; x++) {
                                float v = plane.data()[at + x];
                                row[x] = v + part * (plane.data()[below + x] - v);
                            }
                            row[count] = row[count - 1];
                            draw(row, open, rgb[c]);
                        }
                    };
                }
            };
        }

        private void draw(float[] row, float[] open, float[] out) {
            int[] cell = across.cell();
            float[] next = across.next();
            for (int x = 0; x < cell.length; x++) {
                float v = row[cell[x]];
                out[x] = open[x] * (v + next[x] * (row[cell[x] + 1] - v));
            }
        }

        /** Share of each pixel that lies outside the gap. */
        private void open(int y, boolean round, double gap, float[] open) {
            if (gap == 0) {
                java.util.Arrays.fill(open, 1f);
                return;
            }
            double radius = (1 - gap) / 2;
            double dy = Math.abs(down.within()[y] - 0.5);
            double sharp = across.perCell();
            for (int x = 0; x < open.length; x++) {
                double dx = Math.abs(across.within()[x] - 0.5);
                double far = round ? Math.sqrt(dx * dx + dy * dy) : Math.max(dx, dy);
                open[x] = (float) Math.clamp((radius - far) * sharp + 0.5, 0, 1);
            }
        }
    }
}
