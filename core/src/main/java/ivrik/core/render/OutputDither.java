package ivrik.core.render;

import ivrik.core.motion.Hash;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.List;

/**
 * Adds noise of at most half a code value before rounding to few bits, to prevent banding. Exact code values
 * stay. The noise is a hash of frame, channel and position.
 */
public final class OutputDither {
    /** Slightly less than 1/2, so that an exact code value never rounds to the next. */
    private static final double HALF = 0.499;

    private OutputDither() {}

    /** The dithered colour; coverage is unchanged. */
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
        return PlaneArithmetic.sampled(
                in, (sample, x, y) -> sample + most * Hash.signed(number, channel, x, y), workers);
    }
}
