package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.cache.FrameCache;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.render.Plan;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.Import;
import ivrik.media.decode.MediaPictures;
import ivrik.media.decode.ReadFrame;
import ivrik.media.encode.StillWriter;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.SafeFile;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

class FilesTest {
    @TempDir Path folder;

    private Project project() {
        Path picture = folder.resolve("media/p.png");
        try {
            Files.createDirectories(picture.getParent());
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        StillWriter.write(
                StillsTest.random(8, 6, ivrik.core.picture.Depth.INT8, false),
                picture,
                ivrik.core.picture.Depth.INT8,
                Workers.shared());
        return Import.project(Import.source(picture, "p"), BuiltInLooks.named("rgb-split"));
    }

    @Test
    void unfinishedFilesAreNeverVisible() throws IOException {
        Path target = Files.writeString(folder.resolve("a.txt"), "before");
        try (SafeFile file = new SafeFile(target)) {
            Files.writeString(file.aside(), "half");
        }
        assertThat(target).hasContent("before");
        SafeFile.write(target, "after");
        assertThat(target).hasContent("after");
        try (var files = Files.list(folder)) {
            assertThat(files).hasSize(1);
        }
    }

    @Test
    void aFullDiskIsReportedAsOne() {
        assertThat(SafeFile.fault(folder, new IOException("No space left on device")).oneLine())
                .contains("disk is full")
                .contains("free disk space");
        assertThat(SafeFile.fault(folder, new IOException("denied")).oneLine())
                .contains("cannot write");
    }

    @Test
    void mediaAreFoundAfterSavingElsewhere() throws IOException {
        Project project = project();
        Path elsewhere = Files.createDirectories(folder.resolve("deep/er"));
        for (Path file : List.of(folder.resolve("p.ivrik"), elsewhere.resolve("p.ivrik"))) {
            ProjectFile.save(file, project);
            assertThat(ProjectFile.open(file).project()).isEqualTo(project);
        }
        assertThat(folder.resolve("p.ivrik")).content().contains("\"media/p.png\"");
        assertThat(elsewhere.resolve("p.ivrik")).content().contains("\"../../media/p.png\"");
        assertThatThrownBy(() -> ProjectFile.open(folder.resolve("none.ivrik")))
                .isInstanceOf(MissingFileException.class);
    }

    @Test
    void closingCancelsAllRequests() throws Exception {
        Source source = project().sources().getFirst();
        for (int round = 0; round < 20; round++) {
            MediaPictures pictures = new MediaPictures(Workers.shared());
            var asking = new java.util.ArrayList<java.util.concurrent.Future<Boolean>>();
            try (var threads = java.util.concurrent.Executors.newFixedThreadPool(3)) {
                for (int t = 0; t < 3; t++) {
                    asking.add(
                            threads.submit(
                                    () -> {
                                        while (true) {
                                            try {
                                                pictures.frame(
                                                        new Plan.Picture(source, 0), source.size());
                                            } catch (ivrik.core.threads.CancelledException e) {
                                                return true;
                                            }
                                        }
                                    }));
                }
                Thread.sleep(5);
                pictures.close();
                for (var each : asking) {
                    assertThat(each.get(10, java.util.concurrent.TimeUnit.SECONDS)).isTrue();
                }
            }
        }
    }

    private static ReadFrame read(Source source) {
        try (Footage footage = Footage.open(Path.of(source.path()), Workers.shared())) {
            return footage.read(0, source.size());
        }
    }

    @Test
    void filesOfRemovedSourcesAreClosed() {
        Source source = project().sources().getFirst();
        FrameCache cache = new FrameCache(1 << 24);
        try (MediaPictures pictures = new MediaPictures(Workers.shared(), cache)) {
            var frame = pictures.frame(new Plan.Picture(source, 0), source.size());
            assertThat(pictures.openFiles()).isEqualTo(1);
            assertThat(cache.held()).as("in its stored bytes").isEqualTo(read(source).bytes());
            pictures.closeOthers(List.of(source));
            assertThat(pictures.openFiles()).isEqualTo(1);
            pictures.closeOthers(List.of());
            assertThat(pictures.openFiles()).isZero();
            assertThat(cache.held()).isZero();
            assertThat(pictures.frame(new Plan.Picture(source, 0), source.size()).size())
                    .as("and opened again on request")
                    .isEqualTo(frame.size());
        }
    }

    @Test
    void aFileClosedByAnotherRequestIsReopened() throws Exception {
        Source source = project().sources().getFirst();
        try (MediaPictures pictures = new MediaPictures(Workers.shared());
                var thread = java.util.concurrent.Executors.newSingleThreadExecutor()) {
            var asked =
                    thread.submit(
                            () -> {
                                for (int i = 0; i < 300; i++) {
                                    pictures.frame(new Plan.Picture(source, 0), source.size());
                                }
                                return true;
                            });
            while (!asked.isDone()) {
                pictures.closeOthers(List.of());
            }
            assertThat(asked.get()).isTrue();
        }
    }

    @Test
    void deletedAndChangedSourcesAreNoticed() throws IOException {
        Source source = project().sources().getFirst();
        Path file = Path.of(source.path());
        try (MediaPictures pictures = new MediaPictures(Workers.shared())) {
            Plan.Picture picture = new Plan.Picture(source, 0);
            var before = pictures.frame(picture, source.size());
            assertThat(pictures.hasChanged(source)).isFalse();
            StillWriter.write(
                    StillsTest.random(9, 5, ivrik.core.picture.Depth.INT8, false),
                    file,
                    ivrik.core.picture.Depth.INT8,
                    Workers.shared());
            Files.setLastModifiedTime(file, java.nio.file.attribute.FileTime.fromMillis(1000));
            assertThat(pictures.hasChanged(source)).isTrue();
            assertThat(pictures.frame(picture, source.size()).size()).isNotEqualTo(before.size());
            Files.delete(file);
            assertThat(pictures.hasChanged(source)).isTrue();
            assertThatThrownBy(() -> pictures.frame(picture, source.size()))
                    .isInstanceOf(MissingFileException.class);
        }
    }
}
