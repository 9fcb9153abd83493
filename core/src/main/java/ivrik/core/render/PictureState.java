package ivrik.core.render;

import ivrik.core.cache.CacheKey;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;

import java.util.Optional;

/**
 * A picture on its way through a look's pipeline. An opaque picture consists of rows that are computed on
 * request; a picture with coverage consists of planes. Between separation and rejoin the state also holds the
 * channels.
 */
final class PictureState {
    private final RenderContext renderContext;
    private CacheKey key;

    /** Rows of an opaque picture; null with coverage. */
    private ColourRows rows;

    /** Planes, once computed. */
    private Frame frame;

    private Optional<ChannelCoverage> channelCoverage = Optional.empty();

    /** Channels while separated. */
    private Channels channels;

    private PictureState(PictureState other) {
        this.renderContext = other.renderContext;
        this.key = other.key;
        this.rows = other.rows;
        this.frame = other.frame;
    }

    PictureState(Frame frame, CacheKey key, RenderContext renderContext) {
        this.renderContext = renderContext;
        set(frame, key);
    }

    /** An opaque picture that has no planes yet. */
    PictureState(ColourRows rows, CacheKey key, RenderContext renderContext) {
        this.renderContext = renderContext;
        set(rows, key);
    }

    /** A copy that can be changed independently. */
    PictureState copy() {
        PictureState copy = new PictureState(this);
        copy.channelCoverage = channelCoverage;
        return copy;
    }

    RenderContext renderContext() {
        return renderContext;
    }

    /** Everything that the picture depends on. */
    CacheKey key() {
        return key;
    }

    boolean isOpaque() {
        return rows != null;
    }

    Size size() {
        return isOpaque() ? rows.size() : frame.size();
    }

    void set(Frame made, CacheKey of) {
        key = of;
        frame = made;
        rows = made.isOpaque() ? ColourRows.ofPlanes(made.colour()) : null;
        channelCoverage = Optional.empty();
    }

    /** Sets an opaque picture. */
    void set(ColourRows made, CacheKey of) {
        key = of;
        frame = null;
        rows = made;
        channelCoverage = Optional.empty();
    }

    /** Rows of an opaque picture. */
    ColourRows rows() {
        return rows;
    }

    /** The whole picture; rows are computed once and kept. */
    Frame frame() {
        if (frame == null) {
            ColourRows made = rows;
            set(
                    renderContext
                            .cache()
                            .get(
                                    key,
                                    () -> Frame.of(made, renderContext.workers()),
                                    renderContext.cancel()::isCancelled),
                    key);
        }
        return frame;
    }

    /** Computes an opaque picture now if the same one was requested before. */
    void settle() {
        if (frame == null && renderContext.recurs(key)) {
            frame();
        }
    }

    /** Separate coverage of the channels; empty if they share one. */
    Optional<ChannelCoverage> channelCoverage() {
        return channelCoverage;
    }

    void setChannelCoverage(Optional<ChannelCoverage> parted) {
        channelCoverage = parted;
    }

    Channels channels() {
        return channels;
    }

    void setChannels(Channels separated) {
        channels = separated;
    }
}
