package ivrik.core.separation;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;

import java.util.List;

/** Red, green and blue light: the planes themselves, so the round trip is exact at any depth. */
public final class Rgb implements Separation {
    private static final List<LaneKind> LANES =
            List.of(
                    new LaneKind("red", "Red", "R", Ink.RED, 0),
                    new LaneKind("green", "Green", "G", Ink.GREEN, 0),
                    new LaneKind("blue", "Blue", "B", Ink.BLUE, 0));

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
    public boolean isChannels() {
        return true;
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
