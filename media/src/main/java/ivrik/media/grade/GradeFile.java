package ivrik.media.grade;

import ivrik.core.colour.ColourTable;
import ivrik.core.colour.CubeText;
import ivrik.core.look.KeptLook;
import ivrik.core.look.Look;
import ivrik.core.motion.Value;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.LookupTable;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.SlopeOffsetPower;
import ivrik.core.treatment.Treatment;
import ivrik.media.decode.Import;
import ivrik.media.file.ProjectFile;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/** Files that hold a grade: {@code .cube} tables, and {@code .cc}, {@code .ccc}, {@code .cdl} decision lists. */
public final class GradeFile {
    private static final String TABLE = ".cube";
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

    /**
     * The table in a file.
     *
     * @throws ivrik.core.colour.DamagedTableException if it is damaged; it says in which line
     */
    public static ColourTable table(Path file) {
        return CubeText.read(ProjectFile.text(file), file.getFileName().toString());
    }
}
