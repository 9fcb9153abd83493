package ivrik.media.grade;

import ivrik.core.colour.ColourSpace;
import ivrik.core.colour.ColourTable;
import ivrik.core.colour.CubeFormat;
import ivrik.core.look.Look;
import ivrik.core.look.PortableLook;
import ivrik.core.motion.Value;
import ivrik.core.render.LookLattice;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.PictureStepPlan;
import ivrik.core.separation.Rgb;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.LookupTable;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.SlopeOffsetPower;
import ivrik.core.treatment.Treatment;
import ivrik.media.UnwritableTargetException;
import ivrik.media.decode.Import;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.SafeFile;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Grade files: {@code .cube} tables, and {@code .cc}, {@code .ccc}, {@code .cdl} decision lists.
 */
public final class GradeFile {
    private static final String TABLE = ".cube";
    private static final String SLOPE_OFFSET_POWER = new SlopeOffsetPower().description().id();

    /** Reason why a look is not a decision list. */
    public static final String NO_DECISIONS =
            "a colour decision list can only hold one 'Slope, offset, power' treatment";

    private static final List<String> DECISIONS = List.of(".cc", ".ccc", ".cdl");

    private GradeFile() {}

    /** Whether a file has the extension of one of these. */
    public static boolean isGrade(Path file) {
        return isTable(file) || isDecisions(file);
    }

    public static boolean isTable(Path file) {
        return ending(file).equals(TABLE);
    }

    public static boolean isDecisions(Path file) {
        return DECISIONS.contains(ending(file));
    }

    private static String ending(Path file) {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        return name.contains(".") ? name.substring(name.lastIndexOf('.')) : "";
    }

    /**
     * A look with the grade of a file.
     *
     * @throws ivrik.core.IvrikException if the file is missing or damaged; the message says where
     */
    public static Look look(Path file) {
        String title = Import.name(file);
        Look rest =
                Look.atRest(PortableLook.name(title), new Rgb(), treatment(file)).withTitle(title);
        if (isDecisions(file)) {
            return rest.withSettings(0, 0, DecisionList.read(file)::in);
        }
        ColourTable table = table(file);
        return rest.withStep(rest.steps().getFirst().id(), s -> s.withOwnTable(table))
                .withSettings(0, 0, a -> a.with(Parameter.AMOUNT, Value.of(100)));
    }

    private static Treatment treatment(Path file) {
        return isTable(file) ? new LookupTable() : new SlopeOffsetPower();
    }

    /** The decision list of a look at a frame; empty if the look has any other effect. */
    public static Optional<DecisionList> decisions(Look look, long frame) {
        LookPlan plan = LookLattice.planned(look, frame);
        List<PictureStepPlan> steps =
                Stream.concat(plan.prepare().stream(), plan.finish().stream()).toList();
        return plan.treatsChannels()
                        || steps.size() != 1
                        || !steps.getFirst().treatment().equals(SLOPE_OFFSET_POWER)
                ? Optional.empty()
                : Optional.of(DecisionList.of(steps.getFirst().settings()));
    }

    /**
     * Writes the effect of a look on colours at a frame: a table, or a decision list by the file's extension.
     *
     * @param points of a table along each side
     * @throws ivrik.core.IvrikException if the effect depends on more than the colour, or a decision list
     *     cannot represent it
     */
    public static void write(Look look, Path file, int points, long frame) {
        if (!isDecisions(file)) {
            LookLattice lattice =
                    LookLattice.of(look, points, frame, ColourSpace.SRGB, Workers.shared());
            SafeFile.write(file, CubeFormat.write(lattice.table(look.displayName())));
            return;
        }
        DecisionList list =
                decisions(look, frame)
                        .orElseThrow(
                                () ->
                                        new UnwritableTargetException(
                                                NO_DECISIONS,
                                                "write a .cube of " + look.displayName(),
                                                null));
        SafeFile.write(file, list.text(look.name()));
    }

    /**
     * The table in a file.
     *
     * @throws ivrik.core.colour.DamagedTableException if the file is damaged; the message names the line
     */
    public static ColourTable table(Path file) {
        return CubeFormat.read(ProjectFile.text(file), file.getFileName().toString());
    }
}
