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
                "Write what a look makes of each colour as a lookup table, for use elsewhere. Looks"
                        + " that see neighbours, places or times have none.")
final class CubeCommand implements Runnable {
    private static final List<Integer> SIDES = List.of(17, 33, 65);

    @Spec private CommandSpec spec;

    @Mixin private LookOptions look;

    @Option(
            names = "--points",
            defaultValue = "33",
            paramLabel = "N",
            description = "Points along each side: 17, 33 or 65; ${DEFAULT-VALUE} if left out.")
    private int points;

    @Option(
            names = "--frame",
            defaultValue = "0",
            paramLabel = "N",
            description = "At which frame of the look, from 0.")
    private long frame;

    @Option(
            names = {"-o", "--out"},
            required = true,
            paramLabel = "FILE",
            description = "FILE.cube; or FILE.cc, of one slope, offset and power.")
    private Path out;

    @Mixin private Overwriting overwriting;

    @Override
    public void run() {
        if (!SIDES.contains(points)) {
            throw new ParameterException(
                    spec.commandLine(),
                    "Invalid value for option '--points': it is 17, 33 or 65, not " + points);
        }
        if (frame < 0) {
            throw new ParameterException(
                    spec.commandLine(),
                    "Invalid value for option '--frame': frames are counted from 0, not " + frame);
        }
        if (GradeFile.isDecisions(out) && !out.toString().endsWith(".cc")) {
            throw new ParameterException(
                    spec.commandLine(), "a colour decision list is written as FILE.cc");
        }
        overwriting.check(List.of(out), look.files());
        Look set = look.set(spec.commandLine());
        if (GradeFile.isDecisions(out) && GradeFile.decisions(set, frame).isEmpty()) {
            throw new ParameterException(
                    spec.commandLine(),
                    GradeFile.NO_DECISIONS + "; write a .cube of " + set.shownName());
        }
        GradeFile.write(set, out, points, frame);
    }
}
