package ivrik.app.shell;

import ivrik.core.threads.Threads;

import org.slf4j.LoggerFactory;

import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.ValueLayout;
import java.lang.invoke.MethodHandle;

/**
 * Lets threads that work on pictures give way to the two that make the interface: the one that answers the hand and the one that
 * draws. Those want little, but at once; with an equal claim to the processors they wait for their turn while all others work.
 * On Linux each thread has a claim of its own, its <a href="https://man7.org/linux/man-pages/man2/setpriority.2.html">nice
 * value</a>, and what a thread begins has the same, such as FFmpeg's own threads. Other systems know Java's priorities.
 */
final class GivingWay {
    /** Of a processor that both want, a thread of the interface has 28 parts and one of these has one. */
    static final int NICE = 15;

    /** {@code PRIO_PROCESS}, which for Linux means a thread; 0 is the one that calls. */
    private static final int THREAD = 0;

    private GivingWay() {}

    /** From now on, for threads that are begun later. */
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
        Threads.beginWith(() -> giveWay(set));
    }

    private static void giveWay(MethodHandle set) {
        try {
            int failed = (int) set.invokeExact(THREAD, 0, NICE);
            if (failed != 0) {
                LoggerFactory.getLogger(GivingWay.class).warn("a thread cannot give way");
            }
        } catch (Throwable e) {
            throw new IllegalStateException("setpriority cannot be called", e);
        }
    }
}
