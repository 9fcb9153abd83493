package ivrik.media.encode;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Import;

import org.junit.jupiter.api.condition.EnabledIf;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Encoders leave the scheduling of Ivrik's threads unchanged. Only as root could they change it.
 */
@EnabledOnOs(OS.LINUX)
@EnabledIf("isRoot")
class ThreadsStayTest {
    /**
     * Index in {@code /proc/.../stat}, counted from the state, which is the third field: proc(5).
     */
    private static final int POLICY = 41 - 3;

    @TempDir Path folder;

    static boolean isRoot() {
        return "root".equals(System.getProperty("user.name"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"av1", "h264", "vp9", "ffv1", "prores", "webp"})
    void noThreadIsRealTimeAfterAnExport(String id) throws IOException {
        Path picture = folder.resolve("p.png");
        Plane plane = Plane.flat(64, 64, 0.5f);
        StillWriter.write(Frame.opaque(plane, plane, plane), picture, Depth.INT8, Workers.shared());
        ExportFormat format = ExportFormats.named(id);
        Path out = folder.resolve("out" + format.ending());
        Export.run(
                Export.Order.of(
                                Import.project(
                                        Import.source(picture, "p"),
                                        BuiltInLooks.named("rgb-split")),
                                out,
                                format)
                        .withSampling(format.samplings().getFirst()),
                Workers.shared(),
                done -> {},
                Cancellation.NEVER);
        assertThat(realTime()).isEmpty();
    }

    private static List<String> realTime() throws IOException {
        List<String> found = new ArrayList<>();
        try (var threads = Files.list(Path.of("/proc/self/task"))) {
            for (Path thread : threads.toList()) {
                try {
                    String stat = Files.readString(thread.resolve("stat"));
                    String[] fields = stat.substring(stat.lastIndexOf(')') + 2).split(" ");
                    if (!fields[POLICY].equals("0")) {
                        found.add(stat.substring(0, stat.lastIndexOf(')') + 1));
                    }
                } catch (NoSuchFileException e) {
                    // the thread has just ended
                }
            }
        }
        return found;
    }
}
