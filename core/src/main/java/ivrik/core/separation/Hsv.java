package ivrik.core.separation;

import ivrik.core.separation.LaneKind.Role;

import java.util.List;

/**
 * Hue, chroma and value by the hexcone (Smith 1978): value is the greatest of the three channels,
 * chroma the greatest less the least, hue an angle in turns, 0 at red, 1/3 at green. Chroma, not
 * saturation, so that nothing is divided by the value and dark colours come back as they were.
 */
public final class Hsv implements Separation {
    private static final List<LaneKind> LANES =
            List.of(
                    new LaneKind("hue", "Hue", "H", Role.HUE, Ink.WHITE, Paint.ANGLE),
                    new LaneKind("chroma", "Chroma", "C", Role.CHROMA, Ink.WHITE, Paint.LIGHT),
                    new LaneKind("value", "Value", "V", Role.LIGHTNESS, Ink.WHITE, Paint.LIGHT));

    @Override
    public String id() {
        return "hsv";
    }

    @Override
    public String title() {
        return "Hue, chroma, value";
    }

    @Override
    public List<LaneKind> lanes() {
        return LANES;
    }

    @Override
    public void separate(float[][] colour, float[][] lanes, int n) {
        for (int i = 0; i < n; i++) {
            float r = colour[0][i];
            float g = colour[1][i];
            float b = colour[2][i];
            float value = Math.max(r, Math.max(g, b));
            float chroma = value - Math.min(r, Math.min(g, b));
            float sixth =
                    chroma == 0
                            ? 0
                            : value == r
                                    ? (g - b) / chroma
                                    : value == g ? 2 + (b - r) / chroma : 4 + (r - g) / chroma;
            lanes[0][i] = (sixth < 0 ? sixth + 6 : sixth) / 6;
            lanes[1][i] = chroma;
            lanes[2][i] = value;
        }
    }

    @Override
    public void rejoin(float[][] lanes, float[][] colour, int n) {
        for (int c = 0; c < 3; c++) {
            for (int i = 0; i < n; i++) {
                colour[c][i] = lanes[2][i] - lanes[1][i] * (1 - pure(lanes[0][i], c));
            }
        }
    }

    /** The part of a channel (0 red, 1 green, 2 blue) in a hue of full chroma and value, 0..1. */
    public static float pure(float turns, int channel) {
        float sixth = (turns - (float) Math.floor(turns)) * 6 - 2 * channel;
        float far = Math.abs(sixth > 3 ? sixth - 6 : sixth < -3 ? sixth + 6 : sixth);
        return Math.clamp(2 - far, 0f, 1f);
    }
}
