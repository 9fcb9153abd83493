package ivrik.core.separation;

import ivrik.core.colour.Luma;
import ivrik.core.colour.Matrix3;
import ivrik.core.colour.Transfer;
import ivrik.core.separation.ChannelKind.Role;

import java.util.List;

/**
 * Luma and two colour differences of gamma-encoded colour, full range: luma in 0..1, differences centred on
 * 0.
 */
final class LumaChroma {
    private LumaChroma() {}

    /**
     * Y'CbCr with the luma weights of a standard: Y' = kr R' + kg G' + kb B', Cb = (B' - Y') / 2(1 - kb), Cr
     * = (R' - Y') / 2(1 - kr); differences in -0.5..0.5.
     */
    private static Separation yCbCr(String standard, double kr, double kb) {
        double kg = 1 - kr - kb;
        double b = 2 * (1 - kb);
        double r = 2 * (1 - kr);
        return new Linear(
                "ycbcr-" + standard,
                "Y'CbCr " + standard,
                List.of(
                        luma(),
                        new ChannelKind(
                                "cb",
                                "Blue difference",
                                "Cb",
                                Role.BLUE_YELLOW,
                                new Ink(0.5f, 0.34f, 1),
                                Paint.SIGNED,
                                0.5f),
                        new ChannelKind(
                                "cr",
                                "Red difference",
                                "Cr",
                                Role.RED_GREEN,
                                new Ink(1, 0.26f, 0.5f),
                                Paint.SIGNED,
                                0.5f)),
                Matrix3.of(
                        kr, kg, kb, -kr / b, -kg / b, (1 - kb) / b, (1 - kr) / r, -kg / r, -kb / r),
                Transfer.LINEAR);
    }

    private static ChannelKind luma() {
        return new ChannelKind("luma", "Luma", "Y", Role.LIGHTNESS, Ink.WHITE, Paint.LIGHT);
    }

    /** ITU-R BT.601. */
    static Separation bt601() {
        return yCbCr("601", 0.299, 0.114);
    }

    /** ITU-R BT.709. */
    static Separation bt709() {
        return yCbCr("709", Luma.RED, Luma.BLUE);
    }

    /** ITU-R BT.2020, non-constant luminance. */
    static Separation bt2020() {
        return yCbCr("2020", 0.2627, 0.0593);
    }

    /** YCoCg (Malvar and Sullivan 2003): Y = (R + 2G + B)/4, Co = (R - B)/2, Cg = (2G - R - B)/4. */
    static Separation yCoCg() {
        return new Linear(
                "ycocg",
                "YCoCg",
                List.of(
                        luma(),
                        new ChannelKind(
                                "co",
                                "Orange difference",
                                "Co",
                                Role.BLUE_YELLOW,
                                new Ink(1, 0.5f, 0),
                                Paint.SIGNED,
                                0.5f),
                        new ChannelKind(
                                "cg",
                                "Green difference",
                                "Cg",
                                Role.RED_GREEN,
                                new Ink(0, 1, 0),
                                Paint.SIGNED,
                                0.5f)),
                Matrix3.of(0.25, 0.5, 0.25, 0.5, 0, -0.5, -0.25, 0.5, -0.25),
                Transfer.LINEAR);
    }
}
