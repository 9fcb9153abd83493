package ivrik.core.separation;

import ivrik.core.colour.Matrix3;
import ivrik.core.colour.Primaries;
import ivrik.core.colour.Transfer;
import ivrik.core.separation.ChannelKind.Role;

import java.util.List;

/** Colour models of visual stimuli: linear functions of linear light, white point D65. */
final class Stimuli {
    /** From XYZ to cone responses: Hunt, Pointer and Estevez, scaled to D65. */
    private static final Matrix3 CONES =
            Matrix3.of(0.40024, 0.7076, -0.08081, -0.2263, 1.16532, 0.0457, 0, 0, 0.91822);

    private Stimuli() {}

    /** CIE 1931 XYZ, with Y = 1 for white. */
    static Separation xyz() {
        return new Linear(
                "xyz",
                "XYZ",
                List.of(
                        light("x", "X", "X", Role.FIRST, Ink.RED),
                        light("y", "Y, luminance", "Y", Role.SECOND, Ink.GREEN),
                        light("z", "Z", "Z", Role.THIRD, Ink.BLUE)),
                Primaries.SRGB.toXyz(),
                Transfer.SRGB);
    }

    /** Responses of long, medium and short cones, 1 for white. */
    static Separation lms() {
        return new Linear(
                "lms",
                "LMS",
                List.of(
                        light("long", "Long-wave cones (L)", "L", Role.FIRST, Ink.RED),
                        light("medium", "Medium cones", "M", Role.SECOND, Ink.GREEN),
                        light("short", "Short cones", "S", Role.THIRD, Ink.BLUE)),
                CONES.times(Primaries.SRGB.toXyz()),
                Transfer.SRGB);
    }

    private static ChannelKind light(String id, String title, String letter, Role role, Ink ink) {
        return new ChannelKind(id, title, letter, role, ink, Paint.LIGHT);
    }
}
