package ivrik.core.render;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan.Picture;

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
}
