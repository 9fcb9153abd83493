package ivrik.core.treatment;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * A treatment that needs only the present row. Rows are treated as they are computed, without a plane.
 */
public interface RowTreatment extends StreamedTreatment {
    /** Treats one row in place; the array may be longer than the picture is wide. */
    @FunctionalInterface
    interface Work {
        void row(int y, float[] row);
    }

    /** Work for one thread, with its scratch space. */
    Supplier<Work> work(Size size, Settings settings, Context context);

    /**
     * A picture's rows with work applied to its channels.
     *
     * @param channels work on red, green and blue; empty for an unchanged channel
     */
    static ColourRows on(ColourRows rows, List<Optional<Supplier<Work>>> channels) {
        return WorkingLight.placed(
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
    default Rows apply(Rows channel, Settings settings, Context context) {
        return ChannelRows.byRow(channel, work(channel.size(), settings, context));
    }
}
