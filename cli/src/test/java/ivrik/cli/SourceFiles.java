package ivrik.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** The source files of all modules. */
final class SourceFiles {
    private static final String PLACE = "src/main/java";

    private SourceFiles() {}

    /** The folder that contains the modules. */
    static Path tree() {
        return Path.of("").toAbsolutePath().getParent();
    }

    static List<Path> all() throws IOException {
        List<Path> all = new ArrayList<>();
        try (Stream<Path> folders = Files.list(tree())) {
            for (Path sources :
                    folders.map(f -> f.resolve(PLACE)).filter(Files::isDirectory).toList()) {
                try (Stream<Path> files = Files.walk(sources)) {
                    files.filter(f -> f.toString().endsWith(".java")).forEach(all::add);
                }
            }
        }
        return all;
    }

    /** The qualified name of the class in a file. */
    static String className(Path file) {
        String path = tree().relativize(file).toString();
        return path.substring(path.indexOf(PLACE) + PLACE.length() + 1, path.lastIndexOf('.'))
                .replace('/', '.');
    }
}
