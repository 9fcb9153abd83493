package ivrik.core.look;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Variants of a look to choose from. */
public final class Variants {
    private Variants() {}

    /**
     * One variant.
     *
     * @param differs what distinguishes the variant within its row
     * @param row what the row has in common; empty if there is only one row
     */
    public record Variant(String differs, String row, Look look) {
        /** Full name of the variant. */
        public String name() {
            return row.isEmpty() ? differs : differs + ", " + row;
        }
    }

    /** The look with all randomness drawn from the seeds 1, 2 and so on. */
    public static List<Variant> bySeed(Look look, int count) {
        return IntStream.rangeClosed(1, count)
                .mapToObj(seed -> new Variant("Seed " + seed, "", look.withSeed(seed)))
                .toList();
    }

    /**
     * A grid of two dials at constant values over their useful ranges: one row per value of {@code down} from
     * its smallest, with {@code across} increasing within a row.
     *
     * @throws ivrik.core.UnknownNameException if the look has no such dial
     */
    public static List<Variant> byDials(
            Look look, String across, String down, int columns, int rows) {
        Dial x = look.dial(across);
        Dial y = look.dial(down);
        List<Variant> grid = new ArrayList<>();
        for (double v : steps(y, rows)) {
            for (double u : steps(x, columns)) {
                grid.add(
                        new Variant(
                                label(x, u),
                                label(y, v),
                                look.withDial(across, u).withDial(down, v)));
            }
        }
        return grid;
    }

    /** Evenly spaced values over the useful range of a dial; for a choice at most one per word. */
    public static List<Double> steps(Dial dial, int count) {
        int n = dial.choices().isEmpty() ? count : Math.min(count, dial.choices().size());
        Dial.Span span = dial.about(dial.value().at(0));
        return IntStream.range(0, n)
                .mapToDouble(
                        i -> span.least() + (span.most() - span.least()) * i / Math.max(1, n - 1))
                .map(v -> dial.choices().isEmpty() ? v : Math.rint(v))
                .boxed()
                .toList();
    }

    /** A dial value as text. */
    public static String label(Dial dial, double value) {
        String choice = dial.choice(value);
        return dial.title() + " " + (choice.isEmpty() ? shortly(value) : choice);
    }

    private static String shortly(double value) {
        double rounded = Math.rint(value * 100) / 100;
        return rounded == Math.rint(rounded)
                ? Long.toString(Math.round(rounded))
                : Double.toString(rounded);
    }
}
