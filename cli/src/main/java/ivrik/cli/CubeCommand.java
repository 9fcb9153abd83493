package ivrik.cli;

import ivrik.core.colour.ColourSpace;
import ivrik.core.colour.CubeText;
import ivrik.core.look.Look;
import ivrik.core.render.LookLattice;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.PictureStepPlan;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.SlopeOffsetPower;
import ivrik.media.file.SafeFile;
import ivrik.media.grade.DecisionList;
import ivrik.media.grade.GradeFile;

import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

@Command(
        name = "cube",
        mixinStandardHelpOptions = true,
        description =
                "Write what a look makes of each colour as a lookup table, for use elsewhere. Looks"
                        + " that see neighbours, places or times have none.")
final class CubeCommand implements Runnable {
    private static final List<Integer> SIDES = List.of(17, 33, 65);

    private static final String SLOPE_OFFSET_POWER = new SlopeOffsetPower().description().id();

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
        if (GradeFile.isDecisions(out)) {
            SafeFile.write(out, decisions(set).text(set.name()));
            return;
        }
        LookLattice lattice =
                LookLattice.of(set, points, frame, ColourSpace.SRGB, Workers.shared());
        SafeFile.write(out, CubeText.write(lattice.table(set.shownName())));
    }

    /** Of a look that does slope, offset and power and nothing else. */
    private DecisionList decisions(Look set) {
        LookPlan plan = LookLattice.planned(set, frame);
        List<PictureStepPlan> steps =
                Stream.concat(plan.prepare().stream(), plan.finish().stream()).toList();
        if (plan.treatsLanes()
                || steps.size() != 1
                || !steps.getFirst().treatment().equals(SLOPE_OFFSET_POWER)) {
            throw new ParameterException(
                    spec.commandLine(),
                    "a colour decision list holds one 'Slope, offset, power' and nothing else;"
                            + " write a .cube of "
                            + set.shownName());
        }
        return DecisionList.of(steps.getFirst().settings());
    }
}
