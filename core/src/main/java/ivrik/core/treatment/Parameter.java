package ivrik.core.treatment;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * One number of a treatment.
 *
 * @param name name in files and addresses, such as {@code x}
 * @param title name in the window
 * @param unit displayed unit: {@code px}, {@code %}, {@code deg}
 * @param rest default value, without effect if there is such a value
 * @param step change per arrow key press
 * @param drives whether the parameter gives the treatment its effect: with all of these at their defaults
 *     nothing changes
 * @param jitters whether jitter moves it
 * @param exampleFirst example value of the first channel
 * @param exampleLast example value of the last channel
 */
@RecordBuilder
public record Parameter(
        String name,
        String title,
        String unit,
        double min,
        double max,
        double rest,
        double step,
        boolean drives,
        boolean jitters,
        double exampleFirst,
        double exampleLast)
        implements ParameterBuilder.With {
    /** Unit of a parameter that has no effect at any integer. */
    public static final String TILES = "tiles";

    /** The amount, a parameter of every treatment. */
    public static final String AMOUNT = "amount";

    /** The opacity of a look, as a share. */
    public static final String OPACITY = "opacity";

    private static final double FULL = 100;

    public static Parameter of(
            String name,
            String title,
            String unit,
            double min,
            double max,
            double rest,
            double step) {
        return new Parameter(name, title, unit, min, max, rest, step, true, false, rest, rest);
    }

    /** A length in pixels of the full-size sequence, default 0. */
    public static Parameter px(String name, String title, double min, double max) {
        return of(name, title, "px", min, max, 0, 1);
    }

    public static Parameter percent(
            String name, String title, double min, double max, double rest) {
        return of(name, title, "%", min, max, rest, 1);
    }

    /** A clockwise angle, default 0. */
    public static Parameter degrees(String name, String title) {
        return of(name, title, "deg", -3600, 3600, 0, 1);
    }

    /** The amount of the treatment. */
    static Parameter amount(double rest) {
        return percent(AMOUNT, "amount", 0, 100, rest);
    }

    /**
     * The amount of a treatment that is mixed with the untreated picture; above 100 % its change is
     * exaggerated.
     */
    static Parameter strengthened() {
        return percent(AMOUNT, "amount", 0, 2 * FULL, FULL);
    }

    /** Whether this is an amount or opacity whose default, 100 %, is below its maximum. */
    public boolean isFullAtRest() {
        return name.equals(OPACITY) || name.equals(AMOUNT) && rest == FULL;
    }

    /** This parameter as a setting: without effect by itself. */
    public Parameter setting() {
        return withDrives(false);
    }

    public Parameter jittering() {
        return withJitters(true);
    }

    /** This parameter with example values for the first and the last channel. */
    public Parameter example(double first, double last) {
        return withExampleFirst(first).withExampleLast(last);
    }

    public Parameter stepping(double by) {
        return withStep(by);
    }

    /** The example value of a channel. */
    public double exampleFor(int channel, int channels) {
        return channels < 2
                ? exampleFirst
                : exampleFirst + (exampleLast - exampleFirst) * channel / (channels - 1);
    }

    /** Whether every integer has no effect. */
    public boolean comesRound() {
        return unit.equals(TILES);
    }

    public double clamp(double value) {
        return Math.clamp(value, min, max);
    }
}
