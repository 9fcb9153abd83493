package ivrik.core;

import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;

/** A name of a separation, treatment, look, dial or the like that there is not. */
public final class UnknownNameException extends IvrikException {
    public UnknownNameException(String kind, String name, List<String> known) {
        super(
                "there is no " + kind + " named '" + name + "'",
                known.isEmpty()
                        ? "none is offered here"
                        : "choose one of " + String.join(", ", known),
                null);
    }

    /** The one of {@code all} that goes by {@code name}. */
    public static <T> T find(String kind, String name, List<T> all, Function<T, String> nameOf) {
        return find(() -> kind, name, all, nameOf);
    }

    /**
     * The same.
     *
     * @param kind asked for only where there is none
     */
    public static <T> T find(
            Supplier<String> kind, String name, List<T> all, Function<T, String> nameOf) {
        for (T each : all) { // asked for every number of every frame
            if (nameOf.apply(each).equals(name)) {
                return each;
            }
        }
        throw new UnknownNameException(kind.get(), name, all.stream().map(nameOf).toList());
    }
}
