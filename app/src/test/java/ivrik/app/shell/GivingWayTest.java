package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.threads.Threads;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;

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

    private static int nice() {
        try {
            String all = Files.readString(Path.of("/proc/thread-self/stat"));
            return Integer.parseInt(all.substring(all.lastIndexOf(')') + 2).split(" ")[NICE]);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
