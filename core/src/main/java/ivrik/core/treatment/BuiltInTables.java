package ivrik.core.treatment;

import ivrik.core.colour.ColourTable;
import ivrik.core.colour.Luma;
import ivrik.core.colour.Transfer;

import java.util.LinkedHashMap;
import java.util.Map;

/** Built-in lookup tables, each defined by a few lines of code. */
final class BuiltInTables {
    private static final int POINTS = 33;

    /** Code value of middle grey in a generic log curve, and its number of stops. */
    private static final double LOG_GREY = 0.42;

    private static final double LOG_STOPS = 14;

    /** Brightness, relative to white, at which the shoulder reaches 1. */
    private static final double WHITE = 12;

    private static final double LIFT = 1.25;

    private static final double MIDDLE_GREY = 0.18;

    private static final Map<String, ColourTable> TABLES = new LinkedHashMap<>();

    static {
        put("warm", rgb -> gains(rgb, 1.07, 1.01, 0.9));
        put("cool", rgb -> gains(rgb, 0.92, 1.01, 1.08));
        put("print", BuiltInTables::print);
        put("from log", BuiltInTables::fromLog);
        put("from flat", BuiltInTables::fromFlat);
    }

    private BuiltInTables() {}

    private static void put(String name, ColourTable.Rule rule) {
        TABLES.put(name, ColourTable.of(name, POINTS, rule));
    }

    /** The table of a name; null if there is none. */
    static ColourTable named(String name) {
        return TABLES.get(name);
    }

    /** Gains red and blue in opposite directions; black and white stay. */
    private static void gains(double[] rgb, double red, double green, double blue) {
        double[] by = {red, green, blue};
        for (int c = 0; c < 3; c++) {
            rgb[c] = StrictMath.pow(rgb[c], 1 / by[c] / by[c]);
        }
    }

    /** An S-curve with cooler shadows and warmer highlights, as in a print. */
    private static void print(double[] rgb) {
        double luma = luma(rgb);
        double[] tint = {0.03, 0.005, -0.04};
        for (int c = 0; c < 3; c++) {
            double curved = contrast(rgb[c], 1.35, 0.45);
            double toned = curved + tint[c] * (2 * luma - 1) * 4 * luma * (1 - luma);
            rgb[c] = 0.018 + 0.955 * Math.clamp(toned, 0, 1);
        }
    }

    /** From log to display, with a soft shoulder. */
    private static void fromLog(double[] rgb) {
        for (int c = 0; c < 3; c++) {
            double light = MIDDLE_GREY * StrictMath.pow(2, (rgb[c] - LOG_GREY) * LOG_STOPS);
            double lit = LIFT * light;
            double shown = lit * (1 + lit / (WHITE * WHITE)) / (1 + lit);
            rgb[c] = Math.clamp(Transfer.SRGB.fromLinear(shown), 0, 1);
        }
        saturate(rgb, 1.15);
    }

    private static void fromFlat(double[] rgb) {
        for (int c = 0; c < 3; c++) {
            rgb[c] = contrast(rgb[c], 1.6, 0.45);
        }
        saturate(rgb, 1.2);
    }

    /** An S-curve through 0, the pivot and 1, with a slope at the pivot. */
    private static double contrast(double v, double by, double pivot) {
        return v < pivot
                ? pivot * StrictMath.pow(v / pivot, by)
                : 1 - (1 - pivot) * StrictMath.pow((1 - v) / (1 - pivot), by);
    }

    private static void saturate(double[] rgb, double by) {
        double luma = luma(rgb);
        for (int c = 0; c < 3; c++) {
            rgb[c] = Math.clamp(luma + by * (rgb[c] - luma), 0, 1);
        }
    }

    private static double luma(double[] rgb) {
        return Luma.RED * rgb[0] + Luma.GREEN * rgb[1] + Luma.BLUE * rgb[2];
    }
}
