package ivrik.app.theme;

import ivrik.core.colour.Luma;
import ivrik.core.colour.Transfer;
import ivrik.core.separation.Ink;
import ivrik.core.separation.LaneKind;

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
    private static final double READABLE = 4.5;
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

    /** A lane's ink: the scheme's own for known lanes, else its colour drawn towards what can be read. */
    public Color ink(LaneKind lane) {
        Color known = colours.get("ink-" + lane.id());
        return known == null ? readable(colourOf(lane.ink())) : known;
    }

    /** An ink as it is. */
    public static Color colourOf(Ink ink) {
        return Color.color(part(ink.red()), part(ink.green()), part(ink.blue()));
    }

    private static double part(float v) {
        return Math.clamp(v, 0, 1);
    }

    /** An ink as it can be read on a panel. */
    public Color readable(Ink ink) {
        return readable(colourOf(ink));
    }

    /** Nearer to the colour of type until it stands out from the ground. */
    private Color readable(Color colour) {
        Color ground = colour("panel");
        for (double t = 0; t < 1; t += 0.1) {
            Color nearer = colour.interpolate(colour("type"), t);
            if (contrast(nearer, ground) >= READABLE) {
                return nearer;
            }
        }
        return colour("type");
    }

    /** The contrast ratio of WCAG 2.2. */
    public static double contrast(Color a, Color b) {
        double la = luminance(a);
        double lb = luminance(b);
        return (Math.max(la, lb) + 0.05) / (Math.min(la, lb) + 0.05);
    }

    private static double luminance(Color c) {
        return Luma.RED * Transfer.SRGB.toLinear(c.getRed())
                + Luma.GREEN * Transfer.SRGB.toLinear(c.getGreen())
                + Luma.BLUE * Transfer.SRGB.toLinear(c.getBlue());
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
