package ivrik.core.render;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan.Picture;

import java.util.Optional;

/** Provides the pixels of sources. */
@FunctionalInterface
public interface Pictures {
    /**
     * A frame of a source.
     *
     * @param shown displayed size in pixels, for sources without a size of their own; other sources have
     *     their own size
     * @throws ivrik.core.IvrikException if the frame cannot be read
     */
    Frame frame(Picture picture, Size shown);

    /**
     * The frame as rows decoded from the stored data, without planes; empty if it is stored as planes, has
     * coverage or has no size of its own. Repeated reading gives the same rows.
     */
    default Optional<ColourRows> rows(Picture picture) {
        return Optional.empty();
    }
}
