package ivrik.core.treatment;

/**
 * One number of a treatment.
 *
 * @param name in files and addresses, such as {@code x}
 * @param title in the window
 * @param unit as shown: {@code px}, {@code %}, {@code deg}
 * @param rest where it has no effect
 * @param step the change of one arrow key press
 * @param jitters whether jitter moves it
 */
public record Parameter(
        String name,
        String title,
        String unit,
        double min,
        double max,
        double rest,
        double step,
        boolean jitters) {
    public double clamp(double value) {
        return Math.clamp(value, min, max);
    }
}
