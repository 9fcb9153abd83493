package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.Depth;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** H.264 of 8 bit in MP4, which everything plays. */
final class H264Form extends Form {
    /** Two seconds or so: players find their place at whole pictures only. */
    private static final int PICTURES_BETWEEN_WHOLE_ONES = 48;

    /** More than is ever needed, so that the fineness alone decides. */
    private static final long NO_LIMIT = 200_000_000;

    H264Form() {
        super("h264", "H.264 in MP4, plays everywhere", ".mp4");
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

    /** One fineness for all pictures: this encoder's own ways of holding a rate are worse. */
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
