package ivrik.core.treatment;

import ivrik.core.colour.TransferTable;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.threads.Workers;

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

    /** Rows are looked through in parts of so many values: mostly there is nothing to be done. */
    private static final int PART = 64;

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
                    .with(Trait.SHINES, Trait.BY_CHANNEL)
                    .called("glow", "bloom", "film", "highlights", "red glow");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        Workers workers = context.workers();
        List<Plane> before = picture.toPlanes(workers);
        TransferTable in = TransferTable.toLinear(context.colour().transfer());
        TransferTable out = TransferTable.fromLinear(context.colour().transfer());
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
            Plane bright = bright(plane, knee, in, out).toPlane(workers);
            if (bright.isFlat(bright.at(0, 0))) {
                after.add(Rows.of(plane));
                continue;
            }
            Rows gained =
                    SpreadLight.gained(
                            bright,
                            sigma,
                            settings.share("tail"),
                            weight,
                            settings.share("keep"),
                            workers);
            after.add(PlaneRows.of(plane, gained, (v, gain, o, n) -> add(v, gain, o, n, in, out)));
        }
        return ColourRows.of(after);
    }

    /** Light added to values as they are delivered; where there is none they stay as they are. */
    private static void add(
            float[] values,
            float[] light,
            float[] sum,
            int n,
            TransferTable in,
            TransferTable out) {
        System.arraycopy(values, 0, sum, 0, n);
        for (int from = 0; from < n; from += PART) {
            int to = Math.min(n, from + PART);
            if (most(light, from, to) < LEAST_LIGHT) {
                continue;
            }
            in.apply(sum, from, to);
            for (int i = from; i < to; i++) {
                sum[i] += light[i];
            }
            out.apply(sum, from, to);
            for (int i = from; i < to; i++) {
                sum[i] = Math.abs(light[i]) < LEAST_LIGHT ? values[i] : sum[i];
            }
        }
    }

    private static float most(float[] values, int from, int to) {
        float most = 0;
        for (int i = from; i < to; i++) {
            most = Math.max(most, Math.abs(values[i]));
        }
        return most;
    }

    /** The light over the knee; where no value comes near it, there is none. */
    private static Rows bright(Plane plane, Knee knee, TransferTable linear, TransferTable back) {
        float least = back.at(knee.low());
        return PlaneRows.of(
                plane,
                (values, light, n) -> {
                    for (int from = 0; from < n; from += PART) {
                        int to = Math.min(n, from + PART);
                        if (most(values, from, to) < least) {
                            Arrays.fill(light, from, to, 0);
                        } else {
                            System.arraycopy(values, from, light, from, to - from);
                            linear.apply(light, from, to);
                            knee.above(light, from, to);
                        }
                    }
                });
    }
}
