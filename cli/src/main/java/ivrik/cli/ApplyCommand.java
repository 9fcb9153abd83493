package ivrik.cli;

import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.media.decode.Import;

import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;

@Command(
        name = "apply",
        mixinStandardHelpOptions = true,
        description = "Do a look to a still, movie or numbered sequence.")
final class ApplyCommand implements Runnable {
    @Spec private CommandSpec spec;

    @Parameters(
            paramLabel = "INPUT",
            description = "A still, a movie, a vector graphic, or shot-%%04d.png.")
    private Path input;

    @Option(
            names = "--look",
            required = true,
            paramLabel = "NAME|FILE",
            description = "A built-in look or a look file.")
    private String look;

    @Option(
            names = "--set",
            paramLabel = "dial=value",
            description = "Sets a dial of the look; may be repeated.")
    private Map<String, String> dials = new LinkedHashMap<>();

    @Option(names = "--seed", description = "Draws all jitter from this seed.")
    private Long seed;

    @Mixin private InputOptions reading;

    @Mixin private OutputOptions output;

    @Override
    public void run() {
        Look set = Inputs.look(look);
        for (var dial : dials.entrySet()) {
            set = set.withDial(dial.getKey(), value(set.dial(dial.getKey()), dial.getValue()));
        }
        if (seed != null) {
            set = set.withSeed(seed);
        }
        output.export(
                Import.project(reading.source(input), set),
                Inputs.file(look).stream().toList(),
                1,
                spec.commandLine().getErr());
    }

    /** A number, or the word that stands for one. */
    private double value(Dial dial, String text) {
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
                    spec.commandLine(),
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
