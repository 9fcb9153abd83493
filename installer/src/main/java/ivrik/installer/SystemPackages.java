package ivrik.installer;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Packages that jpackage builds from an image: {@code msi} and {@code exe} for Windows, {@code dmg} and
 * {@code pkg} for macOS, {@code rpm}. Written for those systems, and not yet tried on them.
 */
final class SystemPackages {
    private static final String ASSOCIATION =
            """
            extension=ivrik
            mime-type=application/x-ivrik-project
            description=Ivrik project
            """;

    private SystemPackages() {}

    static Path make(Image image, String type) throws IOException {
        Path work = image.folder().getParent();
        Path made = Files.createDirectories(work.resolve(type));
        Path association = Files.writeString(work.resolve("ivrik.properties"), ASSOCIATION);
        List<String> arguments =
                new ArrayList<>(
                        List.of(
                                "--type", type,
                                "--name", "ivrik",
                                "--app-version", image.version(),
                                "--vendor", "Ivrik",
                                "--license-file", image.home().resolve("LICENSE").toString(),
                                "--app-image", image.folder().toString(),
                                "--file-associations", association.toString(),
                                "--dest", made.toString()));
        if (type.equals("msi") || type.equals("exe")) {
            arguments.addAll(List.of("--win-menu", "--win-shortcut", "--win-per-user-install"));
        }
        Tool.run("jpackage", arguments);
        return made;
    }
}
