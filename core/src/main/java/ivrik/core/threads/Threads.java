package ivrik.core.threads;

import java.util.concurrent.ThreadFactory;

/**
 * The threads that work on pictures. None of them keeps the process alive. Where there is a window they begin by letting others
 * go first ({@link #beginWith}); else they begin at once.
 */
public final class Threads {
    private static volatile Runnable beginning = () -> {};

    private Threads() {}

    /** What each thread does first, of those that are made from now on. */
    public static void beginWith(Runnable first) {
        beginning = first;
    }

    /**
     * @param name of the threads; where it ends in a dash they are numbered
     */
    public static ThreadFactory named(String name) {
        Thread.Builder.OfPlatform builder = Thread.ofPlatform().daemon();
        ThreadFactory plain =
                (name.endsWith("-") ? builder.name(name, 0) : builder.name(name)).factory();
        return work -> {
            Runnable first = beginning;
            return plain.newThread(
                    () -> {
                        first.run();
                        work.run();
                    });
        };
    }

    /** Does work on a thread of its own. */
    public static void start(String name, Runnable work) {
        named(name).newThread(work).start();
    }
}
