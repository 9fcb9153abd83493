package ivrik.bench;

import java.util.Map;
import java.util.TreeMap;

/**
 * Duration of a farm render by model and simulation: {@code Farms name=value...} with start, frame, join
 * (seconds), in, out (bytes per frame), disk (bytes per second), frames, nodes, spread, failing.
 */
final class Farms {
    private static final int ROUNDS = 20;

    private Farms() {}

    public static void main(String[] args) {
        Map<String, Double> said =
                new TreeMap<>(
                        Map.of(
                                "start", 4.0, "frame", 0.1, "join", 4.0, "in", 1e5, "out", 1e5,
                                "disk", 1e9, "frames", 1e5, "nodes", 500.0, "spread", 0.15,
                                "failing", 0.01));
        for (String arg : args) {
            String[] both = arg.split("=");
            if (said.put(both[0], Double.parseDouble(both[1])) == null) {
                throw new IllegalArgumentException("one of " + said.keySet() + ", not " + both[0]);
            }
        }
        FarmModel model =
                new FarmModel(
                        said.get("start"),
                        said.get("frame"),
                        said.get("join"),
                        said.get("in"),
                        said.get("out"),
                        said.get("disk"));
        FarmSimulation farm = new FarmSimulation(model, said.get("spread"), said.get("failing"));
        long frames = said.get("frames").longValue();
        int nodes = said.get("nodes").intValue();
        System.out.println(said);
        System.out.printf(
                "one node alone: %.0f s; best at %.1f parts a node%n",
                model.all(frames, 1, 1), model.partsANode(frames, nodes));
        System.out.printf("%8s %10s %14s%n", "parts", "model, s", "simulation, s");
        for (int parts = Math.max(1, nodes / 4);
                parts <= nodes * 16L && parts <= frames;
                parts *= 2) {
            double sum = 0;
            for (int seed = 0; seed < ROUNDS; seed++) {
                sum += farm.run(frames, parts, nodes, seed);
            }
            System.out.printf(
                    "%8d %10.1f %14.1f%n", parts, model.all(frames, parts, nodes), sum / ROUNDS);
        }
    }
}
