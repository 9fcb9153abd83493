package ivrik.core.separation;

import ivrik.core.separation.ChannelKind.Role;

import java.util.List;

/**
 * Hue, chroma and value of the hexcone model (Smith 1978): value is the maximum of the three channels, chroma
 * the maximum minus the minimum, hue an angle in turns, 0 for red, 1/3 for green. Chroma replaces saturation
 * so that nothing is divided by the value and dark colours are restored exactly.
 */
public final class Hsv implements Separation {
    private static final List<ChannelKind> CHANNELS =
            List.of(
                    new ChannelKind("hue", "Hue", "H", Role.HUE, Ink.WHITE, Paint.ANGLE),
                    new ChannelKind("chroma", "Chroma", "C", Role.CHROMA, Ink.WHITE, Paint.LIGHT),
                    new ChannelKind("value", "Value", "V", Role.LIGHTNESS, Ink.WHITE, Paint.LIGHT));

    @Override
    public String id() {
        return "hsv";
    }

    @Override
    public String title() {
        return "Hue, chroma, value (HSV)";
    }

    @Override
    public List<ChannelKind> channels() {
        return CHANNELS;
    }

    @Override
    public void separate(float[][] colour, float[][] channels, int n) {
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
            channels[0][i] = (sixth < 0 ? sixth + 6 : sixth) / 6;
            channels[1][i] = chroma;
            channels[2][i] = value;
        }
    }

    @Override
    public void rejoin(float[][] channels, float[][] colour, int n) {
        for (int c = 0; c < 3; c++) {
            for (int i = 0; i < n; i++) {
                colour[c][i] = channels[2][i] - channels[1][i] * (1 - pure(channels[0][i], c));
            }
        }
    }

    /** A channel (0 red, 1 green, 2 blue) of a fully saturated hue, 0..1. */
    public static float pure(float turns, int channel) {
        float sixth = (turns - (float) Math.floor(turns)) * 6 - 2 * channel;
        float far = Math.abs(sixth > 3 ? sixth - 6 : sixth < -3 ? sixth + 6 : sixth);
        return Math.clamp(2 - far, 0f, 1f);
    }
}
