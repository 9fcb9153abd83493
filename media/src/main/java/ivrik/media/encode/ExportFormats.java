package ivrik.media.encode;

import ivrik.core.UnknownNameException;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/** All formats, in the order of their display. */
public final class ExportFormats {
    public static final ExportFormat PNG = new PngFormat();
    public static final ExportFormat TIFF = new TiffFormat();
    public static final ExportFormat EXR = new ExrFormat();
    public static final ExportFormat FFV1 = new Ffv1Format();
    public static final ExportFormat PRORES = new ProresFormat();
    public static final ExportFormat AV1 = new Av1Format();
    public static final ExportFormat VP9 = new Vp9Format();
    public static final ExportFormat H264 = new H264Format();
    public static final ExportFormat WEBP = new WebpFormat();
    public static final ExportFormat APNG = new ApngFormat();
    public static final ExportFormat GIF = new GifFormat();

    private static final List<ExportFormat> ALL =
            List.of(PNG, TIFF, EXR, FFV1, PRORES, AV1, VP9, H264, WEBP, APNG, GIF);

    private ExportFormats() {}

    public static List<ExportFormat> all() {
        return ALL;
    }

    /**
     * @throws UnknownNameException if there is no such format
     */
    public static ExportFormat named(String id) {
        return ALL.stream()
                .filter(f -> f.id().equalsIgnoreCase(id))
                .findFirst()
                .orElseThrow(
                        () ->
                                new UnknownNameException(
                                        "format", id, ALL.stream().map(ExportFormat::id).toList()));
    }

    /** The default format of a file extension; {@code .mp4} is H.264. */
    public static ExportFormat of(Path out) {
        String file = out.getFileName() == null ? "" : out.getFileName().toString();
        String name = file.toLowerCase(Locale.ROOT).replaceAll("\\.tiff$", ".tif");
        return name.endsWith(H264.ending())
                ? H264
                : ALL.stream()
                        .filter(f -> name.endsWith(f.ending()))
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new UnknownNameException(
                                                "format for the extension",
                                                file,
                                                ALL.stream()
                                                        .map(ExportFormat::ending)
                                                        .distinct()
                                                        .toList()));
    }
}
