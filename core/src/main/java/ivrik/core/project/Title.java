package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.separation.Ink;

/**
 * Text as a picture: lines centred in their box.
 *
 * @param text lines separated by line feeds
 * @param family font family, shipped with Ivrik or installed
 * @param weight 100 to 900; 400 is regular, 700 bold
 * @param sizePx font size in pixels of the sequence
 * @param tracking added between letters, in thousandths of the size
 * @param align alignment of the lines
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
    /** A family that ships with Ivrik. */
    public static final String SHIPPED = "IBM Plex Sans Cond";

    public static final Title EMPTY = new Title("", SHIPPED, 700, 120, 40, Align.CENTRE, Ink.WHITE);

    /** Alignment of lines of different length. */
    public enum Align {
        LEFT,
        CENTRE,
        RIGHT
    }
}
