package ivrik.bench;

import java.util.PriorityQueue;
import java.util.Random;

/**
 * Simulation of a farm render, part by part: nodes of different speed, parts that fail and are repeated, and
 * a shared disk.
 *
 * @param model costs
 * @param spread standard deviation of the logarithm of speed
 * @param failing share of parts that fail, half way through on average
 */
record FarmSimulation(FarmModel model, double spread, double failing) {
    private record Node(double free, double speed) implements Comparable<Node> {
        @Override
        public int compareTo(Node other) {
            return Double.compare(free, other.free);
        }
    }

    /** Seconds until the movie is joined. */
    double run(long frames, int parts, int nodes, long seed) {
        Random random = new Random(seed);
        PriorityQueue<Node> idle = new PriorityQueue<>();
        for (int n = 0; n < nodes; n++) {
            idle.add(new Node(0, Math.exp(spread * random.nextGaussian())));
        }
        double disk = 0; // time until which the disk is busy
        double last = 0;
        double share = (double) frames / parts;
        for (int part = 0; part < parts; part++) {
            Node node = idle.poll();
            double worth = Math.exp(spread * random.nextGaussian());
            double work = (model.start() + model.frame() * share * worth) / node.speed;
            double free = node.free + work;
            while (random.nextDouble() < failing) {
                free += work * random.nextDouble();
            }
            double bytes = (model.bytesIn() + model.bytesOut()) * share;
            disk = Math.max(disk, node.free) + bytes / model.diskRate();
            free = Math.max(free, disk);
            last = Math.max(last, free);
            idle.add(new Node(free, node.speed));
        }
        return last + model.joining(frames);
    }
}
