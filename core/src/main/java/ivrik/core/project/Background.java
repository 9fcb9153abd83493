package ivrik.core.project;

import ivrik.core.separation.Ink;

import java.util.Optional;

/**
 * Colour below all layers.
 *
 * @param colour gamma-encoded; empty for a transparent background
 */
public record Background(Optional<Ink> colour) {
    public static final Background TRANSPARENT = new Background(Optional.empty());

    /** Black, for additive colour. */
    public static final Background BLACK = of(Ink.BLACK);

    /** Paper white, for subtractive colour. */
    public static final Background PAPER = of(Ink.WHITE);

    public static Background of(Ink colour) {
        return new Background(Optional.of(colour));
    }

    /**
     * The id in files: {@code transparent}, {@code black}, {@code paper}, or six hexadecimal digits.
     */
    public String id() {
        return equals(TRANSPARENT)
                ? "transparent"
                : equals(BLACK) ? "black" : equals(PAPER) ? "paper" : colour.orElseThrow().hex();
    }

    /**
     * The background of an id.
     *
     * @throws IllegalArgumentException if there is none
     */
    public static Background named(String id) {
        return switch (id) {
            case "transparent" -> TRANSPARENT;
            case "black" -> BLACK;
            case "paper" -> PAPER;
            default -> {
                if (!id.matches("[0-9a-fA-F]{6}")) {
                    throw new IllegalArgumentException(
                            "unknown background '"
                                    + id
                                    + "'; use transparent, black, paper or six hexadecimal digits"
                                    + " such as ff8000");
                }
                yield of(Ink.parse(id));
            }
        };
    }
}
