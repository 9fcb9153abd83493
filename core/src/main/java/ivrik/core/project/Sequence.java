package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;

/**
 * What is delivered.
 *
 * @param size in pixels
 * @param rate frames a second
 * @param ground what lies beneath all layers
 * @param colour what the numbers of its pictures mean; sources are brought to it
 */
@RecordBuilder
public record Sequence(Size size, Rational rate, Ground ground, ColourSpace colour)
        implements SequenceBuilder.With {
    public Sequence(Size size, Rational rate) {
        this(size, rate, Ground.NOTHING, ColourSpace.SRGB);
    }
}
