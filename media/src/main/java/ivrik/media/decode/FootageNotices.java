package ivrik.media.decode;

import ivrik.core.colour.ColourSpace;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Messages about unexpected properties of footage. */
final class FootageNotices {
    /** Words that FFmpeg's format or container names contain, by file extension. */
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

    private FootageNotices() {}

    static List<String> on(Footage footage, Path path) {
        List<String> notices = new ArrayList<>();
        misnamed(footage, path).ifPresent(notices::add);
        if (footage.isUneven()) {
            notices.add(
                    "variable frame rate; frames are shown by their time stamps at "
                            + footage.rate()
                            + " fps");
        }
        if (footage.isCounted()) {
            notices.add(
                    "unreliable time stamps: frames are counted from the start, which is exact but"
                            + " slow");
        }
        if (footage.layers().size() > 1) {
            notices.add("layers: " + String.join(", ", footage.layers()) + "; the first is used");
        }
        FootageColours colours = footage.colours();
        if (colours.highRange()) {
            notices.add(
                    "high dynamic range ("
                            + colours.text()
                            + "): reference white is mapped to 1, brighter values lie above 1");
        } else if (colours.to(ColourSpace.SRGB).isPresent()
                && !colours.text().endsWith("linear light")) {
            notices.add("converted from " + colours.text() + " to the sequence's colour space");
        }
        if (footage instanceof Footage.Vector vector && vector.graphic().isReduced()) {
            notices.add("the stated size is too large; " + footage.size() + " px used");
        }
        return notices;
    }

    private static Optional<String> misnamed(Footage footage, Path path) {
        String name = path.getFileName().toString().toLowerCase(Locale.ROOT);
        String ending = name.substring(name.lastIndexOf('.') + 1);
        String content = footage.format() + " " + footage.container();
        List<String> promised = PROMISES.get(ending);
        return promised == null || promised.stream().anyMatch(content::contains)
                ? Optional.empty()
                : Optional.of(
                        "the extension is "
                                + ending
                                + ", but the file contains "
                                + footage.format().replace("mjpeg", "jpeg"));
    }
}
