package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.colour.ColourSpace;
import ivrik.core.picture.Depth;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;

import java.util.Map;
import java.util.Optional;

/** FFV1 version 3 in Matroska (RFC 9043), with FLAC: lossless. */
final class Ffv1Format extends ExportFormat {
    /** Smallest side of a picture that is sliced. */
    private static final int MIN_SLICED = 64;

    Ffv1Format() {
        super("ffv1", "FFV1 in Matroska, lossless", ".mkv");
    }

    @Override
    Optional<Container> container() {
        return Optional.of(new Container("matroska", "flac"));
    }

    @Override
    public boolean carries(ColourSpace space) {
        return true;
    }

    @Override
    String encoder(Sampling sampling) {
        return "ffv1";
    }

    @Override
    int pixelFormat(Depth depth, boolean alpha, Sampling sampling) {
        return switch (depth) {
            case INT8 -> alpha ? AV_PIX_FMT_BGRA : AV_PIX_FMT_BGR0;
            case INT10 -> alpha ? AV_PIX_FMT_GBRAP10 : AV_PIX_FMT_GBRP10;
            case INT12 -> alpha ? AV_PIX_FMT_GBRAP12 : AV_PIX_FMT_GBRP12;
            default -> alpha ? AV_PIX_FMT_GBRAP16 : AV_PIX_FMT_GBRP16;
        };
    }

    @Override
    boolean isRgb() {
        return true;
    }

    @Override
    Map<String, String> settings(AVCodecContext video, MovieWriter.Options options) {
        video.gop_size(1);
        boolean sliced =
                options.size().width() >= MIN_SLICED && options.size().height() >= MIN_SLICED;
        return Map.of("level", "3", "slicecrc", "1", "slices", sliced ? "4" : "1");
    }
}
