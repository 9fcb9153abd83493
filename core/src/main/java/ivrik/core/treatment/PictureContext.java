package ivrik.core.treatment;

import ivrik.core.colour.ColourSpace;
import ivrik.core.threads.Workers;

/**
 * Where a treatment of whole pictures does its work.
 *
 * @param scale pixels of the picture to a pixel of the full-size sequence, over 0
 * @param colour what the numbers of the picture mean
 */
public record PictureContext(double scale, ColourSpace colour, Workers workers) {}
