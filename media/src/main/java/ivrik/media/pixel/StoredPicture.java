package ivrik.media.pixel;

import ivrik.core.cache.Keepable;
import ivrik.core.picture.ColourRows;

import java.util.Collection;
import java.util.List;

/**
 * An opaque picture in the bytes that it came in: an eighth of what its planes take, where those are bytes of luma
 * with less colour difference.
 *
 * @param rows red, green and blue as delivered, made of the bytes when they are asked for
 */
public record StoredPicture(ColourRows rows, List<byte[]> bytes) implements Keepable {
    @Override
    public Collection<?> arrays() {
        return bytes;
    }
}
