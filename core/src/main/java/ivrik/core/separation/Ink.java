package ivrik.core.separation;

/** The colour a lane paints with, as delivered: each part 0..1. */
public record Ink(float red, float green, float blue) {
    public static final Ink RED = new Ink(1, 0, 0);
    public static final Ink GREEN = new Ink(0, 1, 0);
    public static final Ink BLUE = new Ink(0, 0, 1);

    /** The part it paints of channel 0 (red), 1 (green) or 2 (blue). */
    public float part(int channel) {
        return channel == 0 ? red : channel == 1 ? green : blue;
    }
}
