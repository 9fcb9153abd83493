package ivrik.core.json;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.cache.FrameCache;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.render.Plan;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/**
 * Projects written by version 2 open without a problem and render to the pixels that version 2 made.
 *
 * <p>The corpus has every treatment, every choice of every option, every built-in look, every colour model,
 * a project with every field, and the demo. {@code pixels.txt} holds one line per frame: project, the layer
 * that is shown alone (or {@code all}), frame, and the FNV-1a hash of all samples, recorded with the last
 * commit that wrote version 2.
 */
class Version2Test {
    private static String resource(String name) {
        try (InputStream in = Version2Test.class.getResourceAsStream("version2/" + name)) {
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
    @ValueSource(strings = {"treatments", "options", "looks", "models", "everything", "demo"})
    void everyFrameHasThePixelsOfVersion2(String name) {
        Project project = project(name);
        Renderer renderer =
                new Renderer((p, shown) -> picture(p), Workers.shared(), new FrameCache(0));
        List<String> expected =
                resource("pixels.txt").lines().filter(l -> l.startsWith(name + " ")).toList();
        assertThat(expected).isNotEmpty();
        List<String> rendered = new ArrayList<>();
        for (String line : expected) {
            String layer = line.split(" ")[1];
            long frame = Long.parseLong(line.split(" ")[2]);
            Project shown =
                    layer.equals("all")
                            ? project
                            : project.withLayer(layer, l -> l.withVisible(true));
            String hash = Long.toHexString(hash(renderer.render(shown, frame)));
            rendered.add(String.join(" ", name, layer, Long.toString(frame), hash));
        }
        assertThat(rendered).isEqualTo(expected);
    }

    /** The corpus has the built-in looks in their order, each with other dial values than its own. */
    @Test
    void todaysBuiltInLooksAreThoseOfVersion2() {
        List<Layer> layers = project("looks").layers();
        List<Look> today = BuiltInLooks.all();
        assertThat(layers).hasSameSizeAs(today);
        for (int i = 0; i < layers.size(); i++) {
            Look former = layers.get(i).look();
            Look look = today.get(i);
            assertThat(untitled(look, former)).as(look.name()).isEqualTo(untitled(former, former));
        }
    }

    /** A look without its texts, which version 3 has rewritten, and with the dial values of another. */
    private static Look untitled(Look look, Look values) {
        List<Dial> dials =
                look.dials().stream()
                        .map(d -> d.withTitle("").withUnit(""))
                        .map(d -> d.withValue(values.dial(d.name()).value()))
                        .toList();
        return look.withTitle("")
                .withNote("")
                .withTags(List.of())
                .withDials(dials)
                .withBursts(look.bursts().stream().map(b -> b.withName("")).toList());
    }

    @ParameterizedTest
    @ValueSource(strings = {"treatments", "options", "looks", "models", "everything", "demo"})
    void aProjectSavedAgainReadsBackEqual(String name) {
        Project project = project(name);
        ProjectJson.Reading again = ProjectJson.read(ProjectJson.write(project));
        assertThat(again.problems()).isEmpty();
        assertThat(again.project()).isEqualTo(project);
    }

    /** A made-up frame of a source, at the size of the source; all but movies have coverage. */
    private static Frame picture(Plan.Picture picture) {
        Source source = picture.source();
        List<Plane> planes = new ArrayList<>();
        for (int channel = 0; channel < 4; channel++) {
            planes.add(plane(source.size(), picture.frame(), channel, source.id().length()));
        }
        return source.kind() == Source.Kind.MOVIE
                ? Frame.opaque(planes.get(0), planes.get(1), planes.get(2))
                : Frame.straight(planes.get(0), planes.get(1), planes.get(2), planes.get(3));
    }

    private static Plane plane(Size size, long frame, int channel, int salt) {
        float[] v = new float[size.width() * size.height()];
        for (int i = 0; i < v.length; i++) {
            long x = i % size.width();
            long y = i / size.width();
            v[i] =
                    Math.floorMod(x * 7 + y * 13 + frame * 29 + channel * 71 + salt * 37L, 101)
                            / 100f;
        }
        return Plane.of(size.width(), size.height(), v);
    }

    /** FNV-1a over the bits of all samples of colour and coverage. */
    private static long hash(Frame frame) {
        long hash = 0xcbf29ce484222325L;
        List<Plane> planes = new ArrayList<>(frame.colour());
        planes.addAll(frame.coverage());
        for (Plane plane : planes) {
            for (int y = 0; y < plane.height(); y++) {
                for (int x = 0; x < plane.width(); x++) {
                    hash =
                            (hash ^ Float.floatToIntBits(plane.data()[plane.row(y) + x]))
                                    * 0x100000001b3L;
                }
            }
        }
        return hash;
    }
}
