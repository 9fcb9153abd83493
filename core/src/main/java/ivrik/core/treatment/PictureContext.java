package ivrik.core.treatment;

import ivrik.core.colour.ColourTable;
import ivrik.core.colour.Transfer;
import ivrik.core.picture.Frame;
import ivrik.core.threads.Workers;

import java.util.Optional;

/**
 * Where a treatment of whole pictures does its work.
 *
 * @param scale pixels of the picture to a pixel of the full-size sequence, over 0
 * @param transfer what brings the numbers of the picture to linear light
 * @param picture the one that the step names, at the same scale
 * @param table of colours, that the step brings along
 */
public record PictureContext(
        double scale,
        Transfer transfer,
        Optional<Frame> picture,
        Optional<ColourTable> table,
        Workers workers) {}
