package ivrik.cli;

import ivrik.core.look.Dial;
import ivrik.core.look.Look;

import picocli.CommandLine;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** Which look, and how its dials and seeds are set. */
final class LookOptions {
    @Option(
            names = "--look",
            required = true,
            paramLabel = "NAME|FILE",
            description =
                    "A built-in look, one of your own, a look file, a .cube table or a .cc colour"
                            + " decision list.")
    private String look;

    @Option(
            names = "--set",
            paramLabel = "dial=value",
            description = "Sets a dial of the look; may be repeated.")
    private Map<String, String> dials = new LinkedHashMap<>();

    @Option(names = "--seed", description = "Draws all jitter from this seed.")
    private Long seed;

    /** The look as it is set. */
    Look set(CommandLine command) {
        Look set = Inputs.look(look);
        for (var dial : dials.entrySet()) {
            set =
                    set.withDial(
                            dial.getKey(),
                            value(set.dial(dial.getKey()), dial.getValue(), command));
        }
        return seed == null ? set : set.withSeed(seed);
    }

    /** The file that it is read from, if it is one. */
    List<Path> files() {
        return Inputs.file(look).stream().toList();
    }

    /** A number, or the word that stands for one. */
    private static double value(Dial dial, String text, CommandLine command) {
        OptionalDouble word = dial.valueOf(text);
        if (word.isPresent()) {
            return word.getAsDouble();
        }
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            String may =
                    dial.words().isEmpty()
                            ? "a number"
                            : "one of " + String.join(", ", dial.words());
            throw new ParameterException(
                    command,
                    "Invalid value for option '--set': "
                            + dial.name()
                            + " is set to "
                            + may
                            + ", not to '"
                            + text
                            + "'");
        }
    }
}
