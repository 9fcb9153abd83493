package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.colour.ColourSpace;
import ivrik.core.picture.Depth;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * ProRes (SMPTE RDD 36) in QuickTime for editing: independent pictures of 10 bits, with 16-bit alpha.
 */
final class ProresFormat extends ExportFormat {
    ProresFormat() {
        super("prores", "ProRes in QuickTime, for editing", ".mov");
    }

    @Override
    Optional<Container> container() {
        return Optional.of(new Container("mov", "pcm_s24le", Container.FOR_THE_WEB));
    }

    @Override
    public List<Sampling> samplings() {
        return List.of(Sampling.FULL, Sampling.HALF);
    }

    @Override
    public boolean keepsAlpha(Sampling sampling) {
        return sampling == Sampling.FULL;
    }

    @Override
    public boolean carries(ColourSpace space) {
        return true;
    }

    @Override
    int step(Sampling sampling) {
        return sampling == Sampling.HALF ? 2 : 1;
    }

    @Override
    String encoder(Sampling sampling) {
        return "prores_ks";
    }

    @Override
    int pixelFormat(Depth depth, boolean alpha, Sampling sampling) {
        return sampling == Sampling.HALF
                ? AV_PIX_FMT_YUV422P10
                : alpha ? AV_PIX_FMT_YUVA444P10 : AV_PIX_FMT_YUV444P10;
    }

    @Override
    public boolean isExact() {
        return false;
    }

    @Override
    boolean isRgb() {
        return false;
    }

    @Override
    Map<String, String> settings(AVCodecContext video, MovieWriter.Options options) {
        return options.sampling() == Sampling.HALF
                ? Map.of("profile", "hq", "vendor", "apl0")
                : Map.of("profile", "4444", "vendor", "apl0", "alpha_bits", "16");
    }
}
