package ivrik.proof;

import ivrik.cli.Ivrik;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/**
 * Reads the files whose names it receives, one per line, like the command line:
 * {@code MediaReader FOLDER STILL}. Prints an empty line for each, or the fault of the refusal.
 */
public final class MediaReader {
    private MediaReader() {}

    public static void main(String[] args) throws Exception {
        Path folder = Path.of(args[0]);
        Path still = Path.of(args[1]);
        BufferedReader asked = new BufferedReader(new InputStreamReader(System.in));
        for (String line = asked.readLine(); line != null; line = asked.readLine()) {
            System.out.println(fault(Path.of(line), still, folder.resolve("out.png")));
        }
    }

    private static String fault(Path file, Path still, Path out) throws Exception {
        String name = file.getFileName().toString();
        List<Object> words;
        if (Files.isDirectory(file)) {
            words = List.of("rejoin", file, "-o", out, "--overwrite");
        } else if (name.endsWith(".cube")) {
            words = List.of("apply", still, "--look", file, "-o", out, "--overwrite");
        } else {
            words =
                    List.of(
                            "apply",
                            file,
                            "--look",
                            "rgb-split",
                            "--frames",
                            "0",
                            "-o",
                            out,
                            "--overwrite");
        }
        StringWriter said = new StringWriter();
        PrintWriter to = new PrintWriter(said, true);
        int exit = Ivrik.run(to, to, words.stream().map(Object::toString).toArray(String[]::new));
        String text = said.toString().strip().replace('\n', ' ');
        if (exit == 0) {
            return Files.exists(out) ? "" : "exit 0, but nothing was written: " + text;
        }
        return text.contains("internal error in Ivrik") || !names(text, file)
                ? "exit " + exit + ", " + text
                : "";
    }

    /** Whether a message names a file, or a file in a folder. */
    private static boolean names(String text, Path file) throws IOException {
        try (var all = Files.walk(file)) {
            return all.anyMatch(each -> text.contains(each.getFileName().toString()));
        }
    }
}
