package ivrik.core.look;

import java.util.ArrayList;
import java.util.List;

/** Edits of immutable lists. */
public final class ListEdits {
    private ListEdits() {}

    public static <T> List<T> with(List<T> list, int index, T item) {
        List<T> changed = new ArrayList<>(list);
        changed.set(index, item);
        return List.copyOf(changed);
    }

    public static <T> List<T> plus(List<T> list, T item) {
        List<T> changed = new ArrayList<>(list);
        changed.add(item);
        return List.copyOf(changed);
    }
}
