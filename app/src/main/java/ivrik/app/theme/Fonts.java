package ivrik.app.theme;

import javafx.scene.text.Font;

import java.io.InputStream;
import java.util.List;

/** Font families that ship with Ivrik. */
public final class Fonts {
    public static final String TEXT = "IBM Plex Sans Cond";
    public static final String NUMBERS = "IBM Plex Mono";
    private static final List<String> FILES =
            List.of(
                    "IBMPlexSansCondensed-Regular",
                    "IBMPlexSansCondensed-Medium",
                    "IBMPlexSansCondensed-SemiBold",
                    "IBMPlexSansCondensed-Bold",
                    "IBMPlexMono-Regular",
                    "IBMPlexMono-Medium");

    private Fonts() {}

    public static void load() {
        for (String file : FILES) {
            InputStream in = Fonts.class.getResourceAsStream("/ivrik/fonts/" + file + ".ttf");
            if (Font.loadFont(in, 12) == null) {
                throw new IllegalStateException("the font " + file + " could not be loaded");
            }
        }
    }
}
