package ivrik.app.shell;

import ivrik.core.threads.Threads;

import org.slf4j.LoggerFactory;

import java.io.IOException;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.ValueLayout;
import java.lang.invoke.MethodHandle;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/**
 * Lets threads that work on pictures give way to the two that make the interface: the one that answers the hand and the one that
 * draws. Those want little, but at once; with an equal claim to the processors they wait for their turn while all others work.
 * On Linux each thread has a claim of its own, its <a href="https://man7.org/linux/man-pages/man2/setpriority.2.html">nice
 * value</a>, and what a thread begins has the same, such as FFmpeg's own threads. Those in which Java compiles give way too: in a
 * new process they work for minutes. Other systems know Java's priorities.
 */
final class GivingWay {
    /** Of a processor that both want, a thread of the interface has 28 parts and one of these has one. */
    static final int NICE = 15;

    /**
     * Of those in which Java makes its quickest code: pictures gain by it, so it goes before them. Code that will do at
     * first is made at once, as before: the interface itself waits for that.
     */
    static final int COMPILER_NICE = 10;

    /** {@code PRIO_PROCESS}, which for Linux means a thread. */
    private static final int THREAD = 0;

    /** The thread that calls. */
    private static final int CALLER = 0;

    private GivingWay() {}

    /** From now on: threads that are begun later, and those that compile for Java. */
    static void install() {
        if (!System.getProperty("os.name").equals("Linux")) {
            Threads.beginWith(() -> Thread.currentThread().setPriority(Thread.NORM_PRIORITY - 1));
            return;
        }
        Linker linker = Linker.nativeLinker();
        MethodHandle set =
                linker.downcallHandle(
                        linker.defaultLookup().find("setpriority").orElseThrow(),
                        FunctionDescriptor.of(
                                ValueLayout.JAVA_INT,
                                ValueLayout.JAVA_INT,
                                ValueLayout.JAVA_INT,
                                ValueLayout.JAVA_INT));
        Threads.beginWith(() -> giveWay(set, CALLER, NICE));
        compilers().forEach(thread -> giveWay(set, thread, COMPILER_NICE));
    }

    private static void giveWay(MethodHandle set, int thread, int nice) {
        try {
            int failed = (int) set.invokeExact(THREAD, thread, nice);
            if (failed != 0) {
                LoggerFactory.getLogger(GivingWay.class).warn("a thread cannot give way");
            }
        } catch (Throwable e) {
            throw new IllegalStateException("setpriority cannot be called", e);
        }
    }

    /** By the names that Java gives them. */
    private static List<Integer> compilers() {
        try (Stream<Path> threads = Files.list(Path.of("/proc/self/task"))) {
            return threads.filter(GivingWay::compiles)
                    .map(thread -> Integer.valueOf(thread.getFileName().toString()))
                    .toList();
        } catch (IOException e) {
            LoggerFactory.getLogger(GivingWay.class).warn("threads cannot be listed", e);
            return List.of();
        }
    }

    private static boolean compiles(Path thread) {
        try {
            return Files.readString(thread.resolve("comm")).startsWith("C2 Compiler");
        } catch (IOException e) {
            return false; // has ended meanwhile
        }
    }
}
