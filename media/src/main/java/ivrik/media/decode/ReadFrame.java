package ivrik.media.decode;

import ivrik.core.cache.Store;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.threads.Workers;
import ivrik.media.pixel.StoredPicture;

import java.util.Optional;

/** A frame as it was read: as planes, or where that is enough as it is stored. */
public final class ReadFrame {
    private final Optional<StoredPicture> stored;
    private final Frame planes;

    private ReadFrame(Optional<StoredPicture> stored, Frame planes) {
        this.stored = stored;
        this.planes = planes;
    }

    /** As planes. */
    public static ReadFrame of(Frame planes) {
        return new ReadFrame(Optional.empty(), planes);
    }

    /** As it is stored. */
    public static ReadFrame of(StoredPicture stored) {
        return new ReadFrame(Optional.of(stored), null);
    }

    /** The rows of what is stored; empty where it is planes. */
    public Optional<ColourRows> rows() {
        return stored.map(StoredPicture::rows);
    }

    /** As planes; those of what is stored are made anew each time. */
    public Frame frame(Workers workers) {
        return rows().map(rows -> Frame.of(rows, workers)).orElse(planes);
    }

    /** The memory that it takes. */
    public long bytes() {
        return Store.bytes(stored.<Object>map(s -> s).orElse(planes));
    }
}
