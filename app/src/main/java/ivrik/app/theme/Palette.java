package ivrik.app.theme;

import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The colours of a scheme by the names its style sheet gives them, and its type, for what is drawn. */
public final class Palette {
    private static final Pattern COLOUR = Pattern.compile("-([a-z-]+): (#[0-9a-f]{6});");
    private static final String SHAPES = sheet("ivrik");

    private final String name;
    private final double textScale;
    private final Map<String, Color> colours = new HashMap<>();

    private Palette(String name, double textScale) {
        this.name = name;
        this.textScale = textScale;
        try (InputStream in = Palette.class.getResourceAsStream("/ivrik/app/" + name + ".css")) {
            String css = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            for (Matcher colour = COLOUR.matcher(css); colour.find(); ) {
                colours.put(colour.group(1), Color.web(colour.group(2)));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String sheet(String name) {
        return Palette.class.getResource("/ivrik/app/" + name + ".css").toExternalForm();
    }

    public static Palette of(boolean darkroom) {
        return of(darkroom, 1);
    }

    /**
     * @param textScale how much larger than its own size type is set
     */
    public static Palette of(boolean darkroom, double textScale) {
        return new Palette(darkroom ? "darkroom" : "proof", textScale);
    }

    /** The style sheets of a window in this scheme. */
    public List<String> sheets() {
        return List.of(SHAPES, sheet(name));
    }

    /** A property that holds the scheme in use. */
    public static ObjectProperty<Palette> property() {
        return new SimpleObjectProperty<>(of(true));
    }

    public Color colour(String which) {
        Color colour = colours.get(which);
        if (colour == null) {
            throw new IllegalArgumentException("the style sheet has no colour " + which);
        }
        return colour;
    }

    /** The ink of a lane by its id, such as {@code red}. */
    public Color ink(String lane) {
        return colour("ink-" + lane);
    }

    /** The type of words. */
    public Font words(double size) {
        return Font.font(Fonts.WORDS, size * textScale);
    }

    /** The type of numbers, all digits equally wide. */
    public Font numbers(double size) {
        return Font.font(Fonts.NUMBERS, size * textScale);
    }
}
