package ivrik.proof;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.IvrikException;
import ivrik.core.json.LookJson;
import ivrik.core.json.ProjectJson;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Frame;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Workers;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;

/**
 * Projects and looks with one or two wrong fields: each is read or refused with a message; a project that is
 * read can be planned, rendered and written in bounded time, gives finite numbers, and is the same after
 * writing and reading.
 */
final class FileMutants implements Trial {
    private static final int SECONDS = 25;
    private static final List<String> WRONG =
            List.of(
                    "null",
                    "true",
                    "\"\"",
                    "\"NaN\"",
                    "\"x\"",
                    "-1",
                    "0",
                    "0.5",
                    "1e5",
                    "1e9",
                    "1e308",
                    "-1e308",
                    "1e-300",
                    "999999999999",
                    "9223372036854775807",
                    "[]",
                    "{}",
                    "[[]]",
                    "[1,2,3,4,5,6,7,8]",
                    "\"0/1\"",
                    "\"1/0\"",
                    "\"9223372036854775807/1\"",
                    "\"\\u0000\\n\\\"\"");

    private final ObjectMapper json = new ObjectMapper();
    private final int times;

    /**
     * @param times mutants per trial
     */
    FileMutants(int times) {
        this.times = times;
    }

    @Override
    public String name() {
        return "file-mutants";
    }

    @Override
    public int run(long seed, Path folder) throws Exception {
        Random random = new Random(seed);
        String demo = GeneratedProjects.demo();
        var shelf = BuiltInLooks.shelf();
        for (int i = 0; i < times; i++) {
            boolean isProject = random.nextInt(3) > 0;
            String whole =
                    isProject
                            ? demo
                            : LookJson.write(
                                    shelf.get(random.nextInt(shelf.size())).withExampleSettings());
            String mutant = mutant(whole, random);
            Path file = folder.resolve(i + (isProject ? ".ivrik" : ".look.json"));
            Files.writeString(file, mutant);
            check(mutant, isProject, random.nextInt(240));
            Files.delete(file);
        }
        return times;
    }

    private String mutant(String whole, Random random) throws Exception {
        JsonNode tree = json.readTree(whole);
        for (int n = random.nextInt(2); n >= 0; n--) {
            spoil(tree, random);
        }
        return json.writeValueAsString(tree);
    }

    private void spoil(JsonNode tree, Random random) throws Exception {
        List<JsonNode> inner = new ArrayList<>();
        collect(tree, inner);
        JsonNode node = inner.get(random.nextInt(inner.size()));
        JsonNode wrong = json.readTree(WRONG.get(random.nextInt(WRONG.size())));
        if (node instanceof ObjectNode object && object.size() > 0) {
            List<String> names = new ArrayList<>();
            object.fieldNames().forEachRemaining(names::add);
            String name = names.get(random.nextInt(names.size()));
            switch (random.nextInt(4)) {
                case 0 -> object.remove(name);
                case 1 -> object.set(name + "s", object.remove(name));
                default -> object.set(name, wrong);
            }
        } else if (node instanceof ArrayNode array && array.size() > 0) {
            int at = random.nextInt(array.size());
            switch (random.nextInt(3)) {
                case 0 -> array.remove(at);
                case 1 -> array.insert(at, array.get(at).deepCopy());
                default -> array.set(at, wrong);
            }
        }
    }

    private static void collect(JsonNode node, List<JsonNode> into) {
        if (node.isContainerNode()) {
            into.add(node);
            node.forEach(child -> collect(child, into));
        }
    }

    private static void check(String mutant, boolean isProject, long frame) throws Exception {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS);
        FutureTask<String> work = new FutureTask<>(() -> fault(mutant, isProject, frame, end));
        Thread thread = Thread.ofPlatform().daemon().start(work);
        try {
            String fault = work.get(SECONDS + 10, TimeUnit.SECONDS);
            if (!fault.isEmpty()) {
                throw new Failure(fault);
            }
        } catch (TimeoutException e) {
            StringBuilder where = new StringBuilder();
            for (StackTraceElement each : thread.getStackTrace()) {
                where.append("\n    ").append(each);
            }
            throw new Failure("not finished after " + SECONDS + " s" + where);
        } catch (ExecutionException e) {
            throw new Failure(graph(e.getCause()));
        }
    }

    private static String graph(Throwable fault) {
        StringBuilder text = new StringBuilder(fault.toString());
        for (int i = 0; i < Math.min(8, fault.getStackTrace().length); i++) {
            text.append("\n    ").append(fault.getStackTrace()[i]);
        }
        return text.toString();
    }

    /** The violated property; empty if all hold. */
    private static String fault(String mutant, boolean isProject, long frame, long end) {
        Project project;
        try {
            project =
                    isProject
                            ? ProjectJson.read(mutant).project()
                            : withLook(LookJson.read(mutant));
        } catch (IvrikException e) {
            return e.oneLine().isBlank() ? "refused without a message" : "";
        }
        if (!ProjectJson.read(ProjectJson.write(project)).project().equals(project)) {
            return "writing and reading changed the project";
        }
        try {
            Frame made =
                    GeneratedProjects.render(
                            project, frame, 48, Workers.shared(), () -> System.nanoTime() > end);
            return GeneratedProjects.isSound(made) ? "" : "the result contains NaN or infinity";
        } catch (IvrikException e) {
            return e.oneLine().isBlank() ? "refused without a message" : "";
        } catch (CancelledException e) {
            return "not finished after " + SECONDS + " s, but it could be cancelled";
        }
    }

    private static Project withLook(LookJson.Reading reading) {
        try {
            Project demo = GeneratedProjects.project();
            Layer layer = demo.layers().getFirst();
            return demo.withLayers(List.of(layer.withLook(0, old -> reading.look())));
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
