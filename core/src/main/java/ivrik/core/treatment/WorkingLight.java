package ivrik.core.treatment;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.ColourRows;

import java.util.function.Supplier;

/** Linear light or gamma-encoded values as the working space of a treatment. */
public final class WorkingLight {
    static final String LINEAR = "linear";
    static final String DELIVERED = "gamma-encoded";

    private WorkingLight() {}

    /** The option; its first word is the default. */
    static Option choice(String first, String second) {
        return new Option(
                "light",
                "work in",
                "Values that the treatment works on: linear light or gamma-encoded",
                first,
                second);
    }

    static boolean isLinear(Settings settings, Option choice) {
        return settings.choice(choice).equals(LINEAR);
    }

    /** Work in linear light. */
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

    /** Each channel through a table. */
    public static ColourRows through(ColourRows picture, TransferTable table) {
        return picture.then(
                (rgb, n) -> {
                    for (float[] channel : rgb) {
                        table.apply(channel, n);
                    }
                });
    }

    /** Works on a row in place, given the row's index. */
    @FunctionalInterface
    interface Placed {
        void row(int y, float[][] rgb);
    }

    /** Row-dependent work in linear light, one instance per reader. */
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

    /** The same in gamma-encoded values. */
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
