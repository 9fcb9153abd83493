package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.separation.LaneKind;
import ivrik.core.threads.Workers;

import java.util.Optional;

/**
 * Where a treatment does its work.
 *
 * @param scale pixels of the lane to a pixel of the full-size sequence, over 0
 * @param lane what the lane is in its model
 * @param picture the matching channel of the picture that the step names, at the same scale; it may be
 *     of another size than the lane and then repeats itself
 */
public record Context(double scale, LaneKind lane, Optional<Plane> picture, Workers workers) {}
