package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.colour.Primaries;
import ivrik.core.colour.Transfer;

import org.bytedeco.ffmpeg.avcodec.AVPacketSideData;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVFrameSideData;

import java.nio.file.Path;
import java.util.Optional;

/** Colour interpretation of a decoded picture from FFmpeg's metadata. */
final class FrameColourTags {
    private FrameColourTags() {}

    /** By its ICC profile, otherwise by its tags. */
    static FootageColours of(AVFrame picture) {
        return profile(picture).flatMap(IccProfile::colours).orElseGet(() -> byTags(picture));
    }

    /** The same, with the stream's profile if the picture has none. */
    static FootageColours of(AVFrame picture, AVStream stream) {
        AVPacketSideData all = stream.codecpar().coded_side_data();
        for (int i = 0; i < stream.codecpar().nb_coded_side_data(); i++) {
            AVPacketSideData data = all.getPointer(i);
            if (data.type() == AV_PKT_DATA_ICC_PROFILE && profile(picture).isEmpty()) {
                byte[] bytes = new byte[Math.toIntExact(data.size())];
                data.data().capacity(bytes.length).get(bytes);
                return IccProfile.colours(bytes).orElseGet(() -> byTags(picture));
            }
        }
        return of(picture);
    }

    /** The same, with metadata of the file itself for formats that need it. */
    static FootageColours of(AVFrame picture, AVStream stream, Path file) {
        return switch (stream.codecpar().codec_id()) {
            case AV_CODEC_ID_RADIANCE_HDR ->
                    FootageColours.of("linear light", Primaries.SRGB, Transfer.LINEAR);
            case AV_CODEC_ID_PNG -> PngColours.of(file).orElseGet(() -> of(picture, stream));
            default -> of(picture, stream);
        };
    }

    private static Optional<byte[]> profile(AVFrame picture) {
        AVFrameSideData data = av_frame_get_side_data(picture, AV_FRAME_DATA_ICC_PROFILE);
        if (data == null || data.isNull()) {
            return Optional.empty();
        }
        byte[] bytes = new byte[Math.toIntExact(data.size())];
        data.data().capacity(bytes.length).get(bytes);
        return Optional.of(bytes);
    }

    /**
     * The transfer functions of video and sRGB are treated as equal, because both are shown on the same displays
     * unchanged; so are the nearly equal primaries of BT.601 and BT.709.
     */
    private static FootageColours byTags(AVFrame picture) {
        boolean light = picture.color_trc() == AVCOL_TRC_LINEAR;
        Primaries primaries =
                switch (picture.color_primaries()) {
                    case AVCOL_PRI_BT2020 -> Primaries.BT2020;
                    case AVCOL_PRI_SMPTE432 -> Primaries.DISPLAY_P3;
                    case AVCOL_PRI_SMPTE431 -> Primaries.DCI_P3;
                    default -> Primaries.SRGB;
                };
        boolean rgb = (av_pix_fmt_desc_get(picture.format()).flags() & AV_PIX_FMT_FLAG_RGB) != 0;
        Transfer usual =
                primaries.equals(Primaries.SRGB) || rgb || primaries.equals(Primaries.DISPLAY_P3)
                        ? Transfer.SRGB
                        : Transfer.BT1886;
        Transfer transfer =
                switch (picture.color_trc()) {
                    case AVCOL_TRC_SMPTE2084 -> Transfer.PQ;
                    case AVCOL_TRC_ARIB_STD_B67 -> Transfer.HLG;
                    case AVCOL_TRC_SMPTE428 -> Transfer.GAMMA26;
                    default ->
                            light
                                    ? Transfer.LINEAR
                                    : primaries.equals(Primaries.DCI_P3) ? Transfer.GAMMA26 : usual;
                };
        return FootageColours.of(name(primaries) + ", " + name(transfer), primaries, transfer);
    }

    static String name(Primaries primaries) {
        return primaries.equals(Primaries.SRGB)
                ? "BT.709"
                : primaries.equals(Primaries.BT2020)
                        ? "BT.2020"
                        : primaries.equals(Primaries.DISPLAY_P3)
                                ? "Display P3"
                                : primaries.equals(Primaries.DCI_P3)
                                        ? "DCI P3"
                                        : "custom primaries";
    }

    private static String name(Transfer transfer) {
        return switch (transfer) {
            case LINEAR -> "linear light";
            case SRGB -> "sRGB";
            case BT1886 -> "gamma 2.4";
            case GAMMA26 -> "gamma 2.6";
            case PQ -> "PQ";
            case HLG -> "HLG";
        };
    }
}
