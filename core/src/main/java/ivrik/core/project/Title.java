package ivrik.core.project;

import ivrik.core.separation.Ink;

/**
 * Text as a picture: one or more lines in the middle of their box.
 *
 * @param text lines with line feeds between
 * @param family of the font, one that ships with Ivrik or is installed
 * @param weight 100 to 900; 400 is regular, 700 bold
 * @param sizePx the font's size in pixels of the sequence
 * @param tracking added between letters, in thousandths of the size
 * @param align of the lines to each other
 */
public record Title(
        String text,
        String family,
        int weight,
        double sizePx,
        double tracking,
        Align align,
        Ink colour) {
    /** The family that is always there. */
    public static final String SHIPPED = "IBM Plex Sans Cond";

    public static final Title EMPTY = new Title("", SHIPPED, 700, 120, 40, Align.MIDDLE, Ink.WHITE);

    /** How lines of different length stand. */
    public enum Align {
        LEFT,
        MIDDLE,
        RIGHT
    }

    public Title withText(String t) {
        return new Title(t, family, weight, sizePx, tracking, align, colour);
    }

    public Title withFamily(String f) {
        return new Title(text, f, weight, sizePx, tracking, align, colour);
    }

    public Title withWeight(int w) {
        return new Title(text, family, w, sizePx, tracking, align, colour);
    }

    public Title withSizePx(double s) {
        return new Title(text, family, weight, s, tracking, align, colour);
    }

    public Title withTracking(double t) {
        return new Title(text, family, weight, sizePx, t, align, colour);
    }

    public Title withAlign(Align a) {
        return new Title(text, family, weight, sizePx, tracking, a, colour);
    }

    public Title withColour(Ink c) {
        return new Title(text, family, weight, sizePx, tracking, align, c);
    }
}
