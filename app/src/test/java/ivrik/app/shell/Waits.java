package ivrik.app.shell;

import javafx.application.Platform;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.Arrays;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.locks.LockSupport;

/**
 * How long the interface thread lets others wait: a thread asks it for an answer without pause. How long that takes
 * is how long a hand waits; how much of a processor the interface thread had meanwhile is how long it worked at a
 * stretch. The rest is the collector, the thread that draws, and others that had the processor.
 */
final class Waits implements AutoCloseable {
    private final ThreadMXBean threads = ManagementFactory.getThreadMXBean();
    private final Queue<Double> answers = new ConcurrentLinkedQueue<>();
    private final Queue<Double> works = new ConcurrentLinkedQueue<>();
    private final Thread asking = new Thread(this::ask, "asking");

    Waits() {
        asking.setDaemon(true);
        asking.start();
    }

    private void ask() {
        long asked = Driver.on(() -> Thread.currentThread().threadId());
        try {
            while (!Thread.interrupted()) {
                long worked = threads.getThreadCpuTime(asked);
                long began = System.nanoTime();
                CountDownLatch answered = new CountDownLatch(1);
                Platform.runLater(answered::countDown);
                answered.await();
                answers.add((System.nanoTime() - began) / 1e6);
                works.add((threads.getThreadCpuTime(asked) - worked) / 1e6);
                LockSupport.parkNanos(500_000);
            }
        } catch (InterruptedException e) {
            return; // closed
        }
    }

    /** Forgets all measurements so far. */
    void anew() {
        answers.clear();
        works.clear();
    }

    double longestAnswer() {
        return longest(answers);
    }

    double longestWork() {
        return longest(works);
    }

    private static double longest(Queue<Double> milliseconds) {
        return milliseconds.stream().mapToDouble(w -> w).max().orElse(0);
    }

    void report() {
        report("an answer takes", answers);
        report("works at a stretch", works);
    }

    private static void report(String what, Queue<Double> milliseconds) {
        double[] all = milliseconds.stream().mapToDouble(w -> w).sorted().toArray();
        System.out.printf(
                "%-18s median %.1f ms, 99 in 100 under %.1f ms, longest %.1f ms; over 16 ms %d"
                        + " times, over 50 ms %d times%n",
                what,
                all[all.length / 2],
                all[all.length * 99 / 100],
                all[all.length - 1],
                Arrays.stream(all).filter(w -> w > 16).count(),
                Arrays.stream(all).filter(w -> w > 50).count());
    }

    @Override
    public void close() {
        asking.interrupt();
    }
}
