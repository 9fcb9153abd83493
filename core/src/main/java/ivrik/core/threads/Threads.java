package ivrik.core.threads;

import java.util.concurrent.ThreadFactory;

/**
 * Creates the daemon threads that work on pictures. The window lowers their priority with {@link #beginWith}.
 */
public final class Threads {
    private static volatile Runnable beginning = () -> {};

    private Threads() {}

    /** Sets what each new thread runs first. */
    public static void beginWith(Runnable first) {
        beginning = first;
    }

    /**
     * @param name thread name; a name that ends in a dash gets a number
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

    /** Runs work on a new thread. */
    public static void start(String name, Runnable work) {
        named(name).newThread(work).start();
    }
}
