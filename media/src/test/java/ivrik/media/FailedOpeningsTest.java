package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import ivrik.core.IvrikException;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.project.Source.FootageSettings;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.MovieReader;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.MovieWriter;
import ivrik.media.encode.Quality;
import ivrik.media.sound.SoundReader;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;

/** A failed opening or reopening leaves no file open and no partial file behind. */
class FailedOpeningsTest {
    private static final int TIMES = 40;
    private static final Path OPEN = Path.of("/proc/self/fd");

    @TempDir Path folder;

    @BeforeEach
    void theSystemSaysWhichFilesAreOpen() {
        assumeTrue(Files.isDirectory(OPEN));
    }

    /** The number of open files in the folder of the test. */
    private long open() throws IOException {
        long count = 0;
        try (var files = Files.newDirectoryStream(OPEN)) {
            for (Path file : files) {
                // A file may close during the listing.
                if (Files.isSymbolicLink(file) && Files.readSymbolicLink(file).startsWith(folder)) {
                    count++;
                }
            }
        }
        return count;
    }

    private void failing(Runnable opening) throws IOException {
        long before = open();
        for (int i = 0; i < TIMES; i++) {
            assertThatThrownBy(opening::run).isInstanceOf(IvrikException.class);
        }
        assertThat(open()).isEqualTo(before);
    }

    @Test
    void movies() throws IOException {
        Path whole =
                TestMedia.make(
                        folder.resolve("whole.mp4"),
                        new TestMedia.Track(
                                "testsrc2=s=64x48:r=24:d=1,format=yuv420p", "libopenh264", ""));
        byte[] bytes = Files.readAllBytes(whole);
        Path cut = folder.resolve("cut.mp4");
        Files.write(cut, Arrays.copyOf(bytes, 600));
        failing(() -> Footage.open(cut, Workers.shared()).close());
        Path text = Files.writeString(folder.resolve("text.mkv"), "no movie at all");
        failing(() -> Footage.open(text, Workers.shared()).close());
        failing(() -> new SoundReader(whole).close());
    }

    @Test
    void aMovieDeletedWhileRead() throws IOException {
        Path file = TestMedia.counting(folder.resolve("counting.mkv"), 12, "ffv1", "");
        Path away = folder.resolve("away.mkv");
        FootageSettings counted =
                FootageSettings.AUTOMATIC.withCountFrames(true); // stepping back requires reopening
        try (MovieReader reader = new MovieReader(file, counted, Workers.shared())) {
            Frame second = reader.frame(1);
            reader.frame(6);
            Files.move(file, away);
            long before = open();
            assertThatThrownBy(() -> reader.frame(1))
                    .isInstanceOf(UnreadableMediaException.class)
                    .hasMessageContaining("counting.mkv");
            assertThat(reader.size()).isEqualTo(second.size());
            assertThat(reader.isStill()).isFalse();
            assertThat(reader.frame(7)).as("open files are still read").isNotNull();
            assertThat(open()).isEqualTo(before);
            Files.move(away, file);
            assertThat(reader.frame(1).colour().getFirst().data())
                    .isEqualTo(second.colour().getFirst().data());
        }
        assertThat(open()).isZero();
    }

    @Test
    void writers() throws IOException {
        for (ExportFormat format :
                ExportFormats.all().stream().filter(ExportFormat::isMovie).toList()) {
            MovieWriter.Options options =
                    MovieWriter.Options.of(format, Quality.GOOD, new Size(64, 48), Rational.of(24));
            Path missing = folder.resolve("none/out" + format.ending());
            failing(() -> new MovieWriter(missing, options, Workers.shared()).close());
        }
        Path out = folder.resolve("small.mp4");
        MovieWriter.Options small =
                MovieWriter.Options.of(
                        ExportFormats.H264, Quality.GOOD, new Size(2, 2), Rational.of(24));
        failing(() -> new MovieWriter(out, small, Workers.shared()).close());
        MovieWriter.Options huge =
                MovieWriter.Options.of(
                        ExportFormats.H264,
                        Quality.GOOD,
                        new Size(40_000, 40_000),
                        Rational.of(24));
        failing(() -> new MovieWriter(out, huge, Workers.shared()).close());
        try (var left = Files.list(folder)) {
            assertThat(left).isEmpty();
        }
    }
}
