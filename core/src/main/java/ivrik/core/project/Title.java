package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

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
@RecordBuilder
public record Title(
        String text,
        String family,
        int weight,
        double sizePx,
        double tracking,
        Align align,
        Ink colour)
        implements TitleBuilder.With {
    /** The family that is always there. */
    public static final String SHIPPED = "IBM Plex Sans Cond";

    public static final Title EMPTY = new Title("", SHIPPED, 700, 120, 40, Align.MIDDLE, Ink.WHITE);

    /** How lines of different length stand. */
    public enum Align {
        LEFT,
        MIDDLE,
        RIGHT
    }
}
