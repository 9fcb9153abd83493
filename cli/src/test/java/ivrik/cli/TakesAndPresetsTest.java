package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;
import ivrik.core.project.Takes;
import ivrik.media.decode.Import;
import ivrik.media.file.ProjectFile;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Takes of a project exported to separate files, and presets for destinations. */
class TakesAndPresetsTest extends Commanded {
    private int run(Object... words) {
        return ivrik(Stream.of(words).map(Object::toString).toArray(String[]::new));
    }

    /**
     * A project with two takes, whose red channel is shifted by 3 and 8 px to the right; the second take is
     * marked for export.
     */
    private Path project(Path still) {
        Project project =
                Import.project(Import.source(still, "still"), BuiltInLooks.named("neutral"));
        String id = project.layers().getFirst().id();
        for (int shift : List.of(3, 8)) {
            List<LayerLook> looks =
                    List.of(
                            new LayerLook(
                                    LayerLook.FIRST,
                                    BuiltInLooks.named("rgb-split").withDial("red-x", shift),
                                    true));
            project = project.withLayer(id, l -> Takes.withTake(l, "Red by " + shift, looks));
        }
        project =
                project.withLayer(
                        id,
                        l ->
                                l.withTakes(
                                        l.takes().stream()
                                                .map(
                                                        t ->
                                                                t.withMarkedForExport(
                                                                        t.name().endsWith("8")))
                                                .toList()));
        Path file = folder.resolve("p.ivrik");
        ProjectFile.save(file, project);
        return file;
    }

    private byte[] bytes(String name) throws IOException {
        return Files.readAllBytes(folder.resolve(name));
    }

    /** Renders the first frame with takes given by name, then options. */
    private int render(Path file, String out, List<String> takes, String... options) {
        List<Object> words = new ArrayList<>(List.of("render", file, "--frames", "0-0"));
        takes.forEach(take -> words.addAll(List.of("--take", take)));
        words.addAll(List.of(options));
        words.addAll(List.of("-o", folder.resolve(out)));
        return run(words.toArray());
    }

    private int apply(Path still, String out, String... options) {
        List<Object> words = new ArrayList<>(List.of("apply", still, "--look", "rgb-split"));
        words.addAll(List.of(options));
        words.addAll(List.of("-o", folder.resolve(out)));
        return run(words.toArray());
    }

    @Test
    void takesByNameAndMarkedTakesRenderTheirLooks() throws IOException {
        Path still = picture8("in.png", false);
        Path file = project(still);
        assertThat(render(file, "out-{take}.png", List.of("Red by 3"), "--marked")).isZero();
        assertThat(apply(still, "three.png", "--set", "red-x=3")).isZero();
        assertThat(apply(still, "eight.png", "--set", "red-x=8")).isZero();
        assertThat(bytes("out-red-by-3.png")).isEqualTo(bytes("three.png"));
        assertThat(bytes("out-red-by-8.png")).isEqualTo(bytes("eight.png"));
        assertThat(bytes("three.png")).isNotEqualTo(bytes("eight.png"));
    }

    @Test
    void missingTakesAndClashingFilesAreReported() throws IOException {
        Path file = project(picture8("in.png", false));
        List<String> both = List.of("Red by 3", "Red by 8");
        assertThat(render(file, "one.png", List.of("Red by 5"))).isNotZero();
        assertThat(err).contains("no take is named 'Red by 5'").contains("Red by 3");
        assertThat(render(file, "one.png", both)).isNotZero();
        assertThat(err).contains("2 takes cannot share one file").contains("{take}");
        Files.writeString(folder.resolve("t-red-by-8.png"), "mine");
        assertThat(render(file, "t-{take}.png", both)).isNotZero();
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(
                            files.map(f -> f.getFileName().toString())
                                    .filter(n -> n.startsWith("t-") || n.startsWith("one")))
                    .containsExactly("t-red-by-8.png");
        }
        assertThat(bytes("t-red-by-8.png")).asString().isEqualTo("mine");
    }

    @Test
    void aPresetSetsTheFormatAndChecksTheEnding() throws IOException {
        Path still = picture8("in.png", true);
        assertThat(apply(still, "s.webp", "--preset", "animated-image")).isZero();
        assertThat(bytes("s.webp")).isNotEmpty();
        assertThat(apply(still, "s.mp4", "--preset", "animated-image")).isNotZero();
        assertThat(err).contains("Animated WebP").contains("use the extension .webp for OUT");
        assertThat(apply(still, "s.webp", "--preset", "stick")).isNotZero();
        assertThat(err)
                .contains("choose one of: editing, web, alpha, preview, animated-image, lossless");
    }
}
