package ivrik.core.treatment;

/** Groups of treatments. */
public enum TreatmentGroup {
    MOVES("Geometry"),
    BLUR("Blur"),
    DETAIL("Sharpen and filter"),
    TONE("Tone"),
    GRAIN("Grain and noise"),
    MASK("Screens"),
    WHOLE("Whole picture");

    private final String title;

    TreatmentGroup(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
