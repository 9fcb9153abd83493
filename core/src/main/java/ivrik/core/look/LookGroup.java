package ivrik.core.look;

/** Groups of the built-in looks. */
public enum LookGroup {
    SPLIT("Split"),
    LIGHT("Blur and glow"),
    LENS("Lens"),
    FILM("Film and print"),
    SCREEN("Tape and CRT"),
    SIGNAL("Glitch"),
    COLOUR("Colour"),
    TIME("Time"),
    CUTS("Transitions");

    private final String title;

    LookGroup(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
