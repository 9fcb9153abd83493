package ivrik.core.treatment;

import ivrik.core.colour.Luma;
import ivrik.core.picture.ColourRows;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Maps BT.709 luma to colours: linear interpolation from a dark colour over a middle one, and any further
 * ones, to a light one; or along a built-in scale.
 */
public final class GradientMap implements PictureTreatment {
    /** Custom or built-in gradient. */
    public static final Option SCALE =
            new Option(
                    "gradient",
                    "gradient",
                    "A custom gradient, or a built-in one",
                    "custom",
                    "thermal",
                    "cold",
                    "night vision");

    /** Further colours of a custom gradient. */
    public static final Series SERIES =
            new Series(
                    "stop",
                    Parameter.percent("at", "at", 0, 100, 50).setting(),
                    part("red", "red", 50),
                    part("green", "green", 50),
                    part("blue", "blue", 50));

    private static final int LEVELS = 1024;
    private static final double[][] HEAT = {
        {0, 0, 0}, {0.12, 0.02, 0.4}, {0.72, 0.05, 0.35}, {1, 0.55, 0.05}, {1, 0.97, 0.75}
    };
    private static final double[][] ICE = {
        {0.01, 0.02, 0.08}, {0.05, 0.22, 0.45}, {0.35, 0.7, 0.85}, {0.95, 1, 1}
    };
    private static final double[][] NIGHT = {{0, 0.02, 0}, {0.08, 0.42, 0.12}, {0.75, 1, 0.7}};
    private static final Description DESCRIPTION =
            Description.of(
                            "gradient-map",
                            "Gradient map",
                            "Maps tones to a gradient, from dark to light.",
                            TreatmentGroup.WHOLE,
                            Control.GRADIENT,
                            Parameter.amount(0).example(100, 100),
                            Parameter.percent("midpoint", "midpoint", 1, 99, 50).setting(),
                            part("dark-red", "dark stop, red", 8),
                            part("dark-green", "dark green", 6),
                            part("dark-blue", "dark blue", 24),
                            part("middle-red", "middle stop, red", 54),
                            part("middle-green", "middle green", 47),
                            part("middle-blue", "middle blue", 52),
                            part("light-red", "light stop, red", 100),
                            part("light-green", "light green", 88),
                            part("light-blue", "light blue", 80))
                    .choosing(SCALE)
                    .listing(SERIES)
                    .with(Trait.POINTWISE)
                    .called("duotone", "heat", "tint", "false colour");

    private static Parameter part(String name, String title, double rest) {
        return Parameter.percent(name, title, 0, 100, rest).setting();
    }

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        float[][] table = table(settings);
        int width = picture.width();
        return picture.thenBy(
                () -> {
                    float[] luma = new float[width];
                    return (rgb, n) -> {
                        Luma.row(rgb, luma, n);
                        for (int c = 0; c < 3; c++) {
                            look(luma, table[c], rgb[c], n);
                        }
                    };
                });
    }

    /**
     * A colour and its tone.
     *
     * @param at tone, 0 to 1
     * @param rgb gamma-encoded, 0 to 1
     * @param name prefix of its parameters: {@code dark}, {@code middle}, {@code light} or an item of the
     *     series
     */
    public record Stop(double at, double[] rgb, String name) {}

    /** Colours of the gradient, from dark to light. */
    public static List<Stop> stops(Settings settings) {
        double[][] ready =
                switch (settings.choice(SCALE)) {
                    case "thermal" -> HEAT;
                    case "cold" -> ICE;
                    case "night vision" -> NIGHT;
                    default -> new double[0][];
                };
        List<Stop> stops = new ArrayList<>();
        for (int i = 0; i < ready.length; i++) {
            stops.add(new Stop(i / (ready.length - 1.0), ready[i], ""));
        }
        if (ready.length == 0) {
            stops.add(new Stop(0, colour(settings, "dark-"), "dark-"));
            stops.add(new Stop(settings.share("midpoint"), colour(settings, "middle-"), "middle-"));
            stops.add(new Stop(1, colour(settings, "light-"), "light-"));
            for (int i = 0; i < settings.count(SERIES); i++) {
                String name = SERIES.address(i, "");
                double at = settings.number(SERIES, i, "at") / 100;
                stops.add(new Stop(at, colour(settings, name), name));
            }
            stops.sort(Comparator.comparingDouble(Stop::at));
        }
        return stops;
    }

    /** The colour of a tone from 0 to 1. */
    public static double[] colour(List<Stop> stops, double tone) {
        int after = 1;
        while (after < stops.size() - 1 && stops.get(after).at() < tone) {
            after++;
        }
        Stop low = stops.get(after - 1);
        Stop high = stops.get(after);
        double gap = high.at() - low.at();
        double share = gap <= 0 ? 1 : Math.clamp((tone - low.at()) / gap, 0, 1);
        double[] mixed = new double[3];
        for (int c = 0; c < 3; c++) {
            mixed[c] = low.rgb()[c] + share * (high.rgb()[c] - low.rgb()[c]);
        }
        return mixed;
    }

    private static float[][] table(Settings settings) {
        List<Stop> stops = stops(settings);
        float[][] table = new float[3][LEVELS + 1];
        for (int i = 0; i <= LEVELS; i++) {
            double[] colour = colour(stops, (double) i / LEVELS);
            for (int c = 0; c < 3; c++) {
                table[c][i] = (float) colour[c];
            }
        }
        return table;
    }

    private static double[] colour(Settings settings, String which) {
        return Arrays.stream(new String[] {"red", "green", "blue"})
                .mapToDouble(channel -> settings.share(which + channel))
                .toArray();
    }

    private static void look(float[] luma, float[] table, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            float at = Math.clamp(luma[i], 0f, 1f) * LEVELS;
            int before = Math.min(LEVELS - 1, (int) at);
            out[i] = table[before] + (at - before) * (table[before + 1] - table[before]);
        }
    }
}
