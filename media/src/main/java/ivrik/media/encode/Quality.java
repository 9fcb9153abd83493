package ivrik.media.encode;

/** How good a compressed movie shall look, in plain words; docs/formats.md has what was measured. */
public enum Quality {
    SMALL("Small file, for a first look"),
    GOOD("Good, for most screens"),
    FINEST("Finest, hard to tell from lossless");

    private final String title;

    Quality(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /** One of three numbers. */
    int of(int small, int good, int finest) {
        return switch (this) {
            case SMALL -> small;
            case GOOD -> good;
            case FINEST -> finest;
        };
    }
}
