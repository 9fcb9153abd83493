package ivrik.core.treatment;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.ColourRows;

/** In which light a treatment of whole pictures does its work. */
final class Light {
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
}
