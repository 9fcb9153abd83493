package ivrik.core;

import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;

/** The name that was meant, perhaps, by one that there is not. */
public final class Nearest {
    private Nearest() {}

    /** The one of {@code known} that takes the fewest changed letters; none if that is half of them. */
    public static Optional<String> to(String name, Collection<String> known) {
        return known.stream()
                .filter(k -> 2 * distance(name, k) <= Math.max(name.length(), k.length()))
                .min(Comparator.comparingInt(k -> distance(name, k)));
    }

    /** How many letters must be put in, taken out or changed (Levenshtein 1965). */
    private static int distance(String a, String b) {
        int[] row = new int[b.length() + 1];
        for (int j = 0; j <= b.length(); j++) {
            row[j] = j;
        }
        for (int i = 1; i <= a.length(); i++) {
            int diagonal = row[0];
            row[0] = i;
            for (int j = 1; j <= b.length(); j++) {
                int changed = diagonal + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1);
                diagonal = row[j];
                row[j] = Math.min(changed, 1 + Math.min(row[j], row[j - 1]));
            }
        }
        return row[b.length()];
    }
}
