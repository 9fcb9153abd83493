package ivrik.core.treatment;

import ivrik.core.colour.ColourTable;
import ivrik.core.picture.ColourRows;

import java.util.Optional;

/** Maps colours by a lookup table: a built-in one, or one from a {@code .cube} file. */
public final class LookupTable implements PictureTreatment {
    /** Choice of {@link #TABLE} for the step's own table. */
    public static final String OWN = "custom";

    /** The table. */
    public static final Option TABLE =
            new Option(
                    "table",
                    "table",
                    "A built-in table, or a custom one from an imported .cube file",
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
                            "Applies a lookup table (LUT), to normalise log or flat footage or to"
                                    + " grade it.",
                            TreatmentGroup.WHOLE,
                            Control.RULER,
                            Parameter.amount(0).example(100, 100))
                    .choosing(TABLE)
                    .with(Trait.POINTWISE, Trait.TABLE)
                    .called("lut", "cube", "grade", "log", "normalise", "warm", "cool", "print");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public boolean needsTable(Settings settings) {
        return settings.choice(TABLE).equals(OWN);
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        Optional<ColourTable> table =
                needsTable(settings)
                        ? context.table()
                        : Optional.of(BuiltInTables.named(settings.choice(TABLE)));
        return table.map(t -> picture.then(t::apply)).orElse(picture);
    }
}
