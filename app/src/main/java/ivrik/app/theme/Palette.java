package ivrik.app.theme;

import ivrik.core.colour.Luma;
import ivrik.core.colour.Transfer;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Ink;

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

/** The colours of a scheme by their names in the style sheet, and the fonts, for drawing. */
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
     * @param textScale text size factor
     */
    public static Palette of(boolean darkroom, double textScale) {
        return new Palette(darkroom ? "darkroom" : "proof", textScale);
    }

    /** Style sheets of the scheme. */
    public List<String> sheets() {
        return List.of(SHAPES, sheet(name));
    }

    /** A property with the present scheme. */
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

    /**
     * A channel's display colour: the scheme's own for common channels, otherwise made readable.
     */
    public Color ink(ChannelKind channel) {
        Color known = colours.get("ink-" + channel.id());
        return known == null ? readable(colourOf(channel.ink())) : known;
    }

    /** An ink as an exact colour. */
    public static Color colourOf(Ink ink) {
        return Color.color(part(ink.red()), part(ink.green()), part(ink.blue()));
    }

    private static double part(float v) {
        return Math.clamp(v, 0, 1);
    }

    /** An ink as a readable colour on a panel. */
    public Color readable(Ink ink) {
        return readable(colourOf(ink));
    }

    /** Moves a colour towards the text colour until its contrast suffices. */
    private Color readable(Color colour) {
        Color background = colour("panel");
        for (double t = 0; t < 1; t += 0.1) {
            Color nearer = colour.interpolate(colour("type"), t);
            if (contrast(nearer, background) >= READABLE) {
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

    /** Font of text. */
    public Font textFont(double size) {
        return Font.font(Fonts.TEXT, size * textScale);
    }

    /** Font of numbers, with equally wide digits. */
    public Font numberFont(double size) {
        return Font.font(Fonts.NUMBERS, size * textScale);
    }
}
