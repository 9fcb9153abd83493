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
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Lowers the priority of rendering threads relative to the two interface threads, which need little time but
 * without delay. On Linux each thread has its own <a
 * href="https://man7.org/linux/man-pages/man2/setpriority.2.html">nice value</a>, inherited by threads it
 * starts, such as FFmpeg's. Java's compiler threads, busy for minutes in a new process, are lowered too.
 * Until the first picture, rendering has precedence over compilers. A nice value cannot be lowered again
 * without privileges. Other systems use Java's priorities.
 */
final class ThreadPriorities {
    /** At this value a thread gets 1/69 of a processor shared with an interface thread. */
    static final int NICE = 19;

    /** Value until the first picture: one quarter of a shared processor. */
    static final int NICE_AT_FIRST = 5;

    /**
     * Value of the optimising compiler, above rendering, which profits from compiled code. The baseline
     * compiler keeps its priority because the interface waits for it.
     */
    static final int COMPILER_NICE = 15;

    /** {@code PRIO_PROCESS}, which on Linux is a thread. */
    private static final int THREAD = 0;

    /** Position of the nice value after the thread name. */
    private static final int NICE_FIELD = 16;

    /** The calling thread. */
    private static final int CALLER = 0;

    /** Nice value of rendering threads started from now on. */
    private static volatile int work = NICE_AT_FIRST;

    /** Sets a nice value; null if unsupported or disabled. */
    private static volatile MethodHandle set;

    private ThreadPriorities() {}

    /** Applies to compiler threads, and to rendering threads started later. */
    static void install() {
        if (!System.getProperty("os.name").equals("Linux")) {
            Threads.beginWith(() -> Thread.currentThread().setPriority(Thread.NORM_PRIORITY - 1));
            return;
        }
        Linker linker = Linker.nativeLinker();
        set =
                linker.downcallHandle(
                        linker.defaultLookup().find("setpriority").orElseThrow(),
                        FunctionDescriptor.of(
                                ValueLayout.JAVA_INT,
                                ValueLayout.JAVA_INT,
                                ValueLayout.JAVA_INT,
                                ValueLayout.JAVA_INT));
        Threads.beginWith(() -> giveWay(CALLER, work));
        threads(ThreadPriorities::compiles).forEach(thread -> giveWay(thread, COMPILER_NICE));
    }

    /** Lowers all rendering threads after the first picture. */
    static void firstPictureIsThere() {
        if (set != null) {
            work = NICE;
            Threads.start(
                    "ivrik-giving-way",
                    () ->
                            threads(thread -> nice(thread) == NICE_AT_FIRST)
                                    .forEach(thread -> giveWay(thread, NICE)));
        }
    }

    private static void giveWay(int thread, int nice) {
        try {
            int failed = (int) set.invokeExact(THREAD, thread, nice);
            if (failed != 0) {
                LoggerFactory.getLogger(ThreadPriorities.class)
                        .warn("the priority of a thread cannot be lowered");
            }
        } catch (Throwable e) {
            throw new IllegalStateException("setpriority cannot be called", e);
        }
    }

    private static List<Integer> threads(Predicate<Path> which) {
        try (Stream<Path> threads = Files.list(Path.of("/proc/self/task"))) {
            return threads.filter(which)
                    .map(thread -> Integer.valueOf(thread.getFileName().toString()))
                    .toList();
        } catch (IOException e) {
            LoggerFactory.getLogger(ThreadPriorities.class).warn("threads cannot be listed", e);
            return List.of();
        }
    }

    /** Whether a thread is a compiler thread, by its name. */
    static boolean compiles(Path thread) {
        return read(thread.resolve("comm")).startsWith("C2 Compiler");
    }

    /** See proc_pid_stat(5); {@link Integer#MIN_VALUE} for a thread that has ended. */
    static int nice(Path thread) {
        String stat = read(thread.resolve("stat"));
        String[] afterName = stat.substring(stat.lastIndexOf(')') + 1).trim().split(" ");
        return afterName.length > NICE_FIELD
                ? Integer.parseInt(afterName[NICE_FIELD])
                : Integer.MIN_VALUE;
    }

    /** Empty for a thread that has ended. */
    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            return "";
        }
    }
}
