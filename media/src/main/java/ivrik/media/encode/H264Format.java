package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.Depth;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** H.264 of 8 bits in MP4, which every player supports. */
final class H264Format extends ExportFormat {
    /** Keyframe interval, about two seconds. */
    private static final int PICTURES_BETWEEN_WHOLE_ONES = 48;

    /** Bit rate limit that is never reached, so that the quantizer determines the quality. */
    private static final long NO_LIMIT = 200_000_000;

    H264Format() {
        super("h264", "H.264 in MP4, plays almost everywhere", ".mp4");
    }

    @Override
    Optional<Container> container() {
        return Optional.of(new Container("mp4", "aac", Container.FOR_THE_WEB));
    }

    @Override
    public boolean hasQuality() {
        return true;
    }

    @Override
    public List<Sampling> samplings() {
        return List.of(Sampling.QUARTER);
    }

    @Override
    public boolean keepsAlpha(Sampling sampling) {
        return false;
    }

    @Override
    int step(Sampling sampling) {
        return 2;
    }

    @Override
    int least() {
        return 16;
    }

    @Override
    String encoder(Sampling sampling) {
        return "libopenh264";
    }

    @Override
    int pixelFormat(Depth depth, boolean alpha, Sampling sampling) {
        return AV_PIX_FMT_YUV420P;
    }

    @Override
    boolean isRgb() {
        return false;
    }

    /** Constant quantizer; the encoder's rate control gives worse results. */
    @Override
    Map<String, String> settings(AVCodecContext video, MovieWriter.Options options) {
        int fineness = options.quality().of(33, 26, 17);
        video.bit_rate(NO_LIMIT);
        video.qmin(fineness);
        video.qmax(fineness);
        video.gop_size(PICTURES_BETWEEN_WHOLE_ONES);
        return Map.of("rc_mode", "bitrate", "profile", "high", "coder", "cabac");
    }
}
