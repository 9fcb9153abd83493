package ivrik.core.separation;

import java.util.HexFormat;
import java.util.Locale;

/** Display colour of a channel, gamma-encoded, each component in 0..1. */
public record Ink(float red, float green, float blue) {
    public static final Ink RED = new Ink(1, 0, 0);
    public static final Ink GREEN = new Ink(0, 1, 0);
    public static final Ink BLUE = new Ink(0, 0, 1);
    public static final Ink CYAN = new Ink(0, 1, 1);
    public static final Ink MAGENTA = new Ink(1, 0, 1);
    public static final Ink YELLOW = new Ink(1, 1, 0);
    public static final Ink BLACK = new Ink(0, 0, 0);
    public static final Ink WHITE = new Ink(1, 1, 1);

    /** The component 0 (red), 1 (green) or 2 (blue). */
    public float part(int channel) {
        return channel == 0 ? red : channel == 1 ? green : blue;
    }

    /** Six hexadecimal digits, RRGGBB. */
    public String hex() {
        return String.format(Locale.ROOT, "%02x%02x%02x", code(red), code(green), code(blue));
    }

    private static int code(float part) {
        return Math.clamp(Math.round(part * 255), 0, 255);
    }

    /**
     * Parses six hexadecimal digits, RRGGBB.
     *
     * @throws IllegalArgumentException if the text has another form
     */
    public static Ink parse(String hex) {
        if (!hex.matches("[0-9a-fA-F]{6}")) {
            throw new IllegalArgumentException(
                    "expected a colour of six hexadecimal digits such as ff8000, not " + hex);
        }
        int rgb = HexFormat.fromHexDigits(hex);
        return new Ink((rgb >> 16) / 255f, (rgb >> 8 & 255) / 255f, (rgb & 255) / 255f);
    }
}
