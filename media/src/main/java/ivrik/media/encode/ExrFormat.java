package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.Depth;

/** OpenEXR of 32-bit floats: linear light with BT.709 primaries, premultiplied. */
final class ExrFormat extends ExportFormat {
    ExrFormat() {
        super("exr", "OpenEXR, float, linear light", ".exr");
    }

    @Override
    String encoder(Sampling sampling) {
        return "exr";
    }

    @Override
    int pixelFormat(Depth depth, boolean alpha, Sampling sampling) {
        return alpha ? AV_PIX_FMT_GBRAPF32 : AV_PIX_FMT_GBRPF32;
    }

    @Override
    boolean isRgb() {
        return true;
    }
}
