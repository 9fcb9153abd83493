package ivrik.proof;

import ivrik.core.json.ProjectJson;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;

/**
 * Looks with random dial values: the same bits with one, two and five threads, whatever was rendered before.
 */
final class Determinism implements Trial {
    private static final int TIMES = 12;
    private static final int WIDTH = 96;

    @Override
    public String name() {
        return "determinism";
    }

    @Override
    public int run(long seed, Path folder) throws Exception {
        Random random = new Random(seed);
        Project demo = GeneratedProjects.project();
        try (Workers one = new Workers(1);
                Workers two = new Workers(2);
                Workers five = new Workers(5)) {
            for (int i = 0; i < TIMES; i++) {
                Project project = project(demo, random);
                Files.writeString(folder.resolve(i + ".ivrik"), ProjectJson.write(project));
                long frame = random.nextInt(240);
                long wanted = sum(project, frame, one);
                sum(project, random.nextInt(240), five);
                if (sum(project, frame, two) != wanted || sum(project, frame, five) != wanted) {
                    throw new Failure("frame " + frame + " of " + i + ".ivrik differs");
                }
                Files.delete(folder.resolve(i + ".ivrik"));
            }
        }
        return TIMES;
    }

    private static long sum(Project project, long frame, Workers workers) {
        return GeneratedProjects.sum(
                GeneratedProjects.render(project, frame, WIDTH, workers, Cancellation.NEVER));
    }

    /** The demo, or one of its layers, with any look and random dial values. */
    static Project project(Project demo, Random random) {
        var shelf = BuiltInLooks.shelf();
        Look look = shelf.get(random.nextInt(shelf.size())).withExampleSettings();
        for (Dial dial : look.dials()) {
            double share = Math.pow(random.nextDouble(), 3);
            double end = random.nextBoolean() ? dial.min() : dial.max();
            double to = dial.rest() + share * (end - dial.rest());
            look = look.withDial(dial.name(), dial.choices().isEmpty() ? to : Math.rint(to));
        }
        Look chosen = look;
        Layer layer = demo.layers().getFirst();
        return random.nextBoolean()
                ? demo.withLayer(layer.id(), l -> l.withLook(0, old -> chosen))
                : demo.withLayers(List.of(layer.withLook(0, old -> chosen)));
    }
}
