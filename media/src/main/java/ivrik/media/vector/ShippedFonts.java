package ivrik.media.vector;

import ivrik.core.project.Title;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.GraphicsEnvironment;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;

/** Fonts of titles: those that ship with Ivrik, and installed ones. */
public final class ShippedFonts {
    private static final int BOLD = 600;

    private static final Map<String, NavigableMap<Integer, String>> SHIPPED =
            Map.of(
                    Title.SHIPPED,
                    new TreeMap<>(
                            Map.of(
                                    400,
                                    "IBMPlexSansCondensed-Regular",
                                    500,
                                    "IBMPlexSansCondensed-Medium",
                                    600,
                                    "IBMPlexSansCondensed-SemiBold",
                                    700,
                                    "IBMPlexSansCondensed-Bold")),
                    "IBM Plex Mono",
                    new TreeMap<>(Map.of(400, "IBMPlexMono-Regular", 500, "IBMPlexMono-Medium")));

    private static final Map<String, Font> LOADED = new ConcurrentHashMap<>();

    private ShippedFonts() {}

    /** All families, shipped ones first. */
    public static List<String> families() {
        List<String> all = new ArrayList<>(SHIPPED.keySet().stream().sorted().toList());
        for (String installed :
                GraphicsEnvironment.getLocalGraphicsEnvironment().getAvailableFontFamilyNames()) {
            if (!all.contains(installed)) {
                all.add(installed);
            }
        }
        return all;
    }

    /** Whether a family ships with Ivrik. */
    static boolean ships(String family) {
        return SHIPPED.containsKey(family);
    }

    /** Whether a family is available; a shipped one replaces others. */
    public static boolean has(String family) {
        return SHIPPED.containsKey(family) || families().contains(family);
    }

    /** The font of a title, in the nearest weight. */
    static Font of(Title title) {
        Font font;
        if (SHIPPED.containsKey(title.family()) || !has(title.family())) {
            NavigableMap<Integer, String> weights =
                    SHIPPED.getOrDefault(title.family(), SHIPPED.get(Title.SHIPPED));
            font = LOADED.computeIfAbsent(nearest(weights, title.weight()), ShippedFonts::load);
        } else {
            font = new Font(title.family(), title.weight() >= BOLD ? Font.BOLD : Font.PLAIN, 12);
        }
        return font.deriveFont(TitleGraphic.attributes(title));
    }

    private static String nearest(NavigableMap<Integer, String> weights, int weight) {
        return weights.entrySet().stream()
                .min(java.util.Comparator.comparingInt(e -> Math.abs(e.getKey() - weight)))
                .orElseThrow()
                .getValue();
    }

    private static Font load(String name) {
        try (InputStream in =
                ShippedFonts.class.getResourceAsStream("/ivrik/fonts/" + name + ".ttf")) {
            return Font.createFont(Font.TRUETYPE_FONT, in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (FontFormatException e) {
            throw new IllegalStateException(e);
        }
    }
}
