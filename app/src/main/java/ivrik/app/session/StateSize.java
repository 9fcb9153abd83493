package ivrik.app.session;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Collection;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * Estimates the memory of a state beyond what it shares with the previous one: states are records, and an
 * edit replaces only the changed ones.
 */
final class StateSize {
    /** Approximate bytes per object. */
    private static final long OBJECT = 48;

    /**
     * Accessors of a record's object components, cached because reflection creates them on each call.
     */
    private static final ClassValue<List<Method>> PARTS =
            new ClassValue<>() {
                @Override
                protected List<Method> computeValue(Class<?> type) {
                    return Arrays.stream(type.getRecordComponents())
                            .filter(part -> !part.getType().isPrimitive())
                            .map(RecordComponent::getAccessor)
                            .toList();
                }
            };

    private StateSize() {}

    /** Bytes. */
    static long of(Object before, Object after) {
        if (before == after || after == null) {
            return 0;
        }
        return switch (after) {
            case Record record -> OBJECT + record(before, record);
            case Collection<?> all -> OBJECT + all(before, all);
            case Map<?, ?> map -> OBJECT + map(before, map);
            case Optional<?> one ->
                    OBJECT
                            + of(
                                    before instanceof Optional<?> o ? o.orElse(null) : null,
                                    one.orElse(null));
            case String text -> text.equals(before) ? 0 : OBJECT + 2L * text.length();
            default -> 16;
        };
    }

    private static long record(Object before, Record after) {
        boolean alike = before != null && before.getClass() == after.getClass();
        long sum = 0;
        for (Method part : PARTS.get(after.getClass())) {
            sum += of(alike ? value(part, before) : null, value(part, after));
        }
        return sum;
    }

    private static Object value(Method part, Object of) {
        try {
            return part.invoke(of);
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException(e);
        }
    }

    private static long all(Object before, Collection<?> after) {
        Iterator<?> old = before instanceof Collection<?> c ? c.iterator() : null;
        long sum = 8L * after.size();
        for (Object each : after) {
            sum += of(old != null && old.hasNext() ? old.next() : null, each);
        }
        return sum;
    }

    private static long map(Object before, Map<?, ?> after) {
        long sum = 0;
        for (Map.Entry<?, ?> each : after.entrySet()) {
            Object old = before instanceof Map<?, ?> m ? m.get(each.getKey()) : null;
            sum += OBJECT + (Objects.equals(old, each.getValue()) ? 0 : of(old, each.getValue()));
        }
        return sum;
    }
}
