package ivrik.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;

import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.sound.SoundTracks;

import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

@Command(
        name = "info",
        mixinStandardHelpOptions = true,
        description = "Show facts about a footage file.")
final class InfoCommand implements Runnable {
    @Spec private CommandSpec spec;

    @Parameters(paramLabel = "FILE")
    private Path file;

    @Option(names = "--json", description = "Print JSON.")
    private boolean json;

    @Override
    public void run() {
        Map<String, Object> facts = new LinkedHashMap<>();
        try (Footage footage = Footage.open(file, Workers.shared())) {
            facts.put("file", file.toString());
            facts.put("kind", footage.kind().name().toLowerCase(Locale.ROOT));
            facts.put("form", footage.format());
            facts.put("width", footage.size().width());
            facts.put("height", footage.size().height());
            facts.put("depth", footage.depth().name().toLowerCase(Locale.ROOT));
            facts.put("frames", footage.frames());
            facts.put("rate", footage.rate().toString());
            facts.put("sound", footage.hasSound());
            facts.put("colours", footage.colours().text());
            if (footage.isUneven()) {
                facts.put("uneven", true);
            }
            if (!footage.layers().isEmpty()) {
                facts.put("layers", footage.layers());
            }
            List<SoundTracks.Track> tracks = SoundTracks.of(file);
            if (tracks.size() > 1) {
                facts.put("tracks", tracks.stream().map(SoundTracks.Track::description).toList());
            }
            facts.put("notes", footage.notices(file));
        }
        var out = spec.commandLine().getOut();
        if (json) {
            out.println(text(facts));
        } else {
            facts.forEach((name, value) -> print(out, name, value));
        }
    }

    private static void print(PrintWriter out, String name, Object value) {
        if (value instanceof List<?> several) {
            several.forEach(
                    one -> out.printf("%-7s %s%n", name.substring(0, name.length() - 1), one));
        } else {
            out.printf("%-7s %s%n", name, value);
        }
    }

    static String text(Object tree) {
        try {
            return new ObjectMapper().writerWithDefaultPrettyPrinter().writeValueAsString(tree);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }
}
