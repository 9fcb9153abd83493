package ivrik.core.treatment;

import ivrik.core.motion.Hash;
import ivrik.core.picture.Size;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/**
 * Short line segments where a tape has lost its coating: full white or colourless at the start, fading back
 * to the picture over their length.
 */
public final class Dropouts implements RowTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "dropouts",
                            "Dropouts",
                            "Replaces short pieces of scanlines, as tape dropouts do.",
                            TreatmentGroup.GRAIN,
                            Control.RULER,
                            Parameter.of("rate", "dropouts per frame", "", 0, 2000, 0, 1)
                                    .example(20, 20),
                            Parameter.of("length", "length", "px", 1, 4000, 160, 1).setting(),
                            Parameter.of("line-height", "line height", "px", 0.5, 400, 2.25, 0.25)
                                    .setting(),
                            Parameter.of("same", "same in all channels", "", 0, 1, 1, 1).setting(),
                            Randomised.hold(1))
                    .with(Trait.POINTWISE, Trait.LIVE)
                    .called("tape", "dirt", "white streaks");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    /** A segment, in pixels of the channel. */
    private record Piece(double left, double top, double length, double height, double strength) {
        /** Coverage of a row of pixels. */
        double share(int y) {
            return Math.clamp(Math.min(y + 1, top + height) - Math.max(y, top), 0, 1);
        }
    }

    private static List<Piece> pieces(Size size, Settings settings, double scale) {
        long key = Randomised.key(settings, settings.isOn("same"));
        double rate = settings.number("rate");
        double line = settings.number("line-height") * scale;
        List<Piece> pieces = new ArrayList<>();
        for (int i = 0; i < Math.ceil(rate); i++) {
            double there = Math.clamp(rate - i, 0, 1);
            if (unit(key, i, 0) >= there) {
                continue;
            }
            double far = settings.number("length") * scale * (0.2 + 1.6 * unit(key, i, 3));
            double top = Math.floor(unit(key, i, 2) * size.height() / line) * line;
            double left = unit(key, i, 1) * (size.width() + far) - far;
            pieces.add(new Piece(left, top, far, line, 0.5 + 0.5 * unit(key, i, 4)));
        }
        return pieces;
    }

    private static double unit(long key, int number, int what) {
        return (Hash.signed(key, number, what) + 1) / 2;
    }

    @Override
    public Supplier<Work> work(Size size, Settings settings, Context context) {
        List<Piece> pieces = pieces(size, settings, context.scale());
        float lost =
                switch (context.channel().paint()) {
                    case LIGHT -> context.channel().span();
                    case INK, SIGNED, ANGLE -> 0;
                };
        int n = size.width();
        return () ->
                (y, row) -> {
                    for (Piece piece : pieces) {
                        double share = piece.share(y) * piece.strength();
                        if (share > 0) {
                            lose(piece, (float) share, lost, row, n);
                        }
                    }
                };
    }

    private static void lose(Piece piece, float share, float lost, float[] row, int n) {
        int from = (int) Math.max(0, Math.ceil(piece.left() - 0.5));
        int to = (int) Math.min(n, Math.ceil(piece.left() + piece.length() - 0.5));
        for (int x = from; x < to; x++) {
            double on = (x + 0.5 - piece.left()) / piece.length();
            float by = share * (float) (1 - on * on);
            row[x] += by * (lost - row[x]);
        }
    }
}
