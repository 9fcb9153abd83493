package ivrik.core.render;

import ivrik.core.motion.Hash;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.List;

/**
 * Noise of at most half a code before rounding to few bits, so that a smooth change does not leave in
 * bands. What lies on a code already stays on it. The noise is a hash of frame, channel and place.
 */
public final class OutputDither {
    /** A little under a half: with all of it a value on a code could be rounded to the next. */
    private static final double HALF = 0.499;

    private OutputDither() {}

    /** The colour dithered for a depth; coverage is left as it is. */
    public static Frame of(Frame frame, Depth depth, long number, Workers workers) {
        Frame straight = frame.straight(workers);
        double code = HALF / ((1 << depth.bits()) - 1);
        List<Plane> colour = new ArrayList<>();
        for (int c = 0; c < 3; c++) {
            colour.add(noisy(straight.colour().get(c), code, number, c, workers));
        }
        return new Frame(colour, straight.alpha(), straight.coverage());
    }

    private static Plane noisy(Plane in, double most, long number, int channel, Workers workers) {
        return Kernels.sampled(
                in, (sample, x, y) -> sample + most * Hash.signed(number, channel, x, y), workers);
    }
}
