package ivrik.core.treatment;

import java.util.List;

/**
 * Things of which a lane has as many as are put there, such as pins. Each has the same parameters;
 * those of thing 3 of the series {@code pin} are named {@code pin.3.x} and so on.
 */
public record Series(String name, List<Parameter> parameters) {
    public Series {
        parameters = List.copyOf(parameters);
    }

    public Series(String name, Parameter... parameters) {
        this(name, List.of(parameters));
    }

    /** The name of a parameter of one of them. */
    public String address(int number, String parameter) {
        return name + "." + number + "." + parameter;
    }
}
