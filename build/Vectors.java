import java.io.IOException;
import java.io.OutputStream;
import java.net.URI;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDateTime;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * Java's vectors without their module: {@code java build/Vectors.java FOLDER} writes {@code vectors.jar}, the module's
 * classes of the Java that runs this, and {@code vectors.args}, what Java must be told when that jar is on the class path
 * it starts from ({@code -Xbootclasspath/a}).
 *
 * <p>Why: the module is an incubating one, and Java does not keep classes linked between runs (JEP 483) while one of
 * those is among its modules. Every lambda is then made anew at each start.
 */
public final class Vectors {
    private static final String MODULE = "jdk.incubator.vector";

    /** What Java switches on by itself where the module is resolved. */
    private static final List<String> SWITCHES =
            List.of(
                    "-XX:+UnlockExperimentalVMOptions",
                    "-XX:+UnlockDiagnosticVMOptions",
                    "-XX:+EnableVectorSupport",
                    "-XX:+EnableVectorReboxing",
                    "-XX:+EnableVectorAggressiveReboxing",
                    "-XX:+UseVectorStubs");

    private Vectors() {}

    public static void main(String[] words) throws IOException {
        Path folder = Path.of(words[0]);
        Path jar = folder.resolve("vectors.jar.new");
        try (OutputStream out = Files.newOutputStream(jar)) {
            write(out);
        }
        Files.write(folder.resolve("vectors.args"), Stream.concat(SWITCHES.stream(), exports()).toList());
        Files.move(jar, folder.resolve("vectors.jar"), StandardCopyOption.REPLACE_EXISTING);
    }

    /** The module's classes, in an order and with dates that are always the same. */
    private static void write(OutputStream out) throws IOException {
        Path root = FileSystems.getFileSystem(URI.create("jrt:/")).getPath("modules", MODULE);
        try (ZipOutputStream zip = new ZipOutputStream(out);
                Stream<Path> files = Files.walk(root)) {
            for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
                if (!file.endsWith("module-info.class")) {
                    ZipEntry entry = new ZipEntry(root.relativize(file).toString());
                    entry.setTimeLocal(LocalDateTime.of(1980, 1, 1, 0, 0));
                    zip.putNextEntry(entry);
                    Files.copy(file, zip);
                }
            }
        }
    }

    /** What the base module shows to that module only, shown to classes of no module. */
    private static Stream<String> exports() {
        return Object.class.getModule().getDescriptor().exports().stream()
                .filter(e -> e.targets().contains(MODULE))
                .map(e -> "--add-exports=java.base/" + e.source() + "=ALL-UNNAMED")
                .sorted();
    }
}
