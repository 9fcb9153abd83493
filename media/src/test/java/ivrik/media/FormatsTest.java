package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.picture.Frame;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.MovieReader;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.Sampling;
import ivrik.media.sound.SoundReader;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * The table in {@code docs/formats.md} equals the result of trying each format. {@code -Divrik.docs=write}
 * updates the page.
 */
class FormatsTest {
    private static final Path DOCUMENT =
            Path.of(System.getProperty("ivrik.home"), "docs/formats.md");
    private static final Path FIXTURES = Path.of("src/test/resources/formats");

    /**
     * The part of the page below this heading is measured by the bench and differs between machines.
     */
    private static final String MEASURED = "## Quality of compressed movies";

    @TempDir Path folder;

    private record Row(String... cells) {
        String line() {
            return "| " + String.join(" | ", cells) + " |";
        }
    }

    /** A picture of each format, and the PNG with the expected pixels. */
    private static final String[][] STILLS = {
        {"PNG, 8 and 16 bit", "base.png", "base.png"},
        {"PNG with a palette", "palette.png", "palette.png"},
        {"JPEG", "plain.jpg", "base8.png"},
        {"JPEG, progressive", "progressive.jpg", "base8.png"},
        {"JPEG, grey", "grey.jpg", "grey.png"},
        {"JPEG, CMYK", "cmyk.jpg", "base8.png"},
        {"JPEG with Exif orientation", "orient6.jpg", ""},
        {"TIFF in strips", "strips8.tif", "base8.png"},
        {"TIFF in tiles", "tiles16.tif", "base.png"},
        {"TIFF, planar", "planar8.tif", "base8.png"},
        {"TIFF, LZW with predictor", "lzw16.tif", "base.png"},
        {"TIFF, deflated", "zip16.tif", "base.png"},
        {"TIFF, PackBits", "packbits8.tif", "base8.png"},
        {"TIFF, JPEG", "jpeg8.tif", "base8.png"},
        {"TIFF, 32-bit float", "float32.tif", "base.png"},
        {"TIFF, half float", "half16.tif", "base.png"},
        {"TIFF, 32-bit integer", "whole32.tif", "base.png"},
        {"TIFF, associated alpha", "associated8.tif", "base8.png"},
        {"TIFF, unassociated alpha", "unassociated16.tif", "base.png"},
        {"TIFF, CMYK", "cmyk8.tif", "base8.png"},
        {"TIFF with a palette", "palette.tif", "palette.png"},
        {"TIFF with orientation", "orient6.tif", ""},
        {"BigTIFF", "big16.tif", "base.png"},
        {"TIFF, big-endian", "bigendian16.tif", "base.png"},
        {"TGA", "plain.tga", "base8.png"},
        {"TGA, run-length encoded", "rle.tga", "base8.png"},
        {"BMP", "plain.bmp", "base8.png"},
        {"PPM", "plain.ppm", "base8.png"},
        {"HEIC, odd size", "odd.heic", "odd.png"},
        {"HEIC in tiles", "grid.heic", "grid.png"},
    };

    /** Container, video encoder, its options, audio encoder, its sample format. */
    private static final String[][] MOVIES = {
        {"mp4", "mpeg4", "-bf 2 -g 60", "aac", "fltp"},
        {"mp4", "libopenh264", "-g 20", "aac", "fltp"},
        {"mov", "mpeg4", "-bf 2 -g 60", "pcm_s16le", "s16"},
        {"mov", "prores_ks", "-profile hq", "pcm_s16le", "s16"},
        {"mkv", "mpeg2video", "-bf 2 -g 60", "flac", "s16"},
        {"mkv", "ffv1", "", "pcm_s16le", "s16"},
        {"mkv", "libopenh264", "-g 20", "ac3", "fltp"},
        {"webm", "libvpx-vp9", "-b 0 -crf 10 -g 60", "libopus", "s16"},
        {"webm", "libvpx", "-b 2000000 -g 30", "libopus", "s16"},
        {"avi", "mpeg4", "-bf 2 -g 60", "pcm_s16le", "s16"},
        {"ts", "libopenh264", "-g 20", "aac", "fltp"},
        {"m2ts", "mpeg2video", "-bf 2 -g 15", "ac3", "fltp"},
        {"mpg", "mpeg2video", "-bf 2 -g 15", "mp2", "s16"},
        {"flv", "flv", "-g 20", "libmp3lame", "fltp"},
        {"nut", "mpeg4", "-bf 2 -g 60", "flac", "s16"},
        {"h264", "libopenh264", "-g 20", "", ""},
        {"m2v", "mpeg2video", "-bf 2 -g 15", "", ""},
        {"ivf", "libvpx-vp9", "-b 0 -crf 10 -g 60", "", ""},
    };

    @Test
    void theFormatsPageIsCurrent() throws IOException {
        StringBuilder text = new StringBuilder();
        text.append("# File formats\n\n");
        text.append(
                "`FormatsTest` tests every format and checks this page. To update the page, run"
                        + " `mvn test -pl core,media -Dtest=FormatsTest -Divrik.docs=write`.\n\n");
        text.append("## Images: import\n\n");
        text.append(
                table(
                        new Row(
                                "format",
                                "size",
                                "depth",
                                "mean error, 8-bit codes",
                                "largest error"),
                        stills()));
        text.append(
                "\n"
                    + "Also: OpenEXR with layers, partial data windows and chromaticities;"
                    + " Radiance; animated GIF, APNG and WebP as movies; SVG with images from its"
                    + " own folder. ICC profiles, gamma and chromaticity tags, BT.2020, P3, PQ and"
                    + " HLG are converted to the colour space of the sequence. The footage settings"
                    + " can turn the conversion off.\n\n");
        text.append("## Movies: import\n\n");
        text.append(
                table(
                        new Row(
                                "container",
                                "video",
                                "sound",
                                "frame numbers exact",
                                "frames found by",
                                "sound error"),
                        movies()));
        text.append(
                "\n"
                    + "MP3 in AVI starts late by the delay of its encoder (0.02 s), which the AVI"
                    + " container does not store.\n\n");
        text.append("## Export\n\n");
        text.append(
                table(
                        new Row(
                                "format",
                                "`--format`",
                                "extension",
                                "chroma sampling",
                                "alpha",
                                "wide colour",
                                "lossless"),
                        formats()));
        text.append("\n");
        String before = Files.isRegularFile(DOCUMENT) ? Files.readString(DOCUMENT) : "";
        int measured = before.indexOf(MEASURED);
        if ("write".equals(System.getProperty("ivrik.docs"))) {
            Files.writeString(
                    DOCUMENT, text + (measured < 0 ? MEASURED + "\n" : before.substring(measured)));
        }
        assertThat(text.toString())
                .isEqualTo(
                        "write".equals(System.getProperty("ivrik.docs"))
                                ? text.toString()
                                : before.substring(0, Math.max(0, measured)));
    }

    private static String table(Row head, List<Row> rows) {
        String line = "|" + "---|".repeat(head.cells().length);
        return head.line()
                + "\n"
                + line
                + "\n"
                + rows.stream().map(Row::line).collect(Collectors.joining("\n"))
                + "\n";
    }

    private static List<Row> stills() throws IOException {
        List<Row> rows = new ArrayList<>();
        for (String[] still : STILLS) {
            Path file = FIXTURES.resolve(still[1]);
            try (Footage footage = Footage.open(file, Workers.shared())) {
                String mean = "upright";
                String most = "";
                if (!still[2].isEmpty()) {
                    StillFormatsTest.Apart apart = StillFormatsTest.apart(file, still[2]);
                    assertThat(apart.mean()).as(still[1]).isLessThan(8);
                    mean = apart.most() < 0.001 ? "exact" : number(apart.mean());
                    most = apart.most() < 0.001 ? "" : number(apart.most());
                }
                rows.add(
                        new Row(
                                still[0],
                                footage.size().toString(),
                                footage.depth().name().toLowerCase(Locale.ROOT),
                                mean,
                                most));
            }
        }
        return rows;
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    private List<Row> movies() {
        List<Row> rows = new ArrayList<>();
        int number = 0;
        for (String[] m : MOVIES) {
            Path file = folder.resolve("m" + number++ + "." + m[0]);
            String format = m[1].equals("prores_ks") ? "yuv422p10" : "yuv420p";
            var picture =
                    new TestMedia.Track(
                            "color=black:s=64x48:r=25:d=2,format=yuv420p,geq=lum=16+4*N:cb=128:"
                                    + "cr=128,format="
                                    + format,
                            m[1],
                            m[2]);
            if (m[3].isEmpty()) {
                TestMedia.make(file, picture);
            } else {
                TestMedia.make(
                        file,
                        picture,
                        new TestMedia.Track(
                                "aevalsrc=exprs=0.8*sin(2*PI*1000*t)*between(t\\,0.8\\,0.82):s=48000"
                                    + ":d=2,aformat=channel_layouts=stereo:sample_fmts="
                                        + m[4],
                                m[3],
                                ""));
            }
            try (MovieReader reader = new MovieReader(file, Workers.shared())) {
                boolean exact = reader.frames() == 50;
                for (int n : new int[] {49, 0, 25, 24, 48, 10, 11, 30, 1}) {
                    Frame frame = reader.frame(n);
                    exact &= Math.abs(frame.colour().get(1).at(20, 20) * 219 / 4 - n) < 0.45;
                }
                assertThat(exact).as("%s %s", m[0], m[1]).isTrue();
                rows.add(
                        new Row(
                                m[0],
                                m[1].replace("lib", "").replace("_ks", ""),
                                m[3].isEmpty() ? "none" : m[3].replace("lib", ""),
                                exact ? "yes" : "no",
                                reader.isCounted() ? "counting" : "time stamps",
                                m[3].isEmpty() ? "" : sound(file)));
            }
        }
        return rows;
    }

    private static String sound(Path file) {
        try (SoundReader reader = new SoundReader(file)) {
            float[] heard = reader.read(0, 2 * SoundReader.RATE);
            for (int i = 0; i < heard.length; i += 2) {
                if (Math.abs(heard[i]) > 0.1) {
                    double off = Math.abs(i / 2.0 / SoundReader.RATE - 0.8);
                    assertThat(off).as("%s", file).isLessThan(0.01);
                    return off < 0.002 ? "under 0.002 s" : "under 0.01 s";
                }
            }
        }
        throw new AssertionError("no click in " + file);
    }

    private static List<Row> formats() {
        List<Row> rows = new ArrayList<>();
        for (ExportFormat format : ExportFormats.all()) {
            boolean wide =
                    format.carries(ivrik.core.colour.ColourSpace.BT2100_PQ)
                            || format.carries(ivrik.core.colour.ColourSpace.DISPLAY_P3);
            String alpha =
                    format.samplings().stream()
                            .filter(format::keepsAlpha)
                            .map(Sampling::id)
                            .collect(Collectors.joining(", "));
            rows.add(
                    new Row(
                            format.title(),
                            format.id(),
                            format.ending(),
                            format.samplings().stream()
                                    .map(Sampling::id)
                                    .collect(Collectors.joining(", ")),
                            alpha.isEmpty()
                                    ? "composited over black"
                                    : format.isMovie() ? alpha : "yes",
                            wide ? "tagged" : "converted to BT.709",
                            format.isExact() ? "yes" : "no"));
        }
        return rows;
    }
}
