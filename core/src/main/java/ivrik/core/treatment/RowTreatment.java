package ivrik.core.treatment;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * Work on a lane that needs of it no more than the row at hand. So it needs no plane of it: in a picture
 * whose rows are just being made, each is treated as it comes.
 */
public interface RowTreatment extends StreamedTreatment {
    /** Work on one row, in place; the row may be longer than the picture is wide. */
    @FunctionalInterface
    interface Work {
        void row(int y, float[] row);
    }

    /** The work, for each thread its own, with whatever scratch space it needs. */
    Supplier<Work> work(Size size, Settings settings, Context context);

    /**
     * A picture's rows with work done on its channels as they come.
     *
     * @param channels the work on red, green and blue; empty for one that stays as it is
     */
    static ColourRows on(ColourRows rows, List<Optional<Supplier<Work>>> channels) {
        return Light.placed(
                rows,
                () -> {
                    List<Work> own =
                            channels.stream()
                                    .map(c -> c.map(Supplier::get).orElse((y, row) -> {}))
                                    .toList();
                    return (y, rgb) -> {
                        for (int c = 0; c < rgb.length; c++) {
                            own.get(c).row(y, rgb[c]);
                        }
                    };
                });
    }

    @Override
    default Rows apply(Rows lane, Settings settings, Context context) {
        return LaneRows.byRow(lane, work(lane.size(), settings, context));
    }
}
