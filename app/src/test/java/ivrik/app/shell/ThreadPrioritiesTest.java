package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.threads.Threads;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.stream.Stream;

/** In its own process: a lowered thread priority stays lowered. */
@EnabledOnOs(OS.LINUX)
class ThreadPrioritiesTest {
    private static final int AT_FIRST = ThreadPriorities.NICE_AT_FIRST;
    private static final int LATER = ThreadPriorities.NICE;

    @Test
    void renderThreadsYieldToTheInterfaceAndLaterToTheCompiler() throws IOException {
        Process process =
                new ProcessBuilder(
                                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                                "--enable-native-access=ALL-UNNAMED",
                                "-cp",
                                System.getProperty("java.class.path"),
                                Trial.class.getName())
                        .redirectErrorStream(true)
                        .start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        int own = ThreadPriorities.nice(Path.of("/proc/thread-self"));
        assertThat(said.lines())
                .containsSubsequence(
                        "compilers " + ThreadPriorities.COMPILER_NICE,
                        "work " + AT_FIRST,
                        "what it begins " + AT_FIRST,
                        "own " + own,
                        "then",
                        "compilers " + ThreadPriorities.COMPILER_NICE,
                        "work " + LATER,
                        "what it begins " + LATER,
                        "own " + own,
                        "new work " + LATER);
        assertThat(own).isLessThan(AT_FIRST);
        assertThat(AT_FIRST).isLessThan(ThreadPriorities.COMPILER_NICE);
        assertThat(ThreadPriorities.COMPILER_NICE).isLessThan(LATER);
    }

    /** Prints the priorities of its threads before and after the first picture. */
    static final class Trial {
        private static final CountDownLatch END = new CountDownLatch(1);

        private Trial() {}

        public static void main(String[] args) throws Exception {
            ThreadPriorities.install();
            CompletableFuture<Path> work = new CompletableFuture<>();
            CompletableFuture<Path> begun = new CompletableFuture<>();
            Threads.start(
                    "ivrik-trial",
                    () -> {
                        new Thread(() -> stay(begun)).start();
                        stay(work);
                    });
            print(work.join(), begun.join());
            ThreadPriorities.firstPictureIsThere();
            while (ThreadPriorities.nice(work.join()) != LATER
                    || ThreadPriorities.nice(begun.join()) != LATER) {
                Thread.sleep(5); // ends the test if the condition never holds
            }
            System.out.println("then");
            print(work.join(), begun.join());
            CompletableFuture<Path> more = new CompletableFuture<>();
            Threads.start("ivrik-more", () -> stay(more));
            System.out.println("new work " + ThreadPriorities.nice(more.join()));
            END.countDown();
        }

        private static void stay(CompletableFuture<Path> who) {
            try {
                who.complete(Path.of("/proc/thread-self").toRealPath());
                END.await();
            } catch (IOException | InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }

        private static void print(Path work, Path begun) throws IOException {
            try (Stream<Path> threads = Files.list(Path.of("/proc/self/task"))) {
                for (Path thread : threads.toList()) {
                    if (ThreadPriorities.compiles(thread)) {
                        System.out.println("compilers " + ThreadPriorities.nice(thread));
                    }
                }
            }
            System.out.println("work " + ThreadPriorities.nice(work));
            System.out.println("what it begins " + ThreadPriorities.nice(begun));
            System.out.println("own " + ThreadPriorities.nice(Path.of("/proc/thread-self")));
        }
    }
}
