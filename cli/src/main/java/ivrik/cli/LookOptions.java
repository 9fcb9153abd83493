package ivrik.cli;

import ivrik.core.look.Dial;
import ivrik.core.look.FormerNames;
import ivrik.core.look.Look;

import picocli.CommandLine;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** Selects a look and sets its dials and seeds. */
final class LookOptions {
    @Option(
            names = "--look",
            required = true,
            paramLabel = "NAME|FILE",
            description =
                    "A built-in look, one of your looks, a look file, a .cube table or a .cc"
                            + " colour decision list.")
    private String look;

    @Option(
            names = "--set",
            paramLabel = "dial=value",
            description = "Sets a dial of the look; may be repeated.")
    private Map<String, String> dials = new LinkedHashMap<>();

    @Option(names = "--seed", description = "Seed of all jitter and noise.")
    private Long seed;

    /** The look with its settings. */
    Look set(CommandLine command) {
        Look set = InputFiles.look(look);
        for (var dial : dials.entrySet()) {
            set =
                    set.withDial(
                            dial.getKey(),
                            value(set.dial(dial.getKey()), dial.getValue(), command));
        }
        return seed == null ? set : set.withSeed(seed);
    }

    /** The look's file, if it has one. */
    List<Path> files() {
        return InputFiles.file(look).stream().toList();
    }

    /** A number, or the value of a choice. */
    private static double value(Dial dial, String text, CommandLine command) {
        OptionalDouble choice = dial.valueOf(text);
        if (choice.isPresent()) {
            return choice.getAsDouble();
        }
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            String present = FormerNames.presentDialChoice(text);
            throw new ParameterException(
                    command,
                    "Invalid value for option '--set': "
                            + dial.name()
                            + (dial.choices().contains(present)
                                    ? " '" + text + "' is now named '" + present + "'"
                                    : " is set to " + allowed(dial) + ", not to '" + text + "'"));
        }
    }

    private static String allowed(Dial dial) {
        return dial.choices().isEmpty()
                ? "a number"
                : "one of " + String.join(", ", dial.choices());
    }
}
