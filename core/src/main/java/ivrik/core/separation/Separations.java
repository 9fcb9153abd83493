package ivrik.core.separation;

import ivrik.core.UnknownNameException;

import java.util.List;

/** All separations, found by name. A new one is added to this list. */
public final class Separations {
    private static final List<Separation> ALL = List.of(new Rgb());

    private Separations() {}

    public static List<Separation> all() {
        return ALL;
    }

    /**
     * The separation of this name.
     *
     * @throws UnknownNameException if there is none; it lists those there are
     */
    public static Separation named(String id) {
        return UnknownNameException.find("separation", id, ALL, Separation::id);
    }
}
