package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_RGB24;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_RGBA;

import ivrik.core.picture.Depth;

import java.util.Map;
import java.util.Optional;

/** Animated PNG: lossless, with alpha. */
final class ApngFormat extends ExportFormat {
    ApngFormat() {
        super("apng", "Animated PNG, lossless, with alpha", ".apng");
    }

    @Override
    Optional<Container> container() {
        return Optional.of(new Container("apng", "", Map.of("plays", "0")));
    }

    @Override
    boolean isInParts() {
        return false;
    }

    @Override
    String encoder(Sampling sampling) {
        return "apng";
    }

    @Override
    int pixelFormat(Depth depth, boolean alpha, Sampling sampling) {
        return alpha ? AV_PIX_FMT_RGBA : AV_PIX_FMT_RGB24;
    }

    @Override
    boolean isRgb() {
        return true;
    }
}
