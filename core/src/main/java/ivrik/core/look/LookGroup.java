package ivrik.core.look;

/** What people come to a built-in look for. */
public enum LookGroup {
    SPLIT("Split"),
    LIGHT("Blur and light"),
    LENS("Lens"),
    FILM("Film and print"),
    SCREEN("Tape and screens"),
    SIGNAL("Broken signal"),
    COLOUR("Colour"),
    TIME("Time"),
    CUTS("From shot to shot");

    private final String title;

    LookGroup(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
