package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_BGRA;

import ivrik.core.picture.Depth;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;

import java.util.Map;
import java.util.Optional;

/** Animated WebP with alpha; lossless at best quality. */
final class WebpFormat extends ExportFormat {
    WebpFormat() {
        super("webp", "Animated WebP, small files, with alpha", ".webp");
    }

    @Override
    Optional<Container> container() {
        return Optional.of(new Container("webp", "", Map.of("loop", "0")));
    }

    @Override
    boolean isInParts() {
        return false;
    }

    @Override
    public boolean hasQuality() {
        return true;
    }

    @Override
    String encoder(Sampling sampling) {
        return "libwebp_anim";
    }

    @Override
    int pixelFormat(Depth depth, boolean alpha, Sampling sampling) {
        return AV_PIX_FMT_BGRA;
    }

    @Override
    boolean isRgb() {
        return true;
    }

    @Override
    Map<String, String> settings(AVCodecContext video, MovieWriter.Options options) {
        return options.quality() == Quality.BEST
                ? Map.of("lossless", "1")
                : Map.of("quality", "" + options.quality().of(60, 85, 100));
    }
}
