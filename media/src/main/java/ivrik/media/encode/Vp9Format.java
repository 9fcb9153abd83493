package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.Depth;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** VP9 in WebM with Opus, with alpha or full chroma (profile 1). */
final class Vp9Format extends ExportFormat {
    Vp9Format() {
        super("vp9", "VP9 in WebM, for web pages, with alpha", ".webm");
    }

    @Override
    Optional<Container> container() {
        return Optional.of(new Container("webm", "libopus"));
    }

    /** NUT cannot store alpha, which is side data of the packets. */
    @Override
    Container part() {
        return new Container("webm", "");
    }

    @Override
    public boolean hasQuality() {
        return true;
    }

    @Override
    public List<Sampling> samplings() {
        return List.of(Sampling.QUARTER, Sampling.FULL);
    }

    @Override
    public boolean keepsAlpha(Sampling sampling) {
        return sampling == Sampling.QUARTER;
    }

    @Override
    String encoder(Sampling sampling) {
        return "libvpx-vp9";
    }

    @Override
    int pixelFormat(Depth depth, boolean alpha, Sampling sampling) {
        return sampling == Sampling.FULL
                ? AV_PIX_FMT_YUV444P
                : alpha ? AV_PIX_FMT_YUVA420P : AV_PIX_FMT_YUV420P;
    }

    @Override
    boolean isRgb() {
        return false;
    }

    @Override
    Map<String, String> settings(AVCodecContext video, MovieWriter.Options options) {
        return Map.of(
                "crf",
                "" + options.quality().of(42, 30, 16),
                "b",
                "0",
                "cpu-used",
                "4",
                "row-mt",
                "1");
    }
}
