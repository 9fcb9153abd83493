package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.threads.Threads;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;

@EnabledOnOs(OS.LINUX)
class GivingWayTest {
    /** Of the fields of {@code /proc/thread-self/stat}, counted from the one after the name: see proc_pid_stat(5). */
    private static final int NICE = 16;

    @AfterEach
    void asBefore() {
        Threads.beginWith(() -> {});
    }

    @Test
    void threadsOfWorkHaveASmallerClaimAndThisOneHasNot() {
        int before = nice();
        GivingWay.install();
        CompletableFuture<Integer> work = new CompletableFuture<>();
        CompletableFuture<Integer> begun = new CompletableFuture<>();
        Threads.start(
                "ivrik-trial",
                () -> {
                    work.complete(nice());
                    new Thread(() -> begun.complete(nice())).start();
                });
        assertThat(work.join()).isEqualTo(GivingWay.NICE);
        assertThat(begun.join()).as("what it begins").isEqualTo(GivingWay.NICE);
        assertThat(nice()).isEqualTo(before).isLessThan(GivingWay.NICE);
    }

    /** In a process of its own: a claim that has been made smaller stays so. */
    @Test
    void whatJavaCompilesGivesWayToTheInterface() throws IOException {
        Process process =
                new ProcessBuilder(
                                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                                "--enable-native-access=ALL-UNNAMED",
                                "-cp",
                                System.getProperty("java.class.path"),
                                Compilers.class.getName())
                        .redirectErrorStream(true)
                        .start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(said.lines())
                .isNotEmpty()
                .allMatch(("" + GivingWay.COMPILER_NICE)::equals, "nice " + said);
    }

    /** Prints the nice values of its threads that compile. */
    static final class Compilers {
        private Compilers() {}

        public static void main(String[] args) throws IOException {
            GivingWay.install();
            try (Stream<Path> threads = Files.list(Path.of("/proc/self/task"))) {
                for (Path thread : threads.toList()) {
                    if (Files.readString(thread.resolve("comm")).startsWith("C2 Compiler")) {
                        System.out.println(nice(thread));
                    }
                }
            }
        }
    }

    private static int nice() {
        return nice(Path.of("/proc/thread-self"));
    }

    private static int nice(Path thread) {
        try {
            String all = Files.readString(thread.resolve("stat"));
            return Integer.parseInt(all.substring(all.lastIndexOf(')') + 2).split(" ")[NICE]);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
