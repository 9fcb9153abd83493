package ivrik.core.treatment;

/** What sort of work a treatment is. */
public enum Group {
    MOVES("Moves"),
    BLUR("Blur"),
    DETAIL("Detail"),
    TONE("Tone"),
    GRAIN("Grain and noise"),
    MASK("Mask"),
    WHOLE("Whole picture");

    private final String title;

    Group(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
