import com.google.googlejavaformat.java.Formatter;
import com.google.googlejavaformat.java.JavaFormatterOptions;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** The formatter check of the build: {@code Format check|write ROOT}. */
final class Format {
    public static void main(String[] args) throws Exception {
        Formatter formatter = new Formatter(JavaFormatterOptions.builder()
                .style(JavaFormatterOptions.Style.AOSP)
                .formatJavadoc(false)
                .build());
        List<Path> sources;
        try (var files = Files.walk(Path.of(args[1]))) {
            sources = files.filter(f -> f.toString().endsWith(".java"))
                    .filter(f -> f.toString().replace('\\', '/').contains("/src/"))
                    .sorted()
                    .toList();
        }
        int bad = 0;
        for (Path source : sources) {
            String text = Files.readString(source);
            String formatted = formatter.formatSourceAndFixImports(text);
            if (!formatted.equals(text)) {
                bad++;
                if (args[0].equals("write")) {
                    Files.writeString(source, formatted);
                } else {
                    System.err.println("not formatted: " + source);
                }
            }
        }
        if (bad > 0 && !args[0].equals("write")) {
            System.err.println("mvn -N verify -Dformat=write corrects the format");
            System.exit(1);
        }
    }
}
