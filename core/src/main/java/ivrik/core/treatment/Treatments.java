package ivrik.core.treatment;

import ivrik.core.UnknownNameException;

import java.util.List;

/** All treatments, found by name. A new one is added to this list. */
public final class Treatments {
    private static final List<Treatment> ALL = List.of(new Shift());

    private Treatments() {}

    public static List<Treatment> all() {
        return ALL;
    }

    /**
     * The treatment of this name.
     *
     * @throws UnknownNameException if there is none; it lists those there are
     */
    public static Treatment named(String id) {
        return UnknownNameException.find("treatment", id, ALL, t -> t.description().id());
    }
}
