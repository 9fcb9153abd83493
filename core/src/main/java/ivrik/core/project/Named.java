package ivrik.core.project;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;

/** Gives what lies in a list an id of its own, by which others can mean it wherever it is moved. */
final class Named {
    private Named() {}

    /**
     * The same list, in which no id is empty or there twice: where one was, the first free one takes its place.
     *
     * @param kind what a new id begins with
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
