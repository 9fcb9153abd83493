package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.filter.DisplacementMapWarp;
import ivrik.core.filter.RowShift;
import ivrik.core.filter.Warp;
import ivrik.core.motion.Hash;
import ivrik.core.picture.Size;

import java.util.function.DoubleToLongFunction;

/**
 * Shifts parts of a channel: random blocks, lines or slices that change every few frames, or every pixel by a
 * displacement map, from -1 times the distance for black to 1 times for white.
 */
public final class Displacement implements Move {
    /** What is displaced. */
    public static final Option BY =
            new Option(
                    "by",
                    "displace",
                    "What moves: random blocks, lines or slices, or every pixel by a displacement"
                            + " map",
                    "blocks",
                    "lines",
                    "slices",
                    "picture");

    private static final double FAR_PX = 4000;
    private static final Description DESCRIPTION =
            Description.of(
                            "displacement",
                            "Displacement",
                            "Displaces random blocks, lines or slices of a channel, or every pixel"
                                    + " by a displacement map.",
                            TreatmentGroup.MOVES,
                            Control.PAD,
                            Parameter.px("x", "x", -FAR_PX, FAR_PX).example(40, 24),
                            Parameter.px("y", "y", -FAR_PX, FAR_PX).example(6, 2),
                            Parameter.of("size", "size", "px", 1, FAR_PX, 48, 1).setting(),
                            Parameter.percent("affected", "affected", 0, 100, 35).setting(),
                            Randomised.hold(3),
                            Parameter.of("same", "same in all channels", "", 0, 1, 0, 1).setting())
                    .choosing(BY, PatternPlacement.FIT)
                    .with(Trait.SPREADS, Trait.LIVE, Trait.PICTURE);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public boolean needsPicture(Settings settings) {
        return settings.choice(BY).equals("picture");
    }

    @Override
    public Warp warp(Settings settings, Size size, Context context) {
        double x = settings.number("x") * context.scale();
        double y = settings.number("y") * context.scale();
        if (needsPicture(settings)) {
            return context.picture()
                    .<Warp>map(p -> new DisplacementMapWarp(p, x, y))
                    .orElse(Affine.NONE);
        }
        long key = Randomised.key(settings, settings.isOn("same"));
        double side = Math.max(1, settings.number("size") * context.scale());
        double share = settings.share("affected");
        return switch (settings.choice(BY)) {
            case "lines" -> rows(key, at -> (long) Math.floor(at / side), share, x);
            case "slices" -> rows(key, at -> slice(key, side, at), share, x);
            default -> new Broken(key, side, share, x, y);
        };
    }

    /** Rows in the same part of the picture are shifted together. */
    private static RowShift rows(long key, DoubleToLongFunction part, double share, double x) {
        return at -> {
            long row = part.applyAsLong(at);
            return isMoved(key, row, 0, share) ? x * Hash.signed(key, row, 0, 1) : 0;
        };
    }

    /** Slices have uneven heights: each border is moved by up to half a side. */
    private static long slice(long key, double side, double at) {
        long near = (long) Math.floor(at / side);
        double border = (near + 0.5 + 0.5 * Hash.signed(key, near, 3)) * side;
        return at < border ? near : near + 1;
    }

    private static boolean isMoved(long key, long row, long column, double share) {
        return (Hash.signed(key, row, column, 0) + 1) / 2 < share;
    }

    /** Displaced blocks; lengths in pixels of the channel. */
    private record Broken(long key, double side, double share, double x, double y) implements Warp {
        @Override
        public void back(double[] px, double[] py, int n) {
            double left = 0;
            double top = 0;
            double right = 0;
            double down = 0;
            for (int i = 0; i < n; i++) {
                boolean within =
                        i > 0
                                && px[i] >= left
                                && px[i] < left + side
                                && py[i] >= top
                                && py[i] < top + side;
                if (!within) {
                    long row = (long) Math.floor(py[i] / side);
                    long column = (long) Math.floor(px[i] / side);
                    left = column * side;
                    top = row * side;
                    boolean moved = isMoved(key, row, column, share);
                    right = moved ? x * Hash.signed(key, row, column, 1) : 0;
                    down = moved ? y * Hash.signed(key, row, column, 2) : 0;
                }
                px[i] -= right;
                py[i] -= down;
            }
        }
    }

    /** No part moves further than the distance. */
    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        double reach = 1 - settings.sampler().firstTap();
        double x = Math.ceil(Math.abs(settings.number("x")) + reach);
        double y = Math.ceil(Math.abs(settings.number("y")) + reach);
        return new ValidRegion(
                before.left() + x, before.top() + y, before.right() - x, before.bottom() - y);
    }
}
