package ivrik.media.decode;

import ivrik.core.colour.ColourSpace;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What the user should know of a piece of footage that is not as one would expect. */
final class Remarks {
    /** What an ending promises: words that FFmpeg's names of form or container have in them. */
    private static final Map<String, List<String>> PROMISES =
            Map.ofEntries(
                    Map.entry("jpg", List.of("jpeg")),
                    Map.entry("jpeg", List.of("jpeg")),
                    Map.entry("png", List.of("png")),
                    Map.entry("tif", List.of("tiff")),
                    Map.entry("tiff", List.of("tiff")),
                    Map.entry("gif", List.of("gif")),
                    Map.entry("webp", List.of("webp")),
                    Map.entry("bmp", List.of("bmp")),
                    Map.entry("exr", List.of("exr")),
                    Map.entry("tga", List.of("targa")),
                    Map.entry("dpx", List.of("dpx")),
                    Map.entry("svg", List.of("svg")),
                    Map.entry("heic", List.of("hevc", "heif")),
                    Map.entry("avif", List.of("av1", "heif")),
                    Map.entry("mp4", List.of("mp4")),
                    Map.entry("m4v", List.of("mp4", "m4v")),
                    Map.entry("mov", List.of("mov")),
                    Map.entry("mkv", List.of("matroska")),
                    Map.entry("webm", List.of("webm")),
                    Map.entry("avi", List.of("avi")),
                    Map.entry("ts", List.of("mpegts")),
                    Map.entry("m2ts", List.of("mpegts")),
                    Map.entry("mpg", List.of("mpeg")),
                    Map.entry("flv", List.of("flv")));

    private Remarks() {}

    static List<String> on(Footage footage, Path path) {
        List<String> remarks = new ArrayList<>();
        misnamed(footage, path).ifPresent(remarks::add);
        if (footage.isUneven()) {
            remarks.add(
                    "its frames come unevenly; they are shown by their times, at "
                            + footage.rate()
                            + " a second");
        }
        if (footage.isCounted()) {
            remarks.add(
                    "its own times cannot be believed: its frames are counted from the beginning,"
                            + " which is exact but slow");
        }
        if (footage.layers().size() > 1) {
            remarks.add(
                    "it has the layers "
                            + String.join(", ", footage.layers())
                            + "; the first of these is shown");
        }
        Colours colours = footage.colours();
        if (colours.highRange()) {
            remarks.add(
                    "it holds more than white ("
                            + colours.word()
                            + "): reference white is taken as white, what is brighter lies above");
        } else if (colours.to(ColourSpace.SRGB).isPresent()
                && !colours.word().endsWith("linear light")) {
            remarks.add("its colours (" + colours.word() + ") are brought to the sequence's");
        }
        if (footage instanceof Footage.Vector vector && vector.graphic().isReduced()) {
            remarks.add(
                    "it says a size that is too large to draw; it is taken as " + footage.size());
        }
        return remarks;
    }

    private static Optional<String> misnamed(Footage footage, Path path) {
        String name = path.getFileName().toString().toLowerCase(Locale.ROOT);
        String ending = name.substring(name.lastIndexOf('.') + 1);
        String content = footage.form() + " " + footage.container();
        List<String> promised = PROMISES.get(ending);
        return promised == null || promised.stream().anyMatch(content::contains)
                ? Optional.empty()
                : Optional.of(
                        "its name says "
                                + ending
                                + ", but its content is "
                                + footage.form().replace("mjpeg", "jpeg"));
    }
}
