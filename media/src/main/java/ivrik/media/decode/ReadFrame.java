package ivrik.media.decode;

import ivrik.core.cache.FrameCache;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.threads.Workers;
import ivrik.media.pixel.StoredPicture;

import java.util.Optional;

/** A decoded frame, as planes or as stored data. */
public final class ReadFrame {
    private final Optional<StoredPicture> stored;
    private final Frame planes;

    private ReadFrame(Optional<StoredPicture> stored, Frame planes) {
        this.stored = stored;
        this.planes = planes;
    }

    /** A frame as planes. */
    public static ReadFrame of(Frame planes) {
        return new ReadFrame(Optional.empty(), planes);
    }

    /** A frame as stored data. */
    public static ReadFrame of(StoredPicture stored) {
        return new ReadFrame(Optional.of(stored), null);
    }

    /** Rows of stored data; empty for planes. */
    public Optional<ColourRows> rows() {
        return stored.map(StoredPicture::rows);
    }

    /** The frame as planes; stored data is converted on each call. */
    public Frame frame(Workers workers) {
        return rows().map(rows -> Frame.of(rows, workers)).orElse(planes);
    }

    /** Memory of the frame in bytes. */
    public long bytes() {
        return FrameCache.bytes(stored.<Object>map(s -> s).orElse(planes));
    }
}
