package ivrik.core;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;

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
        return all.stream()
                .filter(each -> nameOf.apply(each).equals(name))
                .findFirst()
                .orElseThrow(
                        () ->
                                new UnknownNameException(
                                        kind,
                                        name,
                                        all.stream().map(nameOf).collect(Collectors.toList())));
    }
}
