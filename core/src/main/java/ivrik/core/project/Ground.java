package ivrik.core.project;

import ivrik.core.separation.Ink;

import java.util.Optional;

/**
 * What lies beneath all layers.
 *
 * @param colour as delivered; empty for nothing: the picture leaves with alpha where no layer covers it
 */
public record Ground(Optional<Ink> colour) {
    public static final Ground NOTHING = new Ground(Optional.empty());

    /** Black, on which light adds. */
    public static final Ground BLACK = of(Ink.BLACK);

    /** Paper white, on which ink takes away. */
    public static final Ground PAPER = of(Ink.WHITE);

    public static Ground of(Ink colour) {
        return new Ground(Optional.of(colour));
    }

    /** As it is written: {@code nothing}, {@code black}, {@code paper}, or a colour's six digits. */
    public String id() {
        return equals(NOTHING)
                ? "nothing"
                : equals(BLACK) ? "black" : equals(PAPER) ? "paper" : colour.orElseThrow().hex();
    }

    /**
     * The ground of an id.
     *
     * @throws IllegalArgumentException if there is none
     */
    public static Ground named(String id) {
        return switch (id) {
            case "nothing" -> NOTHING;
            case "black" -> BLACK;
            case "paper" -> PAPER;
            default -> {
                if (!id.matches("[0-9a-fA-F]{6}")) {
                    throw new IllegalArgumentException(
                            "there is no ground '"
                                    + id
                                    + "'; it is nothing, black, paper, or six hexadecimal digits"
                                    + " such as ff8000");
                }
                yield of(Ink.parse(id));
            }
        };
    }
}
