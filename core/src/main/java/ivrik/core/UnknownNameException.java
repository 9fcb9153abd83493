package ivrik.core;

import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;

/** A separation, treatment, look, dial or similar object has no such name. */
public final class UnknownNameException extends IvrikException {
    private UnknownNameException(String what, String advice) {
        super(what, advice, null);
    }

    public UnknownNameException(String kind, String name, List<String> known) {
        super(
                "no " + kind + " is named '" + name + "'",
                known.isEmpty()
                        ? "no names are available here"
                        : "choose one of: " + String.join(", ", known),
                null);
    }

    /** The exception for a name of an earlier version. */
    public static UnknownNameException renamed(String kind, String former, String present) {
        return new UnknownNameException(
                "the " + kind + " '" + former + "' is now named '" + present + "'",
                "use " + present);
    }

    /**
     * @param kind what is looked up, for the message
     * @return the element of {@code all} whose name is {@code name}
     * @throws UnknownNameException if there is none
     */
    public static <T> T find(String kind, String name, List<T> all, Function<T, String> nameOf) {
        return find(() -> kind, name, all, nameOf);
    }

    /**
     * @param kind what is looked up, for the message; evaluated only on failure
     * @return the element of {@code all} whose name is {@code name}
     * @throws UnknownNameException if there is none
     */
    public static <T> T find(
            Supplier<String> kind, String name, List<T> all, Function<T, String> nameOf) {
        for (T each :
                all) { // a loop instead of a stream: called for every parameter of every frame
            if (nameOf.apply(each).equals(name)) {
                return each;
            }
        }
        throw new UnknownNameException(kind.get(), name, all.stream().map(nameOf).toList());
    }
}
