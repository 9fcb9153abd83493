package ivrik.core.treatment;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.ColourRows;

import java.util.function.Supplier;

/** In which light a treatment of whole pictures does its work. */
public final class Light {
    static final String LINEAR = "linear";
    static final String DELIVERED = "as delivered";

    private Light() {}

    /** The choice, of which the first is the default. */
    static Option choice(String first, String second) {
        return new Option(
                "light",
                "works in",
                "Linear light, in which twice as much is twice the number, or the numbers as they"
                        + " are delivered",
                first,
                second);
    }

    static boolean isLinear(Settings settings, Option choice) {
        return settings.word(choice).equals(LINEAR);
    }

    /** Work that is done in linear light. */
    static ColourRows.Work linear(Transfer transfer, ColourRows.Work work) {
        TransferTable in = TransferTable.toLinear(transfer);
        TransferTable out = TransferTable.fromLinear(transfer);
        return (rgb, n) -> {
            for (float[] channel : rgb) {
                in.apply(channel, n);
            }
            work.on(rgb, n);
            for (float[] channel : rgb) {
                out.apply(channel, n);
            }
        };
    }

    /** Each channel by a table. */
    public static ColourRows through(ColourRows picture, TransferTable table) {
        return picture.then(
                (rgb, n) -> {
                    for (float[] channel : rgb) {
                        table.apply(channel, n);
                    }
                });
    }

    /** Work on rows that is told which row it is, in place. */
    @FunctionalInterface
    interface Placed {
        void row(int y, float[][] rgb);
    }

    /** Work that is done in linear light, by each reader for itself, and depends on the row. */
    static ColourRows placed(ColourRows picture, Transfer transfer, Supplier<Placed> work) {
        TransferTable in = TransferTable.toLinear(transfer);
        TransferTable out = TransferTable.fromLinear(transfer);
        int n = picture.width();
        return placed(
                picture,
                () -> {
                    Placed own = work.get();
                    return (y, rgb) -> {
                        for (float[] channel : rgb) {
                            in.apply(channel, n);
                        }
                        own.row(y, rgb);
                        for (float[] channel : rgb) {
                            out.apply(channel, n);
                        }
                    };
                });
    }

    /** The same on values as they are delivered. */
    static ColourRows placed(ColourRows picture, Supplier<Placed> work) {
        return ColourRows.made(
                picture.size(),
                () -> {
                    ColourRows.Reader before = picture.reader();
                    Placed own = work.get();
                    return (y, rgb) -> {
                        before.row(y, rgb);
                        own.row(y, rgb);
                    };
                });
    }
}
