package ivrik.core.treatment;

import ivrik.core.picture.Size;

/**
 * The part of a channel that nothing from outside the picture has reached, by its edges in pixels of the
 * full-size sequence.
 */
public record ValidRegion(double left, double top, double right, double bottom) {
    /** The whole picture. */
    public static ValidRegion all(Size size) {
        return new ValidRegion(0, 0, size.width(), size.height());
    }

    /** The intersection. */
    public ValidRegion and(ValidRegion other) {
        return new ValidRegion(
                Math.max(left, other.left),
                Math.max(top, other.top),
                Math.min(right, other.right),
                Math.min(bottom, other.bottom));
    }

    /** The region reduced by some pixels along each side of the picture. */
    ValidRegion inset(double by, Size size) {
        return new ValidRegion(left + by, top + by, right - by, bottom - by).and(all(size));
    }
}
