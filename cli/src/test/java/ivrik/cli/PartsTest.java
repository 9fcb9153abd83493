package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.media.file.ProjectFile;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** An export shared by several processes gives the bytes of a single process. */
class PartsTest extends Commanded {
    private Path project;

    /** Copies the demo's shots and title with sound, and leaves out the slow layers. */
    @BeforeEach
    void someOfTheDemo() {
        Path demo =
                Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/lantern-week.ivrik");
        Project whole = ProjectFile.open(demo).project();
        List<Layer> some =
                whole.layers().stream().filter(l -> l.id().matches("shots|title")).toList();
        project = folder.resolve("some.ivrik");
        ProjectFile.save(project, whole.withLayers(some));
    }

    private int render(String out, String... more) {
        return ivrik(
                Stream.concat(
                                Stream.of(
                                        "render",
                                        project.toString(),
                                        "--scale",
                                        "0.125",
                                        "--frames",
                                        "20-134",
                                        "-o",
                                        folder.resolve(out).toString()),
                                Stream.of(more))
                        .toArray(String[]::new));
    }

    private int join(String parts, String out) {
        return ivrik("join", folder + "/" + parts, "-o", folder.resolve(out).toString());
    }

    @Test
    void joinedPartsEqualASingleRender() throws IOException {
        assertThat(render("whole.mp4")).as(err).isZero();
        assertThat(render("out.mp4", "--part", "2/2")).as(err).isZero();
        assertThat(folder.resolve("out.mp4")).doesNotExist();
        assertThat(join("out.mp4.parts", "out.mp4")).isEqualTo(1);
        assertThat(err).contains("lacks 1 of 2 parts: 1").contains("--part");
        Path second = folder.resolve("out.mp4.parts/0001.movie");
        var made = Files.getLastModifiedTime(second);
        assertThat(render("out.mp4", "--part", "1/2")).as(err).isZero();
        assertThat(render("out.mp4", "--part", "2/2")).as(err).isZero();
        assertThat(Files.getLastModifiedTime(second)).as("not computed again").isEqualTo(made);
        Path left = Files.writeString(second.resolveSibling("of a killed one.part"), "");
        assertThat(join("out.mp4.parts", "out.mp4")).as(err).isZero();
        assertThat(folder.resolve("out.mp4"))
                .hasBinaryContent(Files.readAllBytes(folder.resolve("whole.mp4")));
        try (var there = Files.list(left.getParent())) {
            assertThat(there).as("foreign files stay").containsExactly(left);
        }
        assertThat(ivrik("info", folder.resolve("out.mp4").toString())).isZero();
        assertThat(out).containsPattern("frames +115").containsPattern("sound +true");
    }

    @Test
    void stillsOfPartsHaveTheirFinalNames() throws IOException {
        for (String part : List.of("3/3", "1/3", "2/3", "2/3")) {
            boolean again = part.equals("2/3") && Files.exists(folder.resolve("p-0100.png"));
            int exit = render("p-%04d.png", "--part", part, again ? "--overwrite" : "--dither");
            assertThat(exit).as(err).isZero();
        }
        try (var all = Files.list(folder)) {
            assertThat(all.filter(f -> f.toString().endsWith(".png"))).hasSize(115);
        }
        try (var left = Files.list(folder)) {
            assertThat(left.filter(f -> f.getFileName().toString().startsWith("."))).isEmpty();
        }
    }

    @Test
    void partsOfDifferentOrdersAreNotJoined() {
        assertThat(render("out.mkv", "--part", "2/2")).as(err).isZero();
        assertThat(render("out.mkv", "--part", "1/2", "--no-sound")).isEqualTo(1);
        assertThat(err)
                .contains("out.mkv.parts contains parts of another project or with other settings");
        assertThat(render("out.mkv", "--part", "9/9")).as(err).isZero();
        assertThat(render("out.mkv", "--part", "2/9")).as(err).isZero();
        assertThat(err).contains("part 2/9 is empty");
    }

    @ParameterizedTest
    @ValueSource(strings = {"0/3", "4/3", "3", "a/b", "1/0", "1/1000000"})
    void anImpossiblePartIsWrongUsage(String part) {
        assertThat(render("out.mkv", "--part", part)).isEqualTo(2);
        assertThat(err).contains("a part");
    }

    @Test
    void indivisibleExportsAndMissingPartsAreReported() throws IOException {
        assertThat(render("out.gif", "--part", "1/2")).isEqualTo(1);
        assertThat(err).contains("cannot be rendered in parts");
        assertThat(render("out.mkv", "--part", "1/2", "--channels")).isEqualTo(2);
        assertThat(join("nowhere.parts", "x.mp4")).isEqualTo(1);
        assertThat(err).contains("nowhere.parts");
        Path damaged = Files.createDirectory(folder.resolve("d.mp4.parts"));
        Files.writeString(damaged.resolve("order.properties"), "form=h264\nframes=x\n");
        Files.copy(project, damaged.resolve("project.ivrik"));
        assertThat(join("d.mp4.parts", "d.mp4")).isEqualTo(1);
        assertThat(err).contains("order.properties is damaged");
    }
}
