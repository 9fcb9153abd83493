package ivrik.core.picture;

/** Width and height in pixels, each at least 1. */
public record Size(int width, int height) {
    public Size {
        if (width < 1 || height < 1) {
            throw new IllegalArgumentException(
                    "a size is at least 1x1, not " + width + "x" + height);
        }
    }

    /** This size multiplied by {@code scale}, rounded to the nearest pixel, at least 1. */
    public Size scaled(double scale) {
        return scale == 1
                ? this
                : new Size(
                        Math.max(1, (int) Math.rint(width * scale)),
                        Math.max(1, (int) Math.rint(height * scale)));
    }

    /** The largest size of the same aspect ratio that fits into {@code frame}. */
    public Size fitInto(Size frame) {
        double scale = Math.min((double) frame.width / width, (double) frame.height / height);
        return new Size(
                Math.clamp(Math.round(width * scale), 1, frame.width),
                Math.clamp(Math.round(height * scale), 1, frame.height));
    }

    public long pixels() {
        return (long) width * height;
    }

    @Override
    public String toString() {
        return width + "x" + height;
    }
}
