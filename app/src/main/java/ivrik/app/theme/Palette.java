package ivrik.app.theme;

import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.paint.Color;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The colours of a scheme by the names the style sheet gives them, for what is drawn. */
public final class Palette {
    public static final String SHEET =
            Palette.class.getResource("/ivrik/app/ivrik.css").toExternalForm();
    private static final Pattern SCHEME = Pattern.compile("\\.(darkroom|proof) \\{([^}]*)}");
    private static final Pattern COLOUR = Pattern.compile("-([a-z-]+): (#[0-9a-f]{6});");
    private static final Map<String, Palette> ALL = read();

    private final String name;
    private final Map<String, Color> colours = new HashMap<>();

    private Palette(String name) {
        this.name = name;
    }

    public static Palette of(boolean darkroom) {
        return ALL.get(darkroom ? "darkroom" : "proof");
    }

    /** A property that holds the scheme in use. */
    public static ObjectProperty<Palette> property() {
        return new SimpleObjectProperty<>(of(true));
    }

    private static Map<String, Palette> read() {
        try (InputStream in = Palette.class.getResourceAsStream("/ivrik/app/ivrik.css")) {
            String css = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            Map<String, Palette> all = new HashMap<>();
            for (Matcher scheme = SCHEME.matcher(css); scheme.find(); ) {
                Palette palette = new Palette(scheme.group(1));
                for (Matcher colour = COLOUR.matcher(scheme.group(2)); colour.find(); ) {
                    palette.colours.put(colour.group(1), Color.web(colour.group(2)));
                }
                all.put(palette.name, palette);
            }
            return all;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The style class of this scheme. */
    public String name() {
        return name;
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
}
