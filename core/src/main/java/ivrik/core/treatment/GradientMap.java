package ivrik.core.treatment;

import ivrik.core.colour.Luma;
import ivrik.core.picture.ColourRows;

import java.util.Arrays;

/**
 * Colours in the place of tones: BT.709 luma goes from a dark colour by a middle one to a light one, in
 * straight lines, or along one of several ready scales.
 */
public final class GradientMap implements PictureTreatment {
    /** Where the colours come from. */
    public static final Option SCALE =
            new Option(
                    "scale",
                    "colours",
                    "Three colours of your own, or a ready scale",
                    "own",
                    "heat",
                    "ice",
                    "night");

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
                            Control.RULER,
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

    private static float[][] table(Settings settings) {
        double[][] stops =
                switch (settings.word(SCALE)) {
                    case "heat" -> HEAT;
                    case "ice" -> ICE;
                    case "night" -> NIGHT;
                    default ->
                            new double[][] {
                                colour(settings, "dark"),
                                colour(settings, "middle"),
                                colour(settings, "light")
                            };
                };
        boolean own = settings.word(SCALE).equals(SCALE.rest());
        double middle = own ? settings.share("middle") : 0.5;
        float[][] table = new float[3][LEVELS + 1];
        for (int i = 0; i <= LEVELS; i++) {
            double tone = (double) i / LEVELS;
            double even = tone < middle ? tone / middle / 2 : 1 - (1 - tone) / (1 - middle) / 2;
            double at = even * (stops.length - 1);
            int before = Math.min(stops.length - 2, (int) at);
            for (int c = 0; c < 3; c++) {
                double from = stops[before][c];
                table[c][i] = (float) (from + (at - before) * (stops[before + 1][c] - from));
            }
        }
        return table;
    }

    private static double[] colour(Settings settings, String which) {
        return Arrays.stream(new String[] {"red", "green", "blue"})
                .mapToDouble(channel -> settings.share(which + "-" + channel))
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
