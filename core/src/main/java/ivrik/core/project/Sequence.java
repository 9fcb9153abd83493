package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;

/**
 * Format of the rendered pictures.
 *
 * @param size in pixels
 * @param rate frames per second
 * @param background colour below all layers
 * @param colour colour space of the pictures; sources are converted to it
 */
@RecordBuilder
public record Sequence(Size size, Rational rate, Background background, ColourSpace colour)
        implements SequenceBuilder.With {
    public Sequence(Size size, Rational rate) {
        this(size, rate, Background.TRANSPARENT, ColourSpace.SRGB);
    }
}
