package ivrik.media.grade;

import ivrik.core.colour.ColourSpace;
import ivrik.core.colour.ColourTable;
import ivrik.core.colour.CubeText;
import ivrik.core.look.KeptLook;
import ivrik.core.look.Look;
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

/** Files that hold a grade: {@code .cube} tables, and {@code .cc}, {@code .ccc}, {@code .cdl} decision lists. */
public final class GradeFile {
    private static final String TABLE = ".cube";
    private static final String SLOPE_OFFSET_POWER = new SlopeOffsetPower().description().id();

    /** Why a look is no decision list. */
    public static final String NO_DECISIONS =
            "a colour decision list holds one 'Slope, offset, power' and nothing else";

    private static final List<String> DECISIONS = List.of(".cc", ".ccc", ".cdl");

    private GradeFile() {}

    /** Whether a file is named as one of these. */
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
     * A look that does to a picture what the file says.
     *
     * @throws ivrik.core.IvrikException if it is missing or damaged; it says where
     */
    public static Look look(Path file) {
        String title = Import.name(file);
        Look rest = Look.atRest(KeptLook.name(title), new Rgb(), treatment(file)).withTitle(title);
        if (isDecisions(file)) {
            return rest.withAmounts(0, 0, DecisionList.read(file)::in);
        }
        ColourTable table = table(file);
        return rest.withStep(rest.steps().getFirst().id(), s -> s.withOwnTable(table))
                .withAmounts(0, 0, a -> a.with(Parameter.AMOUNT, Value.of(100)));
    }

    private static Treatment treatment(Path file) {
        return isTable(file) ? new LookupTable() : new SlopeOffsetPower();
    }

    /** The decision list that a look is at a frame; empty if it is more than one slope, offset and power. */
    public static Optional<DecisionList> decisions(Look look, long frame) {
        LookPlan plan = LookLattice.planned(look, frame);
        List<PictureStepPlan> steps =
                Stream.concat(plan.prepare().stream(), plan.finish().stream()).toList();
        return plan.treatsLanes()
                        || steps.size() != 1
                        || !steps.getFirst().treatment().equals(SLOPE_OFFSET_POWER)
                ? Optional.empty()
                : Optional.of(DecisionList.of(steps.getFirst().settings()));
    }

    /**
     * Writes what a look makes of each colour at a frame: a table, or where the file is named so a decision list.
     *
     * @param points of a table along each side
     * @throws ivrik.core.IvrikException if that depends on more than the colour, or a decision list cannot hold it
     */
    public static void write(Look look, Path file, int points, long frame) {
        if (!isDecisions(file)) {
            LookLattice lattice =
                    LookLattice.of(look, points, frame, ColourSpace.SRGB, Workers.shared());
            SafeFile.write(file, CubeText.write(lattice.table(look.shownName())));
            return;
        }
        DecisionList list =
                decisions(look, frame)
                        .orElseThrow(
                                () ->
                                        new UnwritableTargetException(
                                                NO_DECISIONS,
                                                "write a .cube of " + look.shownName(),
                                                null));
        SafeFile.write(file, list.text(look.name()));
    }

    /**
     * The table in a file.
     *
     * @throws ivrik.core.colour.DamagedTableException if it is damaged; it says in which line
     */
    public static ColourTable table(Path file) {
        return CubeText.read(ProjectFile.text(file), file.getFileName().toString());
    }
}
