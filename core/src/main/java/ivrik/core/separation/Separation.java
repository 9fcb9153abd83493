package ivrik.core.separation;

import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import java.util.List;

/** A colour model: converts colour to channels and back. */
public interface Separation {
    /** The name in files and on the command line, such as {@code rgb}. */
    String id();

    /** The name in the window. */
    String title();

    /** The channels in their natural order. */
    List<ChannelKind> channels();

    /** Whether the channels are the three colour planes themselves. */
    default boolean isChannels() {
        return false;
    }

    /**
     * Whether half a channel value is half of its colour: channels can then be blended before they are
     * rejoined.
     */
    default boolean isLinear() {
        return false;
    }

    /**
     * Number of remainder planes: the parts of the channels that floats cannot hold, less than half of their
     * last bit. Most models need none for an exact rejoin.
     */
    default int remainders() {
        return 0;
    }

    /**
     * Channels of the first {@code n} colours of a row.
     *
     * @param colour red, green and blue, gamma-encoded; may be overwritten
     * @param channels one array per channel, optionally followed by one per remainder
     */
    void separate(float[][] colour, float[][] channels, int n);

    /**
     * Colours of the first {@code n} channels of a row; the inverse of
     * {@link #separate(float[][], float[][], int)}.
     *
     * @param channels with or without remainders; may be overwritten
     */
    void rejoin(float[][] channels, float[][] colour, int n);

    /** Channels of three colour planes (red, green, blue, gamma-encoded). */
    default List<Plane> separate(List<Plane> colour, Workers workers) {
        return Pixels.map(colour, channels().size(), workers, this::separate);
    }

    /** The channels, followed by their remainders if there are any. */
    default List<Plane> separateFully(List<Plane> colour, Workers workers) {
        return Pixels.map(colour, channels().size() + remainders(), workers, this::separate);
    }

    /** The three colour planes of channels, with or without remainders. */
    default List<Plane> rejoin(List<Plane> channels, Workers workers) {
        return Pixels.map(channels, 3, workers, this::rejoin);
    }
}
