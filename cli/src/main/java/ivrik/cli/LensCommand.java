package ivrik.cli;

import ivrik.core.json.LookJson;
import ivrik.core.look.Look;
import ivrik.core.look.MeasuredLens;
import ivrik.core.measure.LensMatch;
import ivrik.core.threads.Workers;
import ivrik.media.UnreadableMediaException;
import ivrik.media.decode.Footage;
import ivrik.media.file.SafeFile;

import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.nio.file.Path;
import java.util.List;

@Command(
        name = "lens",
        mixinStandardHelpOptions = true,
        description =
                "Measure lateral chromatic aberration: the displacement of red and blue from"
                        + " green. -o writes a look that reproduces it, or with --correct one that"
                        + " corrects it.")
final class LensCommand implements Runnable {
    private static final double PER_CENT = 100;

    @Spec private CommandSpec spec;

    @Parameters(paramLabel = "INPUT")
    private Path input;

    @Option(
            names = "--frame",
            defaultValue = "0",
            paramLabel = "N",
            description = "Frame number, counted from 0.")
    private long frame;

    @Option(names = "--json", description = "Print JSON, with every measured block.")
    private boolean json;

    @Option(names = "--correct", description = "Write a look that corrects the aberration.")
    private boolean off;

    @Option(
            names = {"-o", "--out"},
            paramLabel = "LOOK.look.json")
    private Path out;

    @Mixin private InputOptions reading;

    @Mixin private OverwriteOption overwriting;

    @Override
    public void run() {
        if (out != null) {
            overwriting.check(List.of(out), List.of(input));
        }
        Workers workers = Workers.shared();
        LensMatch.Channels lens;
        try (Footage footage = Footage.open(input, reading.reading(), workers)) {
            lens =
                    LensMatch.of(footage.frame(frame, footage.size()).colour(), workers)
                            .orElseThrow(this::tooLittle);
        }
        if (json) {
            spec.commandLine().getOut().println(InfoCommand.text(lens));
        } else {
            say("red", lens.red());
            say("blue", lens.blue());
        }
        if (out != null) {
            SafeFile.write(out, LookJson.write(look(lens)));
        }
    }

    private UnreadableMediaException tooLittle() {
        return new UnreadableMediaException(
                "frame "
                        + frame
                        + " of "
                        + input.getFileName()
                        + " has too little detail to measure the lens",
                "choose a --frame with edges near the corners");
    }

    private void say(String channel, LensMatch.Fit fit) {
        spec.commandLine()
                .getOut()
                .printf(
                        java.util.Locale.ROOT,
                        "%-5s k0 %+.4f %%  k1 %+.4f %%  k2 %+.4f %%  at the corner %+.2f px,"
                                + " \u00b1 %.2f px; %d blocks%n",
                        channel,
                        PER_CENT * fit.k0(),
                        PER_CENT * fit.k1(),
                        PER_CENT * fit.k2(),
                        fit.cornerPx(),
                        2 * fit.surePx(),
                        fit.points().size());
    }

    private Look look(LensMatch.Channels lens) {
        String picture = input.getFileName() + ", frame " + frame;
        return off ? MeasuredLens.off(lens, picture) : MeasuredLens.on(lens, picture);
    }
}
