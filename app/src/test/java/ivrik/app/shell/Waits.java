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
 * Measures how long the interface thread keeps others waiting. A thread requests an answer repeatedly. The
 * time to the answer is the wait of a user; the processor time of the interface thread in between is its work
 * at a stretch. The rest is the garbage collector, the render thread and other processes.
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
            return; // the meter was closed
        }
    }

    /** Discards all measurements so far. */
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
