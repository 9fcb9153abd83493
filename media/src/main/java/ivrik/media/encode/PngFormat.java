package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.colour.ColourSpace;
import ivrik.core.picture.Depth;

/** PNG of 8 or 16 bits. */
final class PngFormat extends ExportFormat {
    PngFormat() {
        super("png", "PNG", ".png");
    }

    @Override
    public boolean carries(ColourSpace space) {
        return space != ColourSpace.BT2020;
    }

    @Override
    String encoder(Sampling sampling) {
        return "png";
    }

    @Override
    int pixelFormat(Depth depth, boolean alpha, Sampling sampling) {
        return depth == Depth.INT8
                ? alpha ? AV_PIX_FMT_RGBA : AV_PIX_FMT_RGB24
                : alpha ? AV_PIX_FMT_RGBA64BE : AV_PIX_FMT_RGB48BE;
    }

    @Override
    boolean isRgb() {
        return true;
    }
}
