package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.colour.ColourSpace;
import ivrik.core.picture.Depth;
import ivrik.media.ffmpeg.NativeEnvironment;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** AV1 of 10 bits in MP4: the smallest files for a quality. Full chroma uses a slower encoder. */
final class Av1Format extends ExportFormat {
    Av1Format() {
        super("av1", "AV1 in MP4, small files", ".mp4");
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
        return List.of(Sampling.QUARTER, Sampling.FULL);
    }

    @Override
    public boolean keepsAlpha(Sampling sampling) {
        return false;
    }

    @Override
    public boolean carries(ColourSpace space) {
        return true;
    }

    @Override
    int step(Sampling sampling) {
        return sampling == Sampling.FULL ? 1 : 2;
    }

    @Override
    int least() {
        return 16;
    }

    @Override
    String encoder(Sampling sampling) {
        return sampling == Sampling.FULL ? "libaom-av1" : "libsvtav1";
    }

    @Override
    int pixelFormat(Depth depth, boolean alpha, Sampling sampling) {
        return sampling == Sampling.FULL ? AV_PIX_FMT_YUV444P10 : AV_PIX_FMT_YUV420P10;
    }

    @Override
    boolean isRgb() {
        return false;
    }

    @Override
    Map<String, String> settings(AVCodecContext video, MovieWriter.Options options) {
        NativeEnvironment.set("SVT_LOG", "0"); // suppresses the encoder's log on the terminal
        Quality quality = options.quality();
        return options.sampling() == Sampling.FULL
                ? Map.of("crf", "" + quality.of(40, 30, 16), "cpu-used", "8", "row-mt", "1")
                : Map.of("crf", "" + quality.of(42, 32, 14), "preset", "8");
    }
}
