package ivrik.media.encode;

import ivrik.core.UnknownNameException;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/** All forms, in the order in which they are offered. */
public final class Forms {
    public static final Form PNG = new PngForm();
    public static final Form TIFF = new TiffForm();
    public static final Form EXR = new ExrForm();
    public static final Form FFV1 = new Ffv1Form();
    public static final Form PRORES = new ProresForm();
    public static final Form AV1 = new Av1Form();
    public static final Form VP9 = new Vp9Form();
    public static final Form H264 = new H264Form();
    public static final Form WEBP = new WebpForm();
    public static final Form APNG = new ApngForm();
    public static final Form GIF = new GifForm();

    private static final List<Form> ALL =
            List.of(PNG, TIFF, EXR, FFV1, PRORES, AV1, VP9, H264, WEBP, APNG, GIF);

    private Forms() {}

    public static List<Form> all() {
        return ALL;
    }

    /**
     * @throws UnknownNameException if there is none of that name
     */
    public static Form named(String id) {
        return ALL.stream()
                .filter(f -> f.id().equalsIgnoreCase(id))
                .findFirst()
                .orElseThrow(
                        () ->
                                new UnknownNameException(
                                        "form", id, ALL.stream().map(Form::id).toList()));
    }

    /** The form that the ending of a file's name asks for; {@code .mp4} is H.264. */
    public static Form of(Path out) {
        String name =
                out.getFileName()
                        .toString()
                        .toLowerCase(Locale.ROOT)
                        .replaceAll("\\.tiff$", ".tif");
        return name.endsWith(H264.ending())
                ? H264
                : ALL.stream()
                        .filter(f -> name.endsWith(f.ending()))
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new UnknownNameException(
                                                "form of file for",
                                                out.getFileName().toString(),
                                                ALL.stream()
                                                        .map(Form::ending)
                                                        .distinct()
                                                        .toList()));
    }
}
