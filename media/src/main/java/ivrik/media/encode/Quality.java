package ivrik.media.encode;

/** How good a compressed movie shall look, in plain words. */
public enum Quality {
    SMALL("Small file, for a first look", 0.06, 42, 45),
    GOOD("Good, for most screens", 0.14, 30, 32),
    FINEST("Finest, hard to tell from lossless", 0.4, 16, 18);

    private final String title;

    /** Bits for each pixel of H.264. */
    final double bitsPerPixel;

    /** Constant rate factors: smaller is better. */
    final int vp9Factor;

    final int av1Factor;

    Quality(String title, double bitsPerPixel, int vp9Factor, int av1Factor) {
        this.title = title;
        this.bitsPerPixel = bitsPerPixel;
        this.vp9Factor = vp9Factor;
        this.av1Factor = av1Factor;
    }

    public String title() {
        return title;
    }
}
