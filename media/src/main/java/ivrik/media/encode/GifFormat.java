package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_PAL8;

import ivrik.core.picture.Depth;

import java.util.Map;
import java.util.Optional;

/** GIF: 256 colours chosen per picture, with dithering and binary alpha. */
final class GifFormat extends ExportFormat {
    GifFormat() {
        super("gif", "Animated GIF, 256 colours", ".gif");
    }

    @Override
    Optional<Container> container() {
        return Optional.of(new Container("gif", "", Map.of("loop", "0")));
    }

    @Override
    boolean isInParts() {
        return false;
    }

    @Override
    String encoder(Sampling sampling) {
        return "gif";
    }

    @Override
    int pixelFormat(Depth depth, boolean alpha, Sampling sampling) {
        return AV_PIX_FMT_PAL8;
    }

    @Override
    public boolean isExact() {
        return false;
    }

    @Override
    boolean isRgb() {
        return true;
    }
}
