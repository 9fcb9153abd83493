package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Pattern;

/** What the interface thread leaves to others, looked at every millisecond while somebody works on six hundred frames. */
class InterfaceThreadTest {
    private static final int EDITS = 24;

    /** Planning frames, values of every frame, what a moving lens leaves covered, waiting for files. */
    private static final Pattern NOT_ITS_WORK =
            Pattern.compile(
                    "ivrik\\.core\\.render\\.(Look)?Planner\\.(plans?|guess|overscan|demanded)"
                            + "|ivrik\\.app\\.desk\\.Trace\\.results"
                            + "|ivrik\\.core\\.treatment\\.ValidRegionFinder\\..*"
                            + "|ivrik\\.media\\.decode\\.MediaPictures\\..*");

    @TempDir Path folder;

    @Test
    void itNeitherPlansNorWaitsForFiles() throws InterruptedException {
        try (Driver d = new Driver(folder.resolve("data"))) {
            Thread its = Driver.on(Thread::currentThread);
            Set<String> found = ConcurrentHashMap.newKeySet();
            AtomicInteger looks = new AtomicInteger();
            Thread looking =
                    Thread.ofPlatform()
                            .daemon()
                            .start(
                                    () -> {
                                        while (!Thread.interrupted()) {
                                            look(its, found);
                                            looks.incrementAndGet();
                                            LockSupport.parkNanos(1_000_000);
                                        }
                                    });
            Driver.run(() -> d.window.session().open(InterfaceMeter.project()));
            d.settle();
            InterfaceMeter.work(d, EDITS);
            looking.interrupt();
            looking.join();
            assertThat(looks).hasValueGreaterThan(EDITS);
            assertThat(new TreeSet<>(found)).isEmpty();
        }
    }

    private static void look(Thread its, Set<String> found) {
        Arrays.stream(its.getStackTrace())
                .map(at -> at.getClassName() + "." + at.getMethodName())
                .filter(at -> NOT_ITS_WORK.matcher(at).matches())
                .forEach(found::add);
    }
}
