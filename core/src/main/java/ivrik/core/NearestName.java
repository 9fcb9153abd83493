package ivrik.core;

import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;

/** Finds the known name that is most similar to an unknown one, for "did you mean" messages. */
public final class NearestName {
    private NearestName() {}

    /**
     * @param name the unknown name
     * @param known names to choose from
     * @return the known name with the smallest edit distance; empty if that distance exceeds half of the
     *     longer name
     */
    public static Optional<String> to(String name, Collection<String> known) {
        return known.stream()
                .filter(k -> 2 * distance(name, k) <= Math.max(name.length(), k.length()))
                .min(Comparator.comparingInt(k -> distance(name, k)));
    }

    /** Levenshtein distance: insertions, deletions and substitutions (Levenshtein 1965). */
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
