package ivrik.core.treatment;

import java.util.List;

/**
 * List items of a channel, such as pins. All items have the same parameters; those of item 3 of the series
 * {@code pin} are named {@code pin.3.x} and so on.
 */
public record Series(String name, List<Parameter> parameters) {
    public Series {
        parameters = List.copyOf(parameters);
    }

    public Series(String name, Parameter... parameters) {
        this(name, List.of(parameters));
    }

    /** The full name of an item's parameter. */
    public String address(int number, String parameter) {
        return name + "." + number + "." + parameter;
    }
}
