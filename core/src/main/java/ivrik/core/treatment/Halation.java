package ivrik.core.treatment;

import ivrik.core.colour.TransferTable;
import ivrik.core.filter.Filtered;
import ivrik.core.filter.Halo;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.SpreadLight.Gain;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Light that passes the emulsion of a film, is thrown back and exposes it again from behind, red first.
 * In linear light: what lies above a soft threshold is spread, in each channel by its own radius, and where
 * more arrives than was there, that is added, in each channel by its own weight. Where less arrives, as much
 * of that as is kept is taken away, so that all of it leaves the mean light as it was.
 */
public final class Halation implements PictureTreatment {
    /** Less light than this is none: 16-bit codes of the darkest tones lie further apart. */
    private static final float LEAST_LIGHT = 1e-6f;

    private static final Description DESCRIPTION =
            Description.of(
                            "halation",
                            "Halation",
                            "Spreads a soft, mostly red light about the brightest places, as film"
                                    + " does.",
                            Group.WHOLE,
                            Control.RULER,
                            Parameter.percent("strength", "strength", 0, 400, 0).shown(60, 60),
                            Parameter.of("threshold", "from", "stops", -6, 12, 1, 0.1).setting(),
                            Parameter.of("radius", "radius", "px", 0, 1000, 24, 1).setting(),
                            Parameter.percent("fall", "less for blue", 0, 100, 60).setting(),
                            Parameter.percent("red", "red", 0, 100, 100).setting(),
                            Parameter.percent("green", "green", 0, 100, 35).setting(),
                            Parameter.percent("blue", "blue", 0, 100, 10).setting(),
                            Parameter.percent("tail", "long tail", 0, 100, 60).setting(),
                            Parameter.percent("keep", "keep the energy", 0, 100, 0).setting())
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
            double sigma = SpreadLight.sigma(settings.number("radius") * fall, context.scale());
            if (weight == 0 || sigma == 0) {
                after.add(Rows.of(plane));
                continue;
            }
            LightOver bright = new LightOver(plane, knee, in, out.at(knee.low()));
            Rows spread = Halo.of(bright, sigma, settings.share("tail"), EdgeFill.MIRROR, workers);
            after.add(new Exposed(bright, spread, Gain.of(weight, settings.share("keep")), out));
        }
        return ColourRows.of(after);
    }

    /** The light of a channel over the knee. Its rows are made as they are asked for, more than once. */
    private record LightOver(Plane in, Knee knee, TransferTable linear, float least)
            implements Filtered {
        @Override
        public Reader reader() {
            int n = in.width();
            float[] values = new float[n];
            float[] over = new float[n];
            return (y, out, o) -> {
                System.arraycopy(in.data(), in.row(y), values, 0, n);
                Arrays.fill(over, 0);
                Stretches.of(
                        n,
                        (from, to) -> comesNear(values, from, to),
                        (from, to) -> {
                            linear.apply(values, from, to);
                            knee.above(values, over, from, to);
                        });
                System.arraycopy(over, 0, out, o, n);
            };
        }

        /** Whether any of these values may have light over the knee; where they are light already it is not worth a look. */
        boolean comesNear(float[] values, int from, int to) {
            return linear.changesNothing() || Stretches.any(values, least, from, to);
        }
    }

    /**
     * A channel with the light that comes back added; where there is none its values stay as they are delivered.
     *
     * @param bright what was spread
     */
    private record Exposed(LightOver bright, Rows spread, Gain gain, TransferTable out)
            implements Filtered {
        @Override
        public Plane in() {
            return bright.in();
        }

        @Override
        public Reader reader() {
            return new Exposure();
        }

        /** The scratch rows of one thread. */
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
                Stretches.of(n, this::isSeen, this::expose);
                System.arraycopy(light, 0, to, o, n);
            }

            private boolean isSeen(int from, int to) {
                return bright.comesNear(values, from, to)
                        || Stretches.any(added, LEAST_LIGHT / gain.by(), from, to);
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

        /** Leaves the values where no light was added. */
        private static void keep(float[] values, float[] added, float[] made, int from, int to) {
            for (int i = from; i < to; i++) {
                int seen = Math.min(1, (int) (Math.abs(added[i]) * (1 / LEAST_LIGHT)));
                made[i] = values[i] + seen * (made[i] - values[i]);
            }
        }
    }
}
