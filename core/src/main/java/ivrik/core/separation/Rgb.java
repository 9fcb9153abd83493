package ivrik.core.separation;

import ivrik.core.picture.Plane;
import ivrik.core.separation.LaneKind.Role;
import ivrik.core.threads.Workers;

import java.util.List;

/** Red, green and blue light: the planes themselves, so the round trip is exact at any depth. */
public final class Rgb implements Separation {
    private static final List<LaneKind> LANES =
            List.of(
                    new LaneKind("red", "Red", "R", Role.FIRST, Ink.RED, Paint.LIGHT),
                    new LaneKind("green", "Green", "G", Role.SECOND, Ink.GREEN, Paint.LIGHT),
                    new LaneKind("blue", "Blue", "B", Role.THIRD, Ink.BLUE, Paint.LIGHT));

    @Override
    public String id() {
        return "rgb";
    }

    @Override
    public String title() {
        return "RGB";
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
    public boolean isChannels() {
        return true;
    }

    @Override
    public void separate(float[][] colour, float[][] lanes, int n) {
        for (int c = 0; c < 3; c++) {
            System.arraycopy(colour[c], 0, lanes[c], 0, n);
        }
    }

    @Override
    public void rejoin(float[][] lanes, float[][] colour, int n) {
        separate(lanes, colour, n);
    }

    @Override
    public List<Plane> separate(List<Plane> colour, Workers workers) {
        return colour;
    }

    @Override
    public List<Plane> rejoin(List<Plane> lanes, Workers workers) {
        return lanes;
    }
}
