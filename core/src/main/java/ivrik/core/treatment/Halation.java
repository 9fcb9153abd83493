package ivrik.core.treatment;

import ivrik.core.colour.TransferTable;
import ivrik.core.filter.FilteredRows;
import ivrik.core.filter.Halo;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Bloom.Gain;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Light that passes the film's emulsion, reflects from the base and exposes the emulsion again, mainly red.
 * In linear light: highlights above a soft threshold are blurred, each channel with its own radius, and
 * increases are added with the channel's weight. Decreases are subtracted in the share {@code conserve-energy};
 * with all of them the mean light stays the same.
 */
public final class Halation implements PictureTreatment {
    /**
     * Light below this counts as none; 16-bit code values of the darkest tones are farther apart.
     */
    private static final float MIN_LIGHT = 1e-6f;

    private static final Description DESCRIPTION =
            Description.of(
                            "halation",
                            "Halation",
                            "Adds a soft, mostly red glow around highlights, as in film.",
                            TreatmentGroup.WHOLE,
                            Control.RULER,
                            Parameter.percent("strength", "strength", 0, 400, 0).example(60, 60),
                            Parameter.of("threshold", "threshold", "stops", -6, 12, 1, 0.1)
                                    .setting(),
                            Parameter.of("radius", "radius", "px", 0, 1000, 24, 1).setting(),
                            Parameter.percent("fall", "smaller radius for blue", 0, 100, 60)
                                    .setting(),
                            Parameter.percent("red", "red", 0, 100, 100).setting(),
                            Parameter.percent("green", "green", 0, 100, 35).setting(),
                            Parameter.percent("blue", "blue", 0, 100, 10).setting(),
                            Parameter.percent("tail", "tail", 0, 100, 60).setting(),
                            Parameter.percent("conserve-energy", "conserve energy", 0, 100, 0)
                                    .setting())
                    .with(Trait.SHINES, Trait.BY_CHANNEL, Trait.LIGHT)
                    .called("glow", "bloom", "film", "highlights", "red glow");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        Workers workers = context.workers();
        List<Plane> before = picture.toPlanes(workers);
        TransferTable in = TransferTable.toLinear(context.transfer());
        TransferTable out = TransferTable.fromLinear(context.transfer());
        Knee knee = Knee.stopsOverGrey(settings.number("threshold"));
        String[] channels = {"red", "green", "blue"};
        List<Rows> after = new ArrayList<>();
        for (int c = 0; c < channels.length; c++) {
            Plane plane = before.get(c);
            double weight = settings.share("strength") * settings.share(channels[c]);
            double fall = 1 - settings.share("fall") * c / (channels.length - 1);
            double sigma = Bloom.sigma(settings.number("radius") * fall, context.scale());
            if (weight == 0 || sigma == 0) {
                after.add(Rows.of(plane));
                continue;
            }
            LightOver bright = new LightOver(plane, knee, in, out.at(knee.low()));
            Rows spread = Halo.of(bright, sigma, settings.share("tail"), EdgeFill.MIRROR, workers);
            after.add(
                    new Exposed(
                            bright,
                            spread,
                            Gain.of(weight, settings.share("conserve-energy")),
                            out));
        }
        return ColourRows.of(after);
    }

    /** Linear light of a channel above the knee; its rows are computed on each request. */
    private record LightOver(Plane in, Knee knee, TransferTable linear, float least)
            implements FilteredRows {
        @Override
        public Reader reader() {
            int n = in.width();
            float[] values = new float[n];
            float[] over = new float[n];
            return (y, out, o) -> {
                System.arraycopy(in.data(), in.row(y), values, 0, n);
                Arrays.fill(over, 0);
                ActiveRuns.of(
                        n,
                        (from, to) -> comesNear(values, from, to),
                        (from, to) -> {
                            linear.apply(values, from, to);
                            knee.above(values, over, from, to);
                        });
                System.arraycopy(over, 0, out, o, n);
            };
        }

        /**
         * Whether any of these values may exceed the knee; always true for values in linear light.
         */
        boolean comesNear(float[] values, int from, int to) {
            return linear.changesNothing() || ActiveRuns.any(values, least, from, to);
        }
    }

    /**
     * A channel plus the added light; values without added light stay gamma-encoded.
     *
     * @param bright the light that was blurred
     */
    private record Exposed(LightOver bright, Rows spread, Gain gain, TransferTable out)
            implements FilteredRows {
        @Override
        public Plane in() {
            return bright.in();
        }

        @Override
        public Reader reader() {
            return new Exposure();
        }

        /** Scratch rows of one thread. */
        private final class Exposure implements Reader {
            private final Reader arriving = spread.reader();
            private final int n = width();
            private final float[] values = new float[n];
            private final float[] light = new float[n];
            private final float[] over = new float[n];
            private final float[] added = new float[n];

            @Override
            public void row(int y, float[] to, int o) {
                System.arraycopy(in().data(), in().row(y), values, 0, n);
                System.arraycopy(values, 0, light, 0, n);
                arriving.row(y, added, 0);
                ActiveRuns.of(n, this::isSeen, this::expose);
                System.arraycopy(light, 0, to, o, n);
            }

            private boolean isSeen(int from, int to) {
                return bright.comesNear(values, from, to)
                        || ActiveRuns.any(added, MIN_LIGHT / gain.by(), from, to);
            }

            private void expose(int from, int to) {
                bright.linear().apply(light, from, to);
                bright.knee().above(light, over, from, to);
                gain.of(over, added, from, to);
                for (int i = from; i < to; i++) {
                    light[i] += added[i];
                }
                out.apply(light, from, to);
                keep(values, added, light, from, to);
            }
        }

        /** Keeps the values where no light was added. */
        private static void keep(float[] values, float[] added, float[] made, int from, int to) {
            for (int i = from; i < to; i++) {
                int seen = Math.min(1, (int) (Math.abs(added[i]) * (1 / MIN_LIGHT)));
                made[i] = values[i] + seen * (made[i] - values[i]);
            }
        }
    }
}
