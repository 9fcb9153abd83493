package ivrik.installer;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Locale;

/**
 * {@code Package HOME [--type app|deb|rpm|msi|exe|dmg|pkg]}: makes an application image of a built tree in
 * {@code HOME/target/package}, and a system package from the image.
 */
public final class Package {
    private Package() {}

    /** Operating systems as distinguished by jpackage. */
    enum System {
        LINUX,
        WINDOWS,
        MACOS;

        static System here() {
            String name = java.lang.System.getProperty("os.name").toLowerCase(Locale.ROOT);
            return name.contains("win") ? WINDOWS : name.contains("mac") ? MACOS : LINUX;
        }
    }

    public static void main(String[] args) throws IOException, InterruptedException {
        Path home = Path.of(args[0]);
        String type = "app";
        if (args.length > 1) {
            if (args.length != 3 || !args[1].equals("--type")) {
                throw new IllegalArgumentException("usage: package [--type app|deb|...]");
            }
            type = args[2];
        }
        Image image = Image.make(home, System.here());
        Path made =
                switch (type) {
                    case "app" -> image.folder();
                    case "deb" -> Debian.make(image);
                    default -> SystemPackages.make(image, type);
                };
        java.lang.System.out.printf("%s, %.1f MB%n", made, Trees.bytes(made) / 1e6);
    }
}
