package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.Depth;

/** TIFF of 16 bits, deflated. */
final class TiffFormat extends ExportFormat {
    TiffFormat() {
        super("tiff", "TIFF, 16-bit", ".tif");
    }

    @Override
    String encoder(Sampling sampling) {
        return "tiff";
    }

    @Override
    int pixelFormat(Depth depth, boolean alpha, Sampling sampling) {
        return alpha ? AV_PIX_FMT_RGBA64LE : AV_PIX_FMT_RGB48LE;
    }

    @Override
    boolean isRgb() {
        return true;
    }
}
