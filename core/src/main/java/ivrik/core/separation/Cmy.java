package ivrik.core.separation;

import ivrik.core.separation.LaneKind.Role;

import java.util.List;

/** Subtractive: how much of cyan, magenta and yellow ink lies on white paper. C = 1 - R' and so on. */
public final class Cmy implements Separation {
    static final List<LaneKind> LANES =
            List.of(
                    new LaneKind("cyan", "Cyan", "C", Role.FIRST, Ink.CYAN, Paint.INK),
                    new LaneKind("magenta", "Magenta", "M", Role.SECOND, Ink.MAGENTA, Paint.INK),
                    new LaneKind("yellow", "Yellow", "Y", Role.THIRD, Ink.YELLOW, Paint.INK));

    @Override
    public String id() {
        return "cmy";
    }

    @Override
    public String title() {
        return "CMY";
    }

    @Override
    public List<LaneKind> lanes() {
        return LANES;
    }

    @Override
    public boolean isLinear() {
        return true;
    }

    @Override
    public void separate(float[][] colour, float[][] lanes, int n) {
        for (int c = 0; c < 3; c++) {
            complement(colour[c], lanes[c], n);
        }
    }

    @Override
    public void rejoin(float[][] lanes, float[][] colour, int n) {
        separate(lanes, colour, n);
    }

    private static void complement(float[] in, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = 1 - in[i];
        }
    }
}
