package ivrik.core.project;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;

/** Assigns unique ids to the elements of a list. */
final class UniqueIds {
    private UniqueIds() {}

    /**
     * The list without empty or repeated ids: the first free id replaces them.
     *
     * @param kind prefix of new ids
     */
    static <T> List<T> each(
            List<T> all, String kind, Function<T, String> id, BiFunction<T, String, T> withId) {
        Set<String> taken = new HashSet<>();
        List<T> named = new ArrayList<>(all);
        for (int i = 0; i < named.size(); i++) {
            String own = id.apply(named.get(i));
            if (own.isEmpty() || !taken.add(own)) {
                named.set(i, null);
            }
        }
        int number = 1;
        for (int i = 0; i < named.size(); i++) {
            if (named.get(i) == null) {
                while (!taken.add(kind + "-" + number)) {
                    number++;
                }
                named.set(i, withId.apply(all.get(i), kind + "-" + number));
            }
        }
        return List.copyOf(named);
    }
}
