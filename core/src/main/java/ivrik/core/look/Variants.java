package ivrik.core.look;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Looks about one look, to choose from. */
public final class Variants {
    private Variants() {}

    /**
     * One of them.
     *
     * @param differs what it differs by from those beside it
     * @param row what it has in common with them; empty where they have nothing in common
     */
    public record Variant(String differs, String row, Look look) {
        /** All that it differs by. */
        public String name() {
            return row.isEmpty() ? differs : differs + ", " + row;
        }
    }

    /** The same with all that is random drawn from seeds of 1 and up. */
    public static List<Variant> bySeed(Look look, int count) {
        return IntStream.rangeClosed(1, count)
                .mapToObj(seed -> new Variant("Seed " + seed, "", look.withSeed(seed)))
                .toList();
    }

    /**
     * A grid of two dials at steady values over what is worth seeing of them: a row for each value of
     * {@code down}, from its least, in which {@code across} goes up.
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

    /** Evenly spaced values over what is worth seeing of a dial; of a choice no more than it has. */
    public static List<Double> steps(Dial dial, int count) {
        int n = dial.words().isEmpty() ? count : Math.min(count, dial.words().size());
        Dial.Span span = dial.about(dial.value().at(0));
        return IntStream.range(0, n)
                .mapToDouble(
                        i -> span.least() + (span.most() - span.least()) * i / Math.max(1, n - 1))
                .map(v -> dial.words().isEmpty() ? v : Math.rint(v))
                .boxed()
                .toList();
    }

    /** A dial's value in words. */
    public static String label(Dial dial, double value) {
        String word = dial.word(value);
        return dial.title() + " " + (word.isEmpty() ? shortly(value) : word);
    }

    private static String shortly(double value) {
        double rounded = Math.rint(value * 100) / 100;
        return rounded == Math.rint(rounded)
                ? Long.toString(Math.round(rounded))
                : Double.toString(rounded);
    }
}
