package ivrik.core.treatment;

import ivrik.core.colour.Luma;
import ivrik.core.measure.ColourCast;
import ivrik.core.picture.ColourRows;

import java.util.ArrayList;
import java.util.List;

/**
 * Adds a measured correction to each channel in shadows, midtones and highlights; the zones are those of
 * {@link ColourCast}.
 */
public final class CastCorrection implements PictureTreatment {
    private static final List<String> ZONES = List.of("shadows", "midtones", "highlights");
    private static final List<String> CHANNELS = List.of("red", "green", "blue");

    /** Example settings: a blue cast. */
    private static final double[] SHOWN = {5, 1, -6};

    private static final Description DESCRIPTION =
            Description.of(
                            "cast-correction",
                            "Colour cast correction",
                            "Restores the average colour of shadows, midtones and highlights that"
                                    + " the treated channels changed.",
                            TreatmentGroup.WHOLE,
                            Control.RULER,
                            parameters())
                    .with(Trait.POINTWISE, Trait.MEASURED)
                    .called(
                            "correct colour cast",
                            "neutral",
                            "balance",
                            "tint",
                            "colour cast",
                            "average");

    private static Parameter[] parameters() {
        List<Parameter> all = new ArrayList<>();
        all.add(Parameter.amount(0).example(100, 100));
        for (int zone = 0; zone < ZONES.size(); zone++) {
            for (int c = 0; c < CHANNELS.size(); c++) {
                String title = ZONES.get(zone) + " " + CHANNELS.get(c);
                all.add(
                        Parameter.percent(parameter(zone, c), title, -100, 100, 0)
                                .stepping(0.1)
                                .example(SHOWN[c], SHOWN[c])
                                .setting());
            }
        }
        return all.toArray(Parameter[]::new);
    }

    /** The parameter of a zone and a channel, by their indices in {@link ColourCast}. */
    public static String parameter(int zone, int channel) {
        return ZONES.get(zone) + "-" + CHANNELS.get(channel);
    }

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        float[][] by = new float[3][ColourCast.ZONES];
        for (int c = 0; c < by.length; c++) {
            for (int zone = 0; zone < ColourCast.ZONES; zone++) {
                by[c][zone] = (float) settings.share(parameter(zone, c));
            }
        }
        int width = picture.width();
        return picture.thenBy(
                () -> {
                    float[] luma = new float[width];
                    return (rgb, n) -> {
                        Luma.row(rgb, luma, n);
                        for (int c = 0; c < rgb.length; c++) {
                            add(luma, by[c][0], by[c][1], by[c][2], rgb[c], n);
                        }
                    };
                });
    }

    private static void add(
            float[] luma, float shadows, float middle, float lights, float[] values, int n) {
        for (int i = 0; i < n; i++) {
            float below = Math.min(1, Math.max(0, 1 - 2 * luma[i]));
            float above = Math.min(1, Math.max(0, 2 * luma[i] - 1));
            values[i] += middle + below * (shadows - middle) + above * (lights - middle);
        }
    }
}
