package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.filter.PictureWarp;
import ivrik.core.filter.Warp;
import ivrik.core.motion.Hash;
import ivrik.core.picture.Size;

/**
 * Moves parts of a lane each its own way: as broken signals do in blocks, lines or slices that are
 * drawn anew every few frames, or by the values of another picture, from -1 times the distance where it
 * is black to 1 times where it is white.
 */
public final class Displace implements Move {
    /** What decides where a part goes. */
    public static final Option BY =
            new Option(
                    "by",
                    "by",
                    "What decides where each part goes",
                    "blocks",
                    "lines",
                    "slices",
                    "picture");

    private static final double FAR_PX = 4000;
    private static final Description DESCRIPTION =
            Description.of(
                            "displace",
                            "Displace",
                            "Moves blocks, lines or slices of a lane at random, or all of it by"
                                    + " another picture, as broken signals do.",
                            Group.MOVES,
                            Control.PAD,
                            Parameter.px("x", "x", -FAR_PX, FAR_PX).shown(40, 24),
                            Parameter.px("y", "y", -FAR_PX, FAR_PX).shown(6, 2),
                            Parameter.of("size", "size", "px", 1, FAR_PX, 48, 1).setting(),
                            Parameter.percent("share", "share", 0, 100, 35).setting(),
                            Live.hold(3),
                            Parameter.of("alike", "alike", "", 0, 1, 0, 1).setting())
                    .choosing(BY, Pattern.FIT)
                    .with(Trait.SPREADS, Trait.LIVE, Trait.PICTURE);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public boolean needsPicture(Settings settings) {
        return settings.word(BY).equals("picture");
    }

    @Override
    public Warp warp(Settings settings, Size size, Context context) {
        double x = settings.number("x") * context.scale();
        double y = settings.number("y") * context.scale();
        if (needsPicture(settings)) {
            return context.picture().<Warp>map(p -> new PictureWarp(p, x, y)).orElse(Affine.NONE);
        }
        return new Broken(
                Live.key(settings, settings.isOn("alike")),
                settings.word(BY),
                Math.max(1, settings.number("size") * context.scale()),
                size.width(),
                settings.share("share"),
                x,
                y);
    }

    /** Blocks, lines or slices; places in pixels of the lane. */
    private record Broken(
            long key, String by, double side, int width, double share, double x, double y)
            implements Warp {
        @Override
        public void back(double[] px, double[] py, int n) {
            for (int i = 0; i < n; i++) {
                long row = (long) Math.floor(py[i] / side);
                long column = 0;
                if (by.equals("blocks")) {
                    column = (long) Math.floor(px[i] / side);
                } else if (by.equals("slices")) {
                    row = slice(py[i]);
                }
                if ((Hash.signed(key, row, column, 0) + 1) / 2 < share) {
                    px[i] -= x * Hash.signed(key, row, column, 1);
                    py[i] -= by.equals("blocks") ? y * Hash.signed(key, row, column, 2) : 0;
                }
            }
        }

        /** Slices are of uneven height: each border is moved by up to half a side. */
        private long slice(double at) {
            long near = (long) Math.floor(at / side);
            double border = (near + 0.5 + 0.5 * Hash.signed(key, near, 3)) * side;
            return at < border ? near : near + 1;
        }
    }

    /** No part goes further than the distance says. */
    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        double reach = 1 - settings.sampler().firstTap();
        double x = Math.ceil(Math.abs(settings.number("x")) + reach);
        double y = Math.ceil(Math.abs(settings.number("y")) + reach);
        return new ValidRegion(
                before.left() + x, before.top() + y, before.right() - x, before.bottom() - y);
    }
}
