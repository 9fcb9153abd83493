package ivrik.media.encode;

/** Quality of compressed movies; {@code docs/formats.md} lists measurements. */
public enum Quality {
    SMALL("Draft, small file"),
    GOOD("Good"),
    BEST("Best, visually close to lossless");

    private final String title;

    Quality(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /** The name on the command line. */
    @Override
    public String toString() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }

    /** One of three numbers. */
    int of(int small, int good, int finest) {
        return switch (this) {
            case SMALL -> small;
            case GOOD -> good;
            case BEST -> finest;
        };
    }
}
