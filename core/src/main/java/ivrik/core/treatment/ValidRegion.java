package ivrik.core.treatment;

import ivrik.core.picture.Size;

/**
 * The part of a lane that nothing from outside the picture has reached, by its edges in pixels of the
 * full-size sequence.
 */
public record ValidRegion(double left, double top, double right, double bottom) {
    /** All of a picture. */
    public static ValidRegion all(Size size) {
        return new ValidRegion(0, 0, size.width(), size.height());
    }

    /** What is left of both. */
    public ValidRegion and(ValidRegion other) {
        return new ValidRegion(
                Math.max(left, other.left),
                Math.max(top, other.top),
                Math.min(right, other.right),
                Math.min(bottom, other.bottom));
    }

    /** What is left when so many pixels are lost along each side. */
    ValidRegion inset(double by, Size size) {
        return new ValidRegion(left + by, top + by, right - by, bottom - by).and(all(size));
    }
}
