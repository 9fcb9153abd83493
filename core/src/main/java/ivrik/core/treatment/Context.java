package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.separation.ChannelKind;
import ivrik.core.threads.Workers;

import java.util.Optional;

/**
 * The environment of a treatment.
 *
 * @param scale rendered pixels per pixel of the full-size sequence, greater than 0
 * @param channel kind of the channel
 * @param picture the corresponding channel of the step's picture at the same scale; tiled if its size differs
 */
public record Context(
        double scale, ChannelKind channel, Optional<Plane> picture, Workers workers) {}
