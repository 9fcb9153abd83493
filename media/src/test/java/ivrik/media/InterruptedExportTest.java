package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Import;
import ivrik.media.encode.Export;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.Quality;
import ivrik.media.file.ProcessOwner;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;

/** Interrupted exports continue later. */
class InterruptedExportTest {
    private static final FrameRange RANGE = new FrameRange(10, 249);
    private final Workers workers = Workers.shared();

    @TempDir Path folder;

    private Project project;

    @BeforeEach
    void elevenSecondsWithATone() {
        project = made("in.mkv");
    }

    private Project made(String name) {
        Path file = folder.resolve(name);
        TestMedia.make(
                file,
                new TestMedia.Track("testsrc2=s=64x48:r=24:d=11,format=yuv444p", "ffv1", ""),
                new TestMedia.Track(
                        "sine=frequency=440:sample_rate=48000:duration=11,aformat=sample_fmts=s16",
                        "flac",
                        ""));
        return Import.project(
                Import.source(file, "in"), BuiltInLooks.named("rgb-split").withDial("red-x", 2.5));
    }

    private Export.Order order(String name, ExportFormat format) {
        return Export.Order.of(project, folder.resolve(name), format).withRange(RANGE);
    }

    /** Runs the export up to a number of frames; returns the rendered frames and the message. */
    private List<Long> broken(Export.Order order, long after) {
        List<Long> done = new CopyOnWriteArrayList<>();
        assertThatThrownBy(
                        () ->
                                Export.run(
                                        order,
                                        workers,
                                        done::add,
                                        () -> !done.isEmpty() && done.getLast() >= after))
                .isInstanceOf(CancelledException.class);
        return done;
    }

    private List<String> run(Export.Order order, List<Long> done) {
        return Export.run(order, workers, done::add, Cancellation.NEVER);
    }

    private List<Path> hidden() throws IOException {
        try (var files = Files.list(folder)) {
            return files.filter(f -> f.getFileName().toString().startsWith(".")).toList();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"ffv1", "h264", "vp9", "av1", "prores"})
    void aMovieContinuesFromItsLastCompletePart(String name) throws IOException {
        ExportFormat format = ExportFormats.named(name);
        Export.Order order = order("broken" + format.ending(), format);
        broken(order, 120);
        assertThat(order.out()).doesNotExist();
        assertThat(Export.isBrokenOff(order.out())).isTrue();
        List<Long> done = new ArrayList<>();
        assertThat(run(order, done)).contains("continued an interrupted export");
        assertThat(done).startsWith(96L, 97L).endsWith(240L).isSorted();
        assertThat(hidden()).isEmpty();
        Export.Order whole = order("whole" + format.ending(), format);
        assertThat(run(whole, new ArrayList<>())).isEmpty();
        assertThat(order.out()).hasSameBinaryContentAs(whole.out());
        assertThat(TestMedia.sound(whole.out()).length).isGreaterThan(9 * 48_000);
    }

    @Test
    void anEncodedPartIsFinishedAfterAnInterruption() {
        Export.Order order = order("out.mp4", ExportFormats.H264);
        broken(order, 96);
        List<Long> done = new ArrayList<>();
        run(order, done);
        assertThat(done).startsWith(96L, 97L);
    }

    @Test
    void aChangedOrderStartsFromTheBeginning() throws IOException {
        Export.Order order = order("out.mp4", ExportFormats.H264);
        broken(order, 120);
        List<Long> done = new ArrayList<>();
        assertThat(run(order.withQuality(Quality.SMALL), done)).isEmpty();
        assertThat(done).startsWith(1L);
        broken(order("other.mp4", ExportFormats.H264), 120);
        Path footage = folder.resolve("in.mkv");
        Files.setLastModifiedTime(footage, FileTime.from(Instant.parse("2020-01-02T03:04:05Z")));
        done.clear();
        assertThat(run(order("other.mp4", ExportFormats.H264), done)).isEmpty();
        assertThat(done).startsWith(1L);
    }

    @Test
    void unfinishedWorkCanBeDiscarded() throws IOException {
        Export.Order order = order("out.mkv", ExportFormats.FFV1);
        broken(order, 120);
        assertThat(hidden()).hasSize(1);
        Export.discard(order.out());
        assertThat(hidden()).isEmpty();
        broken(order, 20); // nothing is kept before the first part is complete
        assertThat(hidden()).isEmpty();
    }

    @Test
    void stillsContinueAndForeignOnesAreNotCounted() throws IOException {
        Export.Order order =
                order("s-%03d.png", ExportFormats.PNG).withRange(new FrameRange(10, 29));
        broken(order, 8);
        Path first = folder.resolve("s-010.png");
        FileTime then = Files.getLastModifiedTime(first);
        List<Long> done = new ArrayList<>();
        assertThat(run(order, done)).contains("continued an interrupted export");
        assertThat(done).hasSize(20).isSorted();
        assertThat(Files.getLastModifiedTime(first)).isEqualTo(then);
        assertThat(folder.resolve("s-029.png")).exists();
        assertThat(hidden()).isEmpty();

        Export.Order again =
                order("t-%03d.png", ExportFormats.PNG).withRange(new FrameRange(10, 29));
        broken(again, 8);
        Files.writeString(folder.resolve("t-012.png"), "mine");
        assertThatThrownBy(() -> run(again, new ArrayList<>()))
                .isInstanceOf(TargetExistsException.class)
                .hasMessageContaining("t-012.png");
        assertThat(folder.resolve("t-012.png")).hasContent("mine");
    }

    @Test
    void aRunningExportKeepsItsTarget() throws IOException {
        Export.Order order = order("out.mkv", ExportFormats.FFV1);
        broken(order, 120);
        Path claim = hidden().getFirst().resolve("order");
        ProcessHandle alive = ProcessHandle.current().parent().orElseThrow();
        ProcessOwner other =
                new ProcessOwner(
                        ProcessOwner.self().machine(),
                        alive.pid(),
                        alive.info().startInstant().orElseThrow().toEpochMilli());
        Files.writeString(
                claim, Files.readString(claim).replace(ProcessOwner.self().token(), other.token()));
        assertThatThrownBy(() -> run(order, new ArrayList<>()))
                .isInstanceOf(UnwritableTargetException.class)
                .hasMessageContaining("another Ivrik");
        ProcessOwner gone =
                new ProcessOwner(
                        ProcessOwner.self().machine(), alive.pid(), other.began() - 1_000_000);
        Files.writeString(claim, Files.readString(claim).replace(other.token(), gone.token()));
        assertThat(run(order, new ArrayList<>())).hasSize(1);
    }
}
