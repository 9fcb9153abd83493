package ivrik.media.pixel;

import ivrik.core.cache.Cacheable;
import ivrik.core.picture.ColourRows;

import java.util.Collection;
import java.util.List;

/**
 * An opaque picture as stored bytes: an eighth of the memory of planes for 8-bit 4:2:0.
 *
 * @param rows gamma-encoded red, green and blue, computed from the bytes on request
 */
public record StoredPicture(ColourRows rows, List<byte[]> bytes) implements Cacheable {
    @Override
    public Collection<?> arrays() {
        return bytes;
    }
}
