package ivrik.core.separation;

import ivrik.core.separation.ChannelKind.Role;

import java.util.List;

/**
 * Subtractive colour: amounts of cyan, magenta and yellow ink on white paper. C = 1 - R' and so on.
 */
public final class Cmy implements Separation {
    static final List<ChannelKind> CHANNELS =
            List.of(
                    new ChannelKind("cyan", "Cyan", "C", Role.FIRST, Ink.CYAN, Paint.INK),
                    new ChannelKind("magenta", "Magenta", "M", Role.SECOND, Ink.MAGENTA, Paint.INK),
                    new ChannelKind("yellow", "Yellow", "Y", Role.THIRD, Ink.YELLOW, Paint.INK));

    @Override
    public String id() {
        return "cmy";
    }

    @Override
    public String title() {
        return "CMY";
    }

    @Override
    public List<ChannelKind> channels() {
        return CHANNELS;
    }

    @Override
    public boolean isLinear() {
        return true;
    }

    @Override
    public void separate(float[][] colour, float[][] channels, int n) {
        for (int c = 0; c < 3; c++) {
            complement(colour[c], channels[c], n);
        }
    }

    @Override
    public void rejoin(float[][] channels, float[][] colour, int n) {
        separate(channels, colour, n);
    }

    private static void complement(float[] in, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = 1 - in[i];
        }
    }
}
