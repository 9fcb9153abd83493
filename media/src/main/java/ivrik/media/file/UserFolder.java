package ivrik.media.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Folder of this user's settings, logs and unnamed work. */
public final class UserFolder {
    private UserFolder() {}

    /** {@code IVRIK_DATA} if set, else the platform's default; created if missing. */
    public static Path data() {
        Path folder = place();
        try {
            return Files.createDirectories(folder);
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
    }

    private static Path place() {
        String chosen = System.getProperty("ivrik.data", System.getenv("IVRIK_DATA"));
        if (chosen != null && !chosen.isBlank()) {
            return Path.of(chosen);
        }
        Path home = Path.of(System.getProperty("user.home"));
        String os = System.getProperty("os.name").toLowerCase(java.util.Locale.ROOT);
        if (os.contains("win") && System.getenv("APPDATA") != null) {
            return Path.of(System.getenv("APPDATA"), "Ivrik");
        }
        if (os.contains("mac")) {
            return home.resolve("Library/Application Support/Ivrik");
        }
        String xdg = System.getenv("XDG_DATA_HOME");
        return (xdg == null || xdg.isBlank() ? home.resolve(".local/share") : Path.of(xdg))
                .resolve("ivrik");
    }
}
