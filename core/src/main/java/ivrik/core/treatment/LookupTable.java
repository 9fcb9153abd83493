package ivrik.core.treatment;

import ivrik.core.colour.ColourTable;
import ivrik.core.picture.ColourRows;

import java.util.Optional;

/** Each colour as a table has it: one of ours, or one that was read from a {@code .cube} file. */
public final class LookupTable implements PictureTreatment {
    /** Chosen of {@link #TABLE} for one that the step brings along. */
    public static final String OWN = "own";

    /** Which table. */
    public static final Option TABLE =
            new Option(
                    "table",
                    "table",
                    "A ready one, or one of your own: bring in a .cube file for it",
                    "warm",
                    "cool",
                    "print",
                    "from log",
                    "from flat",
                    OWN);

    private static final Description DESCRIPTION =
            Description.of(
                            "lookup-table",
                            "Lookup table",
                            "Gives each colour what a table has in its place: to bring a log or"
                                    + " flat picture to normal, or to grade it.",
                            Group.WHOLE,
                            Control.RULER,
                            Parameter.amount(0).shown(100, 100))
                    .choosing(TABLE)
                    .with(Trait.POINTWISE, Trait.TABLE)
                    .called("lut", "cube", "grade", "log", "normalise", "warm", "cool", "print");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public boolean needsTable(Settings settings) {
        return settings.word(TABLE).equals(OWN);
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        Optional<ColourTable> table =
                needsTable(settings)
                        ? context.table()
                        : Optional.of(ReadyTables.named(settings.word(TABLE)));
        return table.map(t -> picture.then(t::apply)).orElse(picture);
    }
}
