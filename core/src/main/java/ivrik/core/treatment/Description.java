package ivrik.core.treatment;

import ivrik.core.UnknownNameException;

import java.util.List;

/**
 * All that the window, the files and the command line need to know of a treatment; its column, its
 * controls, its file form and its help follow from this.
 *
 * @param id the name in files, such as {@code shift}
 * @param title the name in the window
 * @param help what it does to the picture, in one sentence
 * @param moves whether it is a movement: a held lane takes no part in it
 */
public record Description(
        String id, String title, String help, boolean moves, List<Parameter> parameters) {
    public Description {
        parameters = List.copyOf(parameters);
    }

    public Parameter parameter(String name) {
        return UnknownNameException.find("parameter of " + id, name, parameters, Parameter::name);
    }
}
