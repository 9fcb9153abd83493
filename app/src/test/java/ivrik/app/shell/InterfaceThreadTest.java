package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.lang.reflect.Method;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;

/**
 * Samples the interface thread every millisecond during work on 600 frames and finds no work that belongs to
 * other threads.
 */
class InterfaceThreadTest {
    private static final int EDITS = 24;

    /**
     * Classes with the methods that must not run on the interface thread; an empty list stands for every
     * method. They plan frames, evaluate values of every frame, measure the coverage of a moving lens, or
     * wait for files.
     */
    private static final Map<String, List<String>> NOT_ITS_WORK =
            Map.of(
                    "ivrik.core.render.Planner",
                    List.of("plan", "plans", "guess", "overscan", "demanded"),
                    "ivrik.core.render.LookPlanner",
                    List.of("plan"),
                    "ivrik.app.desk.Graph",
                    List.of("results"),
                    "ivrik.core.treatment.ValidRegionFinder",
                    List.of(),
                    "ivrik.media.decode.MediaPictures",
                    List.of());

    @TempDir Path folder;

    @Test
    void theInterfaceThreadNeitherPlansNorWaitsForFiles() throws InterruptedException {
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
                .filter(at -> isNamed(at.getClassName(), at.getMethodName()))
                .map(at -> at.getClassName() + "." + at.getMethodName())
                .forEach(found::add);
    }

    private static boolean isNamed(String className, String method) {
        List<String> methods = NOT_ITS_WORK.get(className);
        return methods != null && (methods.isEmpty() || methods.contains(method));
    }

    /** Every listed class and method exists, so that a renaming cannot disable the test. */
    @Test
    void everyListedMethodExists() throws ClassNotFoundException {
        for (Map.Entry<String, List<String>> named : NOT_ITS_WORK.entrySet()) {
            assertThat(Class.forName(named.getKey()).getDeclaredMethods())
                    .extracting(Method::getName)
                    .containsAll(named.getValue());
        }
    }
}
