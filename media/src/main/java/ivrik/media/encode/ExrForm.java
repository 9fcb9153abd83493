package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.Depth;

/** OpenEXR of 32-bit floats: linear light of BT.709, multiplied by alpha. */
final class ExrForm extends Form {
    ExrForm() {
        super("exr", "OpenEXR, linear light, float", ".exr");
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
