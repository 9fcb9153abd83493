package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.bytedeco.ffmpeg.global.avformat.*;

import ivrik.core.colour.ColourSpace;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.Import;
import ivrik.media.encode.Export;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.OddSizes;
import ivrik.media.encode.Quality;
import ivrik.media.encode.Sampling;
import ivrik.media.sound.SoundReader;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;

class ExportTest {
    private static final Look MOVED =
            BuiltInLooks.named("rgb-split")
                    .withDial("red-x", 3.5)
                    .withDial("blue-y", -2)
                    .withDial("shake", 2);
    private final Workers workers = Workers.shared();

    @TempDir Path folder;

    private Project project;

    @BeforeEach
    void aFourSecondMovieWithATone() {
        Path file = folder.resolve("in.mkv");
        TestMedia.make(
                file,
                new TestMedia.Track("testsrc2=s=96x64:r=24:d=4,format=yuv444p", "ffv1", ""),
                new TestMedia.Track(
                        "sine=frequency=440:sample_rate=44100:duration=4,aformat=sample_fmts=s16",
                        "flac",
                        ""));
        project = Import.project(Import.source(file, "in"), MOVED);
    }

    private Path export(Project p, String name, ExportFormat format, FrameRange range) {
        Path out = folder.resolve(name);
        Export.run(
                Export.Order.of(p, out, format)
                        .withRange(range)
                        .withQuality(Quality.BEST)
                        .withOverwrite(true),
                workers,
                n -> {},
                Cancellation.NEVER);
        return out;
    }

    @Test
    void ditherTouchesOnlyFramesInWhichSomethingIsChanged() {
        for (boolean changed : new boolean[] {false, true}) {
            Project still =
                    project.withLayer(
                            "shots", l -> l.withLook(0, k -> BuiltInLooks.named("neutral")));
            Project fine =
                    changed
                            ? still.withLayer(
                                    "shots",
                                    l ->
                                            l.withLook(
                                                    0,
                                                    k ->
                                                            k.withChannel(
                                                                    0,
                                                                    s ->
                                                                            s.withStrength(
                                                                                    Value.of(
                                                                                            0.503)))))
                            : still;
            Path plain = ordered(fine, "plain" + changed + ".png", false);
            Path dithered = ordered(fine, "dithered" + changed + ".png", true);
            try (Footage a = Footage.open(plain, workers);
                    Footage b = Footage.open(dithered, workers)) {
                var before = a.frame(0, a.size()).colour().getFirst();
                var after = b.frame(0, b.size()).colour().getFirst();
                assertThat(before.sameSamples(after)).isEqualTo(!changed);
            }
        }
    }

    private Path ordered(Project p, String name, boolean dither) {
        Path out = folder.resolve(name);
        Export.run(
                Export.Order.of(p, out, ExportFormats.PNG)
                        .withRange(new FrameRange(3, 3))
                        .withDither(dither),
                workers,
                n -> {},
                Cancellation.NEVER);
        return out;
    }

    @Test
    void losslessMovieAndNumberedStillsAreTheSameFrames() {
        export(project, "still-%03d.png", ExportFormats.PNG, project.allFrames());
        Path movie = export(project, "out.mkv", ExportFormats.FFV1, project.allFrames());
        try (Footage read = Footage.open(movie, workers);
                Footage stills = Footage.open(folder.resolve("still-%03d.png"), workers)) {
            assertThat(read.frames()).isEqualTo(96).isEqualTo(stills.frames());
            assertThat(read.hasSound()).isTrue();
            for (int n = 0; n < 96; n++) {
                Frame a = read.frame(n, read.size());
                Frame b = stills.frame(n, stills.size());
                for (int c = 0; c < 3; c++) {
                    assertThat(a.colour().get(c).sameSamples(b.colour().get(c)))
                            .as("frame %d", n)
                            .isTrue();
                }
            }
        }
        assertThat(TestMedia.sound(movie)).hasSize(4 * 48_000);
    }

    @Test
    void soundIsTrimmedToTheRange() {
        Path movie = export(project, "part.mkv", ExportFormats.FFV1, new FrameRange(24, 47));
        assertThat(TestMedia.sound(movie)).hasSize(48_000);
        try (SoundReader whole = new SoundReader(folder.resolve("in.mkv"));
                SoundReader part = new SoundReader(movie)) {
            float[] expected = whole.read(48_000 + 1000, 500);
            float[] trimmed = part.read(1000, 500);
            for (int i = 0; i < trimmed.length; i++) {
                assertThat(trimmed[i]).isCloseTo(expected[i], within(2e-3f));
            }
            // The energy of the tone by hand: FFmpeg's sine has an amplitude of 1/8.
            double energy = 0;
            for (float v : trimmed) {
                energy += v * v / (double) trimmed.length;
            }
            assertThat(Math.sqrt(2 * energy)).isCloseTo(0.125, within(0.01));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "vp9, 420",
        "vp9, 444",
        "h264, 420",
        "av1, 420",
        "av1, 444",
        "prores, 422",
        "prores, 444"
    })
    void compressedMoviesMatchAndAreTagged(String name, String sample) {
        ExportFormat format = ExportFormats.named(name);
        Path movie = folder.resolve("out" + format.ending());
        Export.run(
                Export.Order.of(project, movie, format)
                        .withRange(new FrameRange(0, 23))
                        .withQuality(Quality.BEST)
                        .withSampling(Sampling.named(sample)),
                workers,
                n -> {},
                Cancellation.NEVER);
        Path exact = export(project, "exact.mkv", ExportFormats.FFV1, new FrameRange(0, 23));
        try (Footage read = Footage.open(movie, workers);
                Footage wanted = Footage.open(exact, workers)) {
            assertThat(read.frames()).isEqualTo(24);
            assertThat(read.rate().toDouble()).isCloseTo(24, within(1e-9));
            Frame a = read.frame(12, read.size());
            Frame b = wanted.frame(12, wanted.size());
            assertThat(apart(a, b, 1)).isLessThan(0.03);
            // Only without chroma subsampling do separated red and blue keep their edges.
            assertThat(apart(a, b, 0)).isLessThan(sample.equals("444") ? 0.03 : 0.1);
        }
        assertThat(tags(movie)).isEqualTo("primaries 1, transfer 1, matrix 1, range 1");
        try (SoundReader sound = new SoundReader(movie)) {
            float[] second = sound.read(0, 48_000);
            assertThat(second[2 * 30_000]).isNotZero();
        }
    }

    private static double apart(Frame a, Frame b, int channel) {
        double sum = 0;
        for (int i = 0; i < 96 * 64; i++) {
            sum += Math.abs(a.colour().get(channel).data()[i] - b.colour().get(channel).data()[i]);
        }
        return sum / (96 * 64);
    }

    @ParameterizedTest
    @CsvSource({
        "display-p3, ffv1,   'primaries 12, transfer 13, matrix 0, range 2'",
        "display-p3, av1,    'primaries 12, transfer 1, matrix 1, range 1'",
        "bt2020,     prores, 'primaries 9, transfer 14, matrix 9, range 1'",
        "bt2100-pq,  av1,    'primaries 9, transfer 16, matrix 9, range 1'",
        "bt2100-hlg, ffv1,   'primaries 9, transfer 18, matrix 0, range 2'",
        "bt2100-pq,  h264,   'primaries 1, transfer 1, matrix 1, range 1'"
    })
    void sequencesAreTaggedAndRoundTrip(String space, String format, String tags) {
        Project wide =
                project.withLayer("shots", l -> l.withLook(0, k -> BuiltInLooks.named("neutral")))
                        .withSequence(project.sequence().withColour(ColourSpace.named(space)));
        ExportFormat chosen = ExportFormats.named(format);
        Path movie = folder.resolve("wide" + chosen.ending());
        List<String> words =
                Export.run(
                        Export.Order.of(wide, movie, chosen)
                                .withRange(new FrameRange(0, 0))
                                .withQuality(Quality.BEST),
                        workers,
                        n -> {},
                        Cancellation.NEVER);
        assertThat(tags(movie)).isEqualTo(tags);
        assertThat(words.stream().anyMatch(w -> w.contains("cannot store")))
                .isEqualTo(format.equals("h264"));
        try (Footage source = Footage.open(Path.of(project.sources().getFirst().path()), workers);
                Footage read = Footage.open(movie, workers)) {
            Frame a = source.frame(0, source.size());
            Frame b = read.frame(0, read.size());
            assertThat(apart(a, b, 1)).isLessThan(chosen == ExportFormats.FFV1 ? 0.004 : 0.03);
        }
    }

    @Test
    void formatsWithoutAlphaNameTheirBackground() throws IOException {
        Path svg =
                Files.writeString(
                        folder.resolve("t.svg"),
                        "<svg xmlns='http://www.w3.org/2000/svg' width='64' height='64'>"
                                + "<rect x='16' y='16' width='32' height='32' fill='#fff'/></svg>");
        Project p = Import.project(Import.source(svg, "t"), BuiltInLooks.named("neutral"));
        for (ExportFormat format : ExportFormats.all()) {
            Path out = folder.resolve("laid" + format.ending());
            List<String> words =
                    Export.run(
                            Export.Order.of(p, out, format)
                                    .withRange(new FrameRange(0, 0))
                                    .withOverwrite(true),
                            workers,
                            n -> {},
                            Cancellation.NEVER);
            boolean keeps = format.keepsAlpha(format.samplings().getFirst());
            assertThat(words.stream().anyMatch(w -> w.contains("composited over black")))
                    .as(format.title())
                    .isEqualTo(!keeps);
        }
    }

    /**
     * The colour tags of a movie's first stream by their numbers in ITU-T H.273; range 1 is limited.
     */
    private static String tags(Path movie) {
        var format = new org.bytedeco.ffmpeg.avformat.AVFormatContext(null);
        avformat_open_input(
                format, movie.toString(), null, (org.bytedeco.ffmpeg.avutil.AVDictionary) null);
        avformat_find_stream_info(format, (org.bytedeco.javacpp.PointerPointer<?>) null);
        var p = format.streams(0).codecpar();
        String tags =
                "primaries "
                        + p.color_primaries()
                        + ", transfer "
                        + p.color_trc()
                        + ", matrix "
                        + p.color_space()
                        + ", range "
                        + p.color_range();
        avformat_close_input(format);
        return tags;
    }

    @Test
    void anOddSizeIsMadeEvenForFormatsThatNeedIt() {
        Path odd = folder.resolve("odd.png");
        TestMedia.make(
                odd, new TestMedia.Track("color=0x808080:s=65x49:d=0.04,format=rgb24", "png", ""));
        Project p = Import.project(Import.source(odd, "odd"), BuiltInLooks.named("neutral"));
        for (OddSizes direction : OddSizes.values()) {
            Path out = folder.resolve(direction + ".mp4");
            List<String> words =
                    Export.run(
                            Export.Order.of(p, out, ExportFormats.H264).withOdd(direction),
                            workers,
                            n -> {},
                            Cancellation.NEVER);
            assertThat(words)
                    .singleElement()
                    .asString()
                    .contains("65x49")
                    .contains(direction.title());
            try (Footage read = Footage.open(out, workers)) {
                assertThat(read.size())
                        .isEqualTo(direction == OddSizes.PAD ? new Size(66, 50) : new Size(64, 48));
            }
        }
    }

    @Test
    void formatsWithAlphaKeepIt() throws IOException {
        Path svg =
                Files.writeString(
                        folder.resolve("t.svg"),
                        "<svg xmlns='http://www.w3.org/2000/svg' width='64' height='64'>"
                                + "<rect x='16' y='16' width='32' height='32' fill='#fff'/></svg>");
        Project p =
                Import.project(
                        Import.source(svg, "t"),
                        BuiltInLooks.named("rgb-split").withDial("red-x", 8));
        for (ExportFormat format :
                List.of(
                        ExportFormats.PNG,
                        ExportFormats.FFV1,
                        ExportFormats.VP9,
                        ExportFormats.PRORES)) {
            try (Footage read =
                    Footage.open(
                            export(p, "alpha" + format.ending(), format, new FrameRange(0, 0)),
                            workers)) {
                Frame frame = read.frame(0, read.size());
                assertThat(frame.isOpaque()).isFalse();
                assertThat(frame.coverage().getFirst().at(52, 30)).isCloseTo(1f, within(0.03f));
                assertThat(frame.colour().get(0).at(52, 30)).isCloseTo(1f, within(0.05f));
                assertThat(frame.coverage().getFirst().at(5, 5)).isCloseTo(0f, within(0.03f));
            }
        }
    }

    @Test
    void aCancelledExportKeepsTheFormerFile() throws IOException {
        Path out = Files.writeString(folder.resolve("kept.mkv"), "mine");
        List<Long> done = new CopyOnWriteArrayList<>();
        var order = Export.Order.of(project, out, ExportFormats.FFV1).withOverwrite(true);
        assertThatThrownBy(() -> Export.run(order, workers, done::add, () -> done.size() >= 5))
                .isInstanceOf(CancelledException.class);
        assertThat(out).hasContent("mine");
        try (var files = Files.list(folder)) {
            assertThat(files.filter(f -> f.toString().endsWith(".part"))).isEmpty();
        }
    }

    @Test
    void impossibleTargetsAndSourcesAreReported() throws IOException {
        assertThatThrownBy(
                        () ->
                                export(
                                        project,
                                        "no/such/folder/a.mkv",
                                        ExportFormats.FFV1,
                                        new FrameRange(0, 0)))
                .isInstanceOf(UnwritableTargetException.class)
                .hasMessageContaining("does not exist");
        assertThatThrownBy(
                        () -> export(project, "one.png", ExportFormats.PNG, new FrameRange(0, 3)))
                .hasMessageContaining("holds one frame, not 4");
        Files.createDirectory(folder.resolve("dir.mkv"));
        assertThatThrownBy(
                        () -> export(project, "dir.mkv", ExportFormats.FFV1, new FrameRange(0, 0)))
                .hasMessageContaining("is a folder");
        Files.delete(folder.resolve("in.mkv"));
        assertThatThrownBy(() -> export(project, "a.mkv", ExportFormats.FFV1, new FrameRange(0, 0)))
                .isInstanceOf(MissingFileException.class);
        assertThat(folder.resolve("a.mkv")).doesNotExist();
    }
}
