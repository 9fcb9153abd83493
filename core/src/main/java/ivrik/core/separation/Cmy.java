package ivrik.core.separation;

import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;
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
    public List<Plane> separate(List<Plane> colour, Workers workers) {
        return Pixels.map(
                colour,
                3,
                workers,
                (in, out, n) -> {
                    for (int c = 0; c < 3; c++) {
                        complement(in[c], out[c], n);
                    }
                });
    }

    @Override
    public List<Plane> rejoin(List<Plane> lanes, Workers workers) {
        return separate(lanes, workers);
    }

    static void complement(float[] in, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = 1 - in[i];
        }
    }
}
