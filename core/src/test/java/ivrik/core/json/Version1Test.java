package ivrik.core.json;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.cache.FrameCache;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Dial;
import ivrik.core.look.FormerNames;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Project;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** Files written by version 1 open and give the plans and pixels of version 1. */
class Version1Test {
    static String resource(String name) {
        try (InputStream in = Version1Test.class.getResourceAsStream("version1/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Project project(String name) {
        ProjectJson.Reading reading = ProjectJson.read(resource(name + ".ivrik"));
        assertThat(reading.problems()).isEmpty();
        return reading.project();
    }

    @ParameterizedTest
    @ValueSource(strings = {"demo", "everything", "random", "before"})
    void projectsKeepTheirPlans(String name) {
        Project project = project(name);
        String expected = resource(name + ".plans.txt");
        StringBuilder plans = new StringBuilder();
        expected.lines()
                .filter(line -> line.startsWith("frame "))
                .mapToLong(line -> Long.parseLong(line.split(" ")[1]))
                .forEach(n -> plans.append(PlanText.of(project, n)));
        assertThat(plans.toString()).isEqualTo(expected);
    }

    @ParameterizedTest
    @ValueSource(strings = {"demo", "everything", "random", "before"})
    void aProjectIsWrittenInVersion3AndReadsBackEqual(String name) {
        Project project = project(name);
        String written = ProjectJson.write(project);
        assertThat(written).contains("\"version\" : 3");
        ProjectJson.Reading again = ProjectJson.read(written);
        assertThat(again.problems()).isEmpty();
        assertThat(again.project()).isEqualTo(project);
    }

    @Test
    void randomTreatmentsKeepTheirPixels() {
        Project project = project("random");
        Renderer renderer =
                new Renderer(
                        (p, shown) ->
                                Frame.opaque(
                                        plane(p.frame(), 0),
                                        plane(p.frame(), 1),
                                        plane(p.frame(), 2)),
                        Workers.shared(),
                        new FrameCache(0));
        resource("random.pixels.txt")
                .lines()
                .map(line -> line.split(" "))
                .forEach(
                        line ->
                                assertThat(
                                                fingerprint(
                                                        renderer.render(
                                                                project, Long.parseLong(line[0]))))
                                        .as("frame " + line[0])
                                        .isEqualTo(Long.parseUnsignedLong(line[1], 16)));
    }

    /** A picture of the corpus, 96x64. */
    private static Plane plane(long frame, int channel) {
        float[] v = new float[96 * 64];
        for (int i = 0; i < v.length; i++) {
            long at = i % 96 * 7 + i / 96 * 13 + frame * 29 + channel * 71;
            v[i] = Math.floorMod(at, 101) / 100f;
        }
        return Plane.of(96, 64, v);
    }

    /** FNV-1a over the bits of all samples. */
    private static long fingerprint(Frame frame) {
        long hash = 0xcbf29ce484222325L;
        for (Plane plane : frame.colour()) {
            for (float v : plane.data()) {
                hash = (hash ^ Float.floatToIntBits(v)) * 0x100000001b3L;
            }
        }
        return hash;
    }

    @ParameterizedTest
    @ValueSource(strings = {"ghost-pins", "glow-one-colour", "rgb-split", "stereo-glasses"})
    void looksEqualTheBuiltInLooks(String name) {
        LookJson.Reading reading = LookJson.read(resource(name + ".look.json"));
        assertThat(reading.problems()).isEmpty();
        Look read = reading.look();
        Look built = BuiltInLooks.named(FormerNames.presentLook(name).orElse(name));
        assertThat(read.steps().stream().map(Step::id))
                .containsExactlyElementsOf(built.steps().stream().map(Step::id).toList());
        for (Dial dial : read.dials()) {
            Dial now =
                    built.dials().stream()
                            .filter(d -> d.name().equals(dial.name()))
                            .findFirst()
                            .orElseThrow();
            assertThat(now.links()).as("later nudges may be included").containsAll(dial.links());
            assertThat(now.rest()).isEqualTo(dial.rest());
        }
    }

    @Test
    void aMovingSeedIsReportedAndItsRestIsUsed() {
        String text =
                resource("random.ivrik")
                        .replaceFirst(
                                "\"seed\" : 40.0",
                                "\"seed\" : {\"rest\": 4, \"pegs\": [{\"frame\": 2, \"value\": 9,"
                                        + " \"ease\": \"hold\"}]}");
        ProjectJson.Reading reading = ProjectJson.read(text);
        assertThat(reading.problems())
                .singleElement()
                .asString()
                .contains("treatment displace-1", "keyframes on a seed are no longer supported");
        ChannelSettings settings =
                reading.project()
                        .layers()
                        .getFirst()
                        .look()
                        .step("displacement-1")
                        .orElseThrow()
                        .settings(0);
        assertThat(settings.seed()).isEqualTo(4);
        assertThat(settings.values()).doesNotContainKey("seed");
    }

    @Test
    void aDialWithoutTargetsIsReportedByItsOldPlace() {
        String text = resource("rgb-split.look.json").replaceFirst("\"step\" : 0", "\"step\" : 4");
        assertThat(LookJson.read(text).problems())
                .singleElement()
                .asString()
                .contains("treatment 5, channel 1, x");
    }
}
