package ivrik.core.picture;

/** A rectangle of pixels: left and top edge, width and height. */
public record Region(int x, int y, int width, int height) {
    public static Region all(Size size) {
        return new Region(0, 0, size.width(), size.height());
    }

    /** The intersection with a picture of {@code size}, at least one pixel. */
    public Region within(Size size) {
        int left = Math.clamp(x, 0, size.width() - 1);
        int top = Math.clamp(y, 0, size.height() - 1);
        int right = Math.clamp((long) x + width, left + 1, size.width());
        int bottom = Math.clamp((long) y + height, top + 1, size.height());
        return new Region(left, top, right - left, bottom - top);
    }
}
