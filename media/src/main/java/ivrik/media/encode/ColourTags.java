package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.colour.ColourSpace;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;

/** Colour tags of an encoded movie. */
final class ColourTags {
    private ColourTags() {}

    /**
     * @param rgb whether the pictures are stored as red, green and blue
     */
    static void set(AVCodecContext encoder, ColourSpace space, boolean rgb) {
        boolean wide = space.primaries().equals(ivrik.core.colour.Primaries.BT2020);
        encoder.color_primaries(
                wide
                        ? AVCOL_PRI_BT2020
                        : space == ColourSpace.DISPLAY_P3 ? AVCOL_PRI_SMPTE432 : AVCOL_PRI_BT709);
        encoder.color_trc(
                switch (space) {
                    case SRGB, DISPLAY_P3 -> rgb ? AVCOL_TRC_IEC61966_2_1 : AVCOL_TRC_BT709;
                    case BT2020 -> AVCOL_TRC_BT2020_10;
                    case BT2100_PQ -> AVCOL_TRC_SMPTE2084;
                    case BT2100_HLG -> AVCOL_TRC_ARIB_STD_B67;
                });
        encoder.colorspace(rgb ? AVCOL_SPC_RGB : wide ? AVCOL_SPC_BT2020_NCL : AVCOL_SPC_BT709);
        encoder.color_range(rgb ? AVCOL_RANGE_JPEG : AVCOL_RANGE_MPEG);
        if (!rgb) {
            encoder.chroma_sample_location(AVCHROMA_LOC_LEFT);
        }
    }
}
