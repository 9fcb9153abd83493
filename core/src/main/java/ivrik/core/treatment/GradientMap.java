package ivrik.core.treatment;

import ivrik.core.colour.Luma;
import ivrik.core.picture.ColourRows;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Colours in the place of tones: BT.709 luma goes from a dark colour by a middle one, and by as many further ones as
 * are set, to a light one, in straight lines; or along one of several ready scales.
 */
public final class GradientMap implements PictureTreatment {
    /** Where the colours come from. */
    public static final Option SCALE =
            new Option(
                    "scale",
                    "colours",
                    "Colours of your own, or a ready scale",
                    "own",
                    "heat",
                    "ice",
                    "night");

    /** Further colours of one's own. */
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
                            "Puts colours in the place of tones, from dark to light.",
                            Group.WHOLE,
                            Control.GRADIENT,
                            Parameter.amount(0).shown(100, 100),
                            Parameter.percent("middle", "middle at", 1, 99, 50).setting(),
                            part("dark-red", "dark red", 8),
                            part("dark-green", "dark green", 6),
                            part("dark-blue", "dark blue", 24),
                            part("middle-red", "middle red", 54),
                            part("middle-green", "middle green", 47),
                            part("middle-blue", "middle blue", 52),
                            part("light-red", "light red", 100),
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
     * A colour and the tone it stands for.
     *
     * @param at the tone, 0 to 1
     * @param rgb as delivered, 0 to 1
     * @param name what its parameters are called by: {@code dark}, {@code middle}, {@code light} or of the series
     */
    public record Stop(double at, double[] rgb, String name) {}

    /** The colours that tones go through, from dark to light. */
    public static List<Stop> stops(Settings settings) {
        double[][] ready =
                switch (settings.word(SCALE)) {
                    case "heat" -> HEAT;
                    case "ice" -> ICE;
                    case "night" -> NIGHT;
                    default -> new double[0][];
                };
        List<Stop> stops = new ArrayList<>();
        for (int i = 0; i < ready.length; i++) {
            stops.add(new Stop(i / (ready.length - 1.0), ready[i], ""));
        }
        if (ready.length == 0) {
            stops.add(new Stop(0, colour(settings, "dark-"), "dark-"));
            stops.add(new Stop(settings.share("middle"), colour(settings, "middle-"), "middle-"));
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
