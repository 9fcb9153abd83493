package ivrik.core.look;

import ivrik.core.separation.Ink;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The two filter colours of anaglyph glasses, from a word such as {@code red-cyan}.
 *
 * @param left filter of the left eye
 * @param right filter of the right eye
 */
public record FilterPair(Ink left, Ink right) {
    private static final Map<String, Ink> NAMES =
            Map.of(
                    "red", Ink.RED,
                    "green", Ink.GREEN,
                    "blue", Ink.BLUE,
                    "cyan", Ink.CYAN,
                    "magenta", Ink.MAGENTA,
                    "yellow", Ink.YELLOW);

    /** The pair of a word; empty if the word names none. */
    public static Optional<FilterPair> of(String name) {
        String[] names = name.split("-");
        return names.length == 2 && NAMES.containsKey(names[0]) && NAMES.containsKey(names[1])
                ? Optional.of(new FilterPair(NAMES.get(names[0]), NAMES.get(names[1])))
                : Optional.empty();
    }

    /** The word, among pairs, whose left or right colour is nearest to a colour. */
    public static String nearest(List<String> names, boolean left, Ink to) {
        return names.stream()
                .min(
                        Comparator.comparingDouble(
                                name -> {
                                    FilterPair pair = of(name).orElseThrow();
                                    return apart(left ? pair.left : pair.right, to);
                                }))
                .orElseThrow();
    }

    private static double apart(Ink a, Ink b) {
        double sum = 0;
        for (int c = 0; c < 3; c++) {
            double apart = a.part(c) - b.part(c);
            sum += apart * apart;
        }
        return sum;
    }
}
