package ivrik.core.look;

import ivrik.core.separation.Ink;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Two colours of glasses, as a word such as {@code red-cyan} names them.
 *
 * @param left before the left eye
 * @param right before the right eye
 */
public record InkPair(Ink left, Ink right) {
    private static final Map<String, Ink> NAMES =
            Map.of(
                    "red", Ink.RED,
                    "green", Ink.GREEN,
                    "blue", Ink.BLUE,
                    "cyan", Ink.CYAN,
                    "magenta", Ink.MAGENTA,
                    "yellow", Ink.YELLOW);

    /** The pair that a word names; empty if it names none. */
    public static Optional<InkPair> of(String word) {
        String[] names = word.split("-");
        return names.length == 2 && NAMES.containsKey(names[0]) && NAMES.containsKey(names[1])
                ? Optional.of(new InkPair(NAMES.get(names[0]), NAMES.get(names[1])))
                : Optional.empty();
    }

    /** The word among some, all of pairs, whose left or right colour is nearest to one. */
    public static String nearest(List<String> words, boolean left, Ink to) {
        return words.stream()
                .min(
                        Comparator.comparingDouble(
                                word -> {
                                    InkPair pair = of(word).orElseThrow();
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
