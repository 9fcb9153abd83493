package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.project.Project;
import ivrik.media.decode.Import;
import ivrik.media.file.Journal;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.ProjectLock;
import ivrik.media.file.RecoverableWork;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** Every input and output, with unusual names of folders and files. */
class NamesTest extends Commanded {
    static Stream<String> names() {
        return Stream.of(
                "with spaces  two",
                "Größe é ß",
                "e\u0301 apart",
                "🏮 lanterns 提灯",
                "it's \"quoted\" & $HOME `x`",
                "100% #1 [a] {b}",
                "-leading",
                "n".repeat(200),
                "ü".repeat(100));
    }

    @ParameterizedTest
    @MethodSource("names")
    void unusualNamesWork(String name) throws IOException {
        Path inside = Files.createDirectory(folder.resolve(name));
        Path picture = inside.resolve(name + ".png");
        Files.move(picture8("plain.png", false), picture);
        Path plain = folder.resolve("plain out.png");
        ok("apply", picture, "--look", "rgb-split", "-o", inside.resolve("out " + name + ".png"));
        ok("apply", picture, "--look", "rgb-split", "-o", plain);
        assertSamePixels(inside.resolve("out " + name + ".png"), plain);
        ok("info", picture);
        ok("separate", picture, "--model", "oklab", "-o", inside.resolve("channels " + name));
        ok("rejoin", inside.resolve("channels " + name), "-o", inside.resolve("back.png"));
        assertSamePixels(picture, inside.resolve("back.png"));

        Path project = inside.resolve(name + ".ivrik");
        Project made = Import.project(Import.source(picture, "p"), BuiltInLooks.named("rgb-split"));
        ProjectFile.save(project, made);
        assertThat(ProjectFile.open(project).project()).isEqualTo(made);
        ok("check", project);
        ok("render", project, "-o", inside.resolve(name + ".mkv"));
        ok("render", project, "--part", "1/1", "-o", inside.resolve(name + "2.mkv"));
        ok("join", inside.resolve(name + "2.mkv.parts"), "-o", inside.resolve(name + "2.mkv"));
        assertThat(inside.resolve(name + "2.mkv"))
                .hasSameBinaryContentAs(inside.resolve(name + ".mkv"));
        ok("pack", project, "-o", inside.resolve(name + ".zip"));
        ok("unpack", inside.resolve(name + ".zip"), "-o", inside.resolve("un " + name));
        ok("check", inside.resolve("un " + name).resolve(name + ".ivrik"));
        try (ProjectLock held = ProjectLock.take(project)) {
            assertThat(held).isNotNull();
            Journal.beside(project).write(made);
            assertThat(RecoverableWork.of(project)).as("its own value is kept").isEmpty();
        }
        try (var left = Files.list(inside)) {
            assertThat(left.map(f -> f.getFileName().toString()).filter(f -> f.endsWith(".part")))
                    .isEmpty();
        }
    }

    private void ok(Object... words) {
        assertThat(ivrik(List.of(words).stream().map(Object::toString).toArray(String[]::new)))
                .as(err)
                .isZero();
    }
}
