package ivrik.core.treatment;

import ivrik.core.colour.ColourTable;
import ivrik.core.colour.Transfer;
import ivrik.core.picture.Frame;
import ivrik.core.threads.Workers;

import java.util.Optional;

/**
 * The environment of a whole-picture treatment.
 *
 * @param scale rendered pixels per pixel of the full-size sequence, greater than 0
 * @param transfer transfer function of the picture
 * @param picture the step's picture, at the same scale
 * @param table the step's own colour table
 */
public record PictureContext(
        double scale,
        Transfer transfer,
        Optional<Frame> picture,
        Optional<ColourTable> table,
        Workers workers) {}
