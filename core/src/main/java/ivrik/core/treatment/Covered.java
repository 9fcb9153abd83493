package ivrik.core.treatment;

import ivrik.core.picture.Size;

/**
 * The part of a lane that nothing from outside the picture has reached, by its edges in pixels of the
 * full-size sequence.
 */
public record Covered(double left, double top, double right, double bottom) {
    /** All of a picture. */
    public static Covered all(Size size) {
        return new Covered(0, 0, size.width(), size.height());
    }

    /** What is left of both. */
    public Covered and(Covered other) {
        return new Covered(
                Math.max(left, other.left),
                Math.max(top, other.top),
                Math.min(right, other.right),
                Math.min(bottom, other.bottom));
    }

    /** What is left when so many pixels are lost along each side. */
    Covered inset(double by, Size size) {
        return new Covered(left + by, top + by, right - by, bottom - by).and(all(size));
    }
}
