package ivrik.core.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.colour.ColourTable;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.picture.Size;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Marker;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.LookupTable;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Optional;

class JsonTest {
    private final Look look =
            BuiltInLooks.named("rgb-split")
                    .withDial("red-x", 4)
                    .withSettings(
                            0,
                            1,
                            a ->
                                    a.with(
                                            "y",
                                            new Value(
                                                    1,
                                                    List.of(
                                                            new Keyframe(3, 2.5, Ease.SMOOTH),
                                                            new Keyframe(9, -1, Ease.HOLD),
                                                            new Keyframe(12, 0, Ease.LINEAR)))));
    private final Project project =
            new Project(
                    "Lantern Week",
                    new Sequence(new Size(1280, 720), new Rational(30000, 1001)),
                    List.of(
                            new Source(
                                    "tram",
                                    "tram",
                                    "media/tram.webm",
                                    Source.Kind.MOVIE,
                                    new Size(1280, 720),
                                    Rational.of(24),
                                    96,
                                    true)),
                    List.of(
                            Layer.of("shots", "shots", look, new Clip("tram", 0, 96, 0)),
                            Layer.of(
                                    "title",
                                    "title",
                                    BuiltInLooks.named("neutral"),
                                    new Clip("tram", 4, 9, 1))),
                    List.of(new Marker(12, "here")),
                    Optional.of(new FrameRange(10, 40)));

    @Test
    void aProjectRoundTrips() {
        ProjectJson.Reading reading = ProjectJson.read(ProjectJson.write(project));
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.project()).isEqualTo(project);
    }

    @Test
    void aLookRoundTrips() {
        assertThat(LookJson.read(LookJson.write(look)).look()).isEqualTo(look);
    }

    @Test
    void aTruncatedFileGivesThePartBeforeTheCut() {
        String text = ProjectJson.write(project);
        int recovered = 0;
        for (int end = text.indexOf("\"sequence\""); end < text.length() - 2; end += 37) {
            ProjectJson.Reading reading = ProjectJson.read(text.substring(0, end));
            assertThat(reading.problems()).isNotEmpty();
            assertThat(reading.project().name()).isEqualTo("Lantern Week");
            recovered += reading.project().layers().size();
        }
        assertThat(recovered).isPositive();
    }

    @Test
    void aFaultyPartLosesOnlyItself() {
        String text = ProjectJson.write(project).replace("\"shift\"", "\"no-such-treatment\"");
        ProjectJson.Reading reading = ProjectJson.read(text);
        assertThat(reading.project().layers()).hasSize(2);
        assertThat(reading.project().layers().getFirst().look().steps()).isEmpty();
        assertThat(reading.project().layers().getFirst().look().dials().getFirst().links())
                .isEmpty();
        assertThat(reading.problems()).anyMatch(p -> p.contains("no-such-treatment"));
    }

    @Test
    void aClipOfAnUnlistedSourceIsReported() {
        String text = ProjectJson.write(project.withSources(List.of()));
        assertThat(ProjectJson.read(text).problems())
                .anyMatch(p -> p.contains("unknown source: tram"));
    }

    @Test
    void foreignAndNewerFilesAreRefused() {
        assertThatThrownBy(() -> ProjectJson.read("{\"a\": 1}"))
                .isInstanceOf(ForeignFileException.class)
                .hasMessageContaining("not an Ivrik project");
        assertThatThrownBy(
                        () ->
                                ProjectJson.read(
                                        ProjectJson.write(project)
                                                .replace("\"version\" : 3", "\"version\" : 7")))
                .hasMessageContaining("version 7");
    }

    @Test
    void aLargeTableRoundTripsToTheBit() {
        ColourTable table =
                ColourTable.of(
                        "large", 100, rgb -> rgb[0] = Math.sqrt(rgb[0] * rgb[1] + 0.1 * rgb[2]));
        Look rest = Look.atRest("l", new Rgb(), new LookupTable());
        String step = rest.steps().getFirst().id();
        Look with = rest.withStep(step, s -> s.withOwnTable(table));
        LookJson.Reading read = LookJson.read(LookJson.write(with));
        assertThat(read.problems()).isEmpty();
        assertThat(read.look()).isEqualTo(with);
    }
}
