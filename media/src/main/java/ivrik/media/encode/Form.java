package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.UnknownNameException;
import ivrik.core.picture.Depth;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** A form in which pictures leave. */
public enum Form {
    PNG("PNG", ".png", "png", null, null),
    TIFF("TIFF, 16 bit", ".tif", "tiff", null, null),
    EXR("OpenEXR, linear light, float", ".exr", "exr", null, null),
    FFV1("FFV1 in Matroska, lossless", ".mkv", "ffv1", "matroska", "flac"),
    VP9("VP9 in WebM", ".webm", "libvpx-vp9", "webm", "libopus"),
    H264("H.264 in MP4", ".mp4", "libopenh264", "mp4", "aac"),
    AV1("AV1 in MP4", ".mp4", "libsvtav1", "mp4", "aac");

    private final String title;
    private final String ending;
    final String encoder;
    final String container;
    final String soundEncoder;

    Form(String title, String ending, String encoder, String container, String soundEncoder) {
        this.title = title;
        this.ending = ending;
        this.encoder = encoder;
        this.container = container;
        this.soundEncoder = soundEncoder;
    }

    public String title() {
        return title;
    }

    public String ending() {
        return ending;
    }

    public boolean isMovie() {
        return container != null;
    }

    public boolean isLossless() {
        return !isMovie() || this == FFV1;
    }

    /** Whether a choice of quality means anything. */
    public boolean hasQuality() {
        return !isLossless();
    }

    /** Whether width and height have to be even. */
    boolean needsEvenSize() {
        return this == H264 || this == AV1;
    }

    /** The form that the ending of a file name asks for; {@code .mp4} is H.264. */
    public static Form of(Path out) {
        String name =
                out.getFileName()
                        .toString()
                        .toLowerCase(Locale.ROOT)
                        .replaceAll("\\.tiff$", ".tif");
        return Arrays.stream(values())
                .filter(f -> name.endsWith(f.ending))
                .findFirst()
                .orElseThrow(
                        () ->
                                new UnknownNameException(
                                        "form of file for",
                                        out.getFileName().toString(),
                                        Stream.of(values()).map(Form::ending).distinct().toList()));
    }

    /** FFmpeg's pixel layout for samples of a depth. */
    int pixelFormat(Depth depth, boolean alpha) {
        boolean deep = depth != Depth.INT8;
        return switch (this) {
            case PNG ->
                    deep
                            ? alpha ? AV_PIX_FMT_RGBA64BE : AV_PIX_FMT_RGB48BE
                            : alpha ? AV_PIX_FMT_RGBA : AV_PIX_FMT_RGB24;
            case TIFF -> alpha ? AV_PIX_FMT_RGBA64LE : AV_PIX_FMT_RGB48LE;
            case EXR -> alpha ? AV_PIX_FMT_GBRAPF32 : AV_PIX_FMT_GBRPF32;
            case FFV1 -> ffv1(depth, alpha);
            case VP9 -> alpha ? AV_PIX_FMT_YUVA420P : AV_PIX_FMT_YUV420P;
            case H264 -> AV_PIX_FMT_YUV420P;
            case AV1 -> AV_PIX_FMT_YUV420P10;
        };
    }

    private static int ffv1(Depth depth, boolean alpha) {
        return switch (depth) {
            case INT8 -> alpha ? AV_PIX_FMT_BGRA : AV_PIX_FMT_BGR0;
            case INT10 -> alpha ? AV_PIX_FMT_GBRAP10 : AV_PIX_FMT_GBRP10;
            case INT12 -> alpha ? AV_PIX_FMT_GBRAP12 : AV_PIX_FMT_GBRP12;
            default -> alpha ? AV_PIX_FMT_GBRAP16 : AV_PIX_FMT_GBRP16;
        };
    }

    /** Whether alpha can be kept. */
    public boolean keepsAlpha() {
        return this != H264 && this != AV1;
    }

    /** The forms of stills, and of movies. */
    public static List<Form> movies(boolean movies) {
        return Stream.of(values()).filter(f -> f.isMovie() == movies).toList();
    }
}
