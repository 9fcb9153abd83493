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
 * Lets threads that work on pictures give way to the two that make the interface: the one that answers the hand and the one that
 * draws. Those want little, but at once; with an equal claim to the processors they wait for their turn while all others work.
 * On Linux each thread has a claim of its own, its <a href="https://man7.org/linux/man-pages/man2/setpriority.2.html">nice
 * value</a>, and what a thread begins has the same, such as FFmpeg's own threads. Those in which Java compiles give way too: in a
 * new process they work for minutes. Until the first picture is there, which is waited for, pictures go before those. A claim that
 * was made smaller cannot be made larger again. Other systems know Java's priorities.
 */
final class GivingWay {
    /** Of a processor that both want, a thread of the interface has 68 parts and one of these has one. */
    static final int NICE = 19;

    /** Of the same until the first picture is there: 3 parts and one. */
    static final int NICE_AT_FIRST = 5;

    /**
     * Of those in which Java makes its quickest code: pictures gain by it, so it goes before them. Code that will do at
     * first is made at once, as before: the interface itself waits for that.
     */
    static final int COMPILER_NICE = 15;

    /** {@code PRIO_PROCESS}, which for Linux means a thread. */
    private static final int THREAD = 0;

    /** Where the nice value stands, counted from the word after a thread's name. */
    private static final int NICE_FIELD = 16;

    /** The thread that calls. */
    private static final int CALLER = 0;

    /** Of what works on pictures and begins now. */
    private static volatile int work = NICE_AT_FIRST;

    /** Sets the nice value of a thread; null where threads have none, or nobody gives way. */
    private static volatile MethodHandle set;

    private GivingWay() {}

    /** From now on: threads that are begun later, and those that compile for Java. */
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
        threads(GivingWay::compiles).forEach(thread -> giveWay(thread, COMPILER_NICE));
    }

    /** The first picture is there: what works on pictures gives way to all else, also what has begun. */
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
                LoggerFactory.getLogger(GivingWay.class).warn("a thread cannot give way");
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
            LoggerFactory.getLogger(GivingWay.class).warn("threads cannot be listed", e);
            return List.of();
        }
    }

    /** By the name that Java gives it. */
    static boolean compiles(Path thread) {
        return read(thread.resolve("comm")).startsWith("C2 Compiler");
    }

    /** See proc_pid_stat(5); {@link Integer#MIN_VALUE} of a thread that has ended meanwhile. */
    static int nice(Path thread) {
        String stat = read(thread.resolve("stat"));
        String[] afterName = stat.substring(stat.lastIndexOf(')') + 1).trim().split(" ");
        return afterName.length > NICE_FIELD
                ? Integer.parseInt(afterName[NICE_FIELD])
                : Integer.MIN_VALUE;
    }

    /** Empty of a thread that has ended meanwhile. */
    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            return "";
        }
    }
}
