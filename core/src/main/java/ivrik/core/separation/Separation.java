package ivrik.core.separation;

import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import java.util.List;

/** A colour model: how colour becomes lanes, and lanes colour again. */
public interface Separation {
    /** The name in files and on the command line, such as {@code rgb}. */
    String id();

    /** The name in the window. */
    String title();

    /** The lanes in their order. */
    List<LaneKind> lanes();

    /** Whether the lanes are the three colour channels themselves. */
    default boolean isChannels() {
        return false;
    }

    /**
     * Whether half of a lane is half of what it paints: then lanes may meet others one by one before they
     * are rejoined.
     */
    default boolean isLinear() {
        return false;
    }

    /**
     * How many rows of remainders may follow the lanes: what a float could not hold of each, less than
     * half its last bit. Most models need none to be rejoined exactly.
     */
    default int remainders() {
        return 0;
    }

    /**
     * The lanes of the first {@code n} colours of a row.
     *
     * @param colour red, green and blue as delivered; may be written over
     * @param lanes as many arrays as there are lanes, and as many again for their remainders or not
     */
    void separate(float[][] colour, float[][] lanes, int n);

    /**
     * The colours of the first {@code n} lanes of a row; undoes {@link #separate(float[][], float[][],
     * int)}.
     *
     * @param lanes with their remainders or not; may be written over
     */
    void rejoin(float[][] lanes, float[][] colour, int n);

    /** The lanes of these three colour planes (red, green, blue as delivered). */
    default List<Plane> separate(List<Plane> colour, Workers workers) {
        return Pixels.map(colour, lanes().size(), workers, this::separate);
    }

    /** The lanes, and after them their remainders if there are any. */
    default List<Plane> separateFully(List<Plane> colour, Workers workers) {
        return Pixels.map(colour, lanes().size() + remainders(), workers, this::separate);
    }

    /** The three colour planes of these lanes, with their remainders or not. */
    default List<Plane> rejoin(List<Plane> lanes, Workers workers) {
        return Pixels.map(lanes, 3, workers, this::rejoin);
    }
}
