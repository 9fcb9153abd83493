package ivrik.cli;

import ivrik.core.look.Look;
import ivrik.media.grade.GradeFile;

import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

import java.nio.file.Path;
import java.util.List;

@Command(
        name = "cube",
        mixinStandardHelpOptions = true,
        description =
                "Export a look as a lookup table. Looks that depend on neighbouring pixels,"
                        + " position or time cannot be exported.")
final class CubeCommand implements Runnable {
    private static final List<Integer> SIDES = List.of(17, 33, 65);

    @Spec private CommandSpec spec;

    @Mixin private LookOptions look;

    @Option(
            names = "--points",
            defaultValue = "33",
            paramLabel = "N",
            description = "Grid points per axis: 17, 33 or 65. Default: ${DEFAULT-VALUE}.")
    private int points;

    @Option(
            names = "--frame",
            defaultValue = "0",
            paramLabel = "N",
            description = "Frame at which the look is evaluated, counted from 0.")
    private long frame;

    @Option(
            names = {"-o", "--out"},
            required = true,
            paramLabel = "FILE",
            description = "FILE.cube, or FILE.cc for a single slope, offset and power.")
    private Path out;

    @Mixin private OverwriteOption overwriting;

    @Override
    public void run() {
        if (!SIDES.contains(points)) {
            throw new ParameterException(
                    spec.commandLine(),
                    "Invalid value for option '--points': use 17, 33 or 65, not " + points);
        }
        if (frame < 0) {
            throw new ParameterException(
                    spec.commandLine(),
                    "Invalid value for option '--frame': frames start at 0, not " + frame);
        }
        if (GradeFile.isDecisions(out) && !out.toString().endsWith(".cc")) {
            throw new ParameterException(
                    spec.commandLine(), "a colour decision list needs the extension .cc");
        }
        overwriting.check(List.of(out), look.files());
        Look set = look.set(spec.commandLine());
        if (GradeFile.isDecisions(out) && GradeFile.decisions(set, frame).isEmpty()) {
            throw new ParameterException(
                    spec.commandLine(),
                    GradeFile.NO_DECISIONS + "; write a .cube of " + set.displayName());
        }
        GradeFile.write(set, out, points, frame);
    }
}
