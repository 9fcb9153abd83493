package ivrik.media.vector;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.GraphicsEnvironment;
import java.io.IOException;
import java.nio.file.FileVisitOption;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** Font files: installed ones by family, and those beside a project. */
public final class FontFiles {
    /** Font folder beside an extracted project. */
    public static final String FOLDER = "fonts";

    private static final Logger LOG = LoggerFactory.getLogger(FontFiles.class);

    /** Largest depth of nested folders. */
    private static final int DEEPEST = 6;

    private FontFiles() {}

    /**
     * Files of an installed family, by name; empty for fonts that ship with Ivrik or are missing.
     */
    public static List<Path> of(String family) {
        return ShippedFonts.ships(family) ? List.of() : of(family, installed());
    }

    /** Files of a family in some folders, recursively. */
    static List<Path> of(String family, List<Path> folders) {
        List<Path> found = new ArrayList<>();
        for (Path folder : folders) {
            for (Path file : in(folder)) {
                if (font(file).filter(f -> f.getFamily(Locale.ROOT).equals(family)).isPresent()) {
                    found.add(file);
                }
            }
        }
        found.sort(null);
        return found;
    }

    /** Font folders of all platforms; some do not exist. */
    private static List<Path> installed() {
        Path home = Path.of(System.getProperty("user.home"));
        String windows = System.getenv().getOrDefault("WINDIR", "C:\\Windows");
        return Stream.concat(
                        Stream.of(
                                        "/usr/share/fonts",
                                        "/usr/local/share/fonts",
                                        "/Library/Fonts",
                                        "/System/Library/Fonts")
                                .map(Path::of),
                        Stream.of(
                                home.resolve(".fonts"),
                                home.resolve(".local/share/fonts"),
                                home.resolve("Library/Fonts"),
                                home.resolve("AppData/Local/Microsoft/Windows/Fonts"),
                                Path.of(windows, "Fonts")))
                .filter(Files::isDirectory)
                .toList();
    }

    private static List<Path> in(Path folder) {
        try (Stream<Path> files = Files.walk(folder, DEEPEST, FileVisitOption.FOLLOW_LINKS)) {
            return files.filter(
                            f -> f.toString().toLowerCase(Locale.ROOT).matches(".*\\.(ttf|otf)"))
                    .sorted()
                    .toList();
        } catch (IOException | java.io.UncheckedIOException e) {
            LOG.warn("the fonts in {} cannot be read", folder, e);
            return List.of();
        }
    }

    private static Optional<Font> font(Path file) {
        try {
            return Optional.of(Font.createFont(Font.TRUETYPE_FONT, file.toFile()));
        } catch (IOException | FontFormatException e) {
            LOG.info("the font {} cannot be read: {}", file, e.getMessage());
            return Optional.empty();
        }
    }

    /** Registers the fonts in a folder for this process, if it exists. */
    public static void learn(Path folder) {
        if (Files.isDirectory(folder)) {
            GraphicsEnvironment here = GraphicsEnvironment.getLocalGraphicsEnvironment();
            in(folder).forEach(file -> font(file).ifPresent(here::registerFont));
        }
    }
}
