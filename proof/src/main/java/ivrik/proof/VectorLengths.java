package ivrik.proof;

import ivrik.cli.Ivrik;
import ivrik.core.json.ProjectJson;
import ivrik.core.project.Project;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;

/**
 * A frame of the demo with another look, rendered by the command line on processors with shorter vectors: the
 * same file.
 */
final class VectorLengths implements Trial {
    /** The longest vectors, then 256 bits, 128 bits, and no AVX. */
    private static final List<List<String>> PROCESSORS =
            List.of(
                    List.of(),
                    List.of("-XX:MaxVectorSize=32"),
                    List.of("-XX:MaxVectorSize=16"),
                    List.of("-XX:UseAVX=0"));

    @Override
    public String name() {
        return "vector-lengths";
    }

    @Override
    public int run(long seed, Path folder) throws Exception {
        Random random = new Random(seed);
        Path home = Path.of(System.getProperty("ivrik.home"));
        Path demo = Folders.copy(home.resolve("demo/lantern-week"), folder.resolve("demo"));
        Project project = Determinism.project(GeneratedProjects.project(), random);
        Path file = Files.writeString(demo.resolve("it.ivrik"), ProjectJson.write(project));
        int frame = random.nextInt(240);
        Path first = null;
        for (List<String> flags : PROCESSORS) {
            Path out = folder.resolve("out" + flags.hashCode() + ".png");
            render(flags, file, frame, out, folder);
            first = first == null ? out : first;
            if (Files.mismatch(first, out) >= 0) {
                throw new Failure("frame " + frame + " of " + file + " differs with " + flags);
            }
        }
        return PROCESSORS.size() - 1;
    }

    private static void render(List<String> flags, Path file, int frame, Path out, Path folder)
            throws Exception {
        Path said = folder.resolve("said.txt");
        int exit =
                new ProcessBuilder(
                                Java.command(
                                        flags,
                                        Ivrik.class,
                                        "render",
                                        file,
                                        "--frames",
                                        frame + "-" + frame,
                                        "--scale",
                                        "0.25",
                                        "-o",
                                        out))
                        .redirectErrorStream(true)
                        .redirectOutput(said.toFile())
                        .start()
                        .waitFor();
        if (exit != 0) {
            throw new Failure("the render ended with " + exit + ": " + Files.readString(said));
        }
    }
}
