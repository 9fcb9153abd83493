package ivrik.core.treatment;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * One number of a treatment.
 *
 * @param name in files and addresses, such as {@code x}
 * @param title in the window
 * @param unit as shown: {@code px}, {@code %}, {@code deg}
 * @param rest where it has no effect, or where it says nothing in particular
 * @param step the change of one arrow key press
 * @param drives whether it makes the treatment act: with all of these at rest nothing is changed
 * @param jitters whether jitter moves it
 * @param shownFirst what the first lane has where the treatment is shown off
 * @param shownLast what the last lane has there
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
        double shownFirst,
        double shownLast)
        implements ParameterBuilder.With {
    /** The unit of what is at rest again after each whole number. */
    public static final String TILES = "tiles";

    /** How much of a treatment is done, in every treatment. */
    public static final String AMOUNT = "amount";

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

    /** A length in pixels of the full-size sequence, at rest 0. */
    public static Parameter px(String name, String title, double min, double max) {
        return of(name, title, "px", min, max, 0, 1);
    }

    public static Parameter percent(
            String name, String title, double min, double max, double rest) {
        return of(name, title, "%", min, max, rest, 1);
    }

    /** An angle, clockwise on the screen, at rest 0. */
    public static Parameter degrees(String name, String title) {
        return of(name, title, "deg", -3600, 3600, 0, 1);
    }

    /** How much of the treatment is done. */
    static Parameter amount(double rest) {
        return percent(AMOUNT, "Amount", 0, 100, rest);
    }

    /** Such that it says how, not how much: it makes nothing act by itself. */
    public Parameter setting() {
        return withDrives(false);
    }

    public Parameter jittering() {
        return withJitters(true);
    }

    /** With what the first and the last lane have where the treatment is shown off. */
    public Parameter shown(double first, double last) {
        return withShownFirst(first).withShownLast(last);
    }

    public Parameter stepping(double by) {
        return withStep(by);
    }

    /** What lane {@code lane} of {@code lanes} has where the treatment is shown off. */
    public double shownFor(int lane, int lanes) {
        return lanes < 2 ? shownFirst : shownFirst + (shownLast - shownFirst) * lane / (lanes - 1);
    }

    /** Whether each whole number of it is as good as rest. */
    public boolean comesRound() {
        return unit.equals(TILES);
    }

    public double clamp(double value) {
        return Math.clamp(value, min, max);
    }
}
