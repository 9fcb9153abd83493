package ivrik.core.render;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan.Picture;

import java.util.Optional;

/** Where the pixels of sources come from. */
@FunctionalInterface
public interface Pictures {
    /**
     * A frame of a source.
     *
     * @param shown the size it will be shown at, in pixels: what has no size of its own is drawn at
     *     this size; anything else comes as large as it is
     * @throws ivrik.core.IvrikException if it cannot be had
     */
    Frame frame(Picture picture, Size shown);

    /**
     * The same as rows that are made of what is stored, so that it need not become planes; empty where it is planes
     * anyway, is not opaque or has no size of its own. Making them again gives the same.
     */
    default Optional<ColourRows> rows(Picture picture) {
        return Optional.empty();
    }
}
