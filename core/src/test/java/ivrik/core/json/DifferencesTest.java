package ivrik.core.json;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.motion.Value;
import ivrik.core.picture.Size;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;

import org.junit.jupiter.api.Test;

import java.util.List;

class DifferencesTest {
    private final Project here =
            Project.empty("night").withLayers(List.of(layer("low"), layer("high")));

    private static Layer layer(String id) {
        return Layer.of(id, id, BuiltInLooks.named("neutral"), new Clip("s", 0, 10, 0));
    }

    private List<String> against(Project there) {
        return Differences.between(here, "here", there, "in the file");
    }

    @Test
    void equalProjectsHaveNoDifference() {
        assertThat(against(here)).isEmpty();
    }

    @Test
    void aValueIsReportedByLayerLookStepAndChannel() {
        Project there =
                here.withLayer(
                        "high",
                        l ->
                                l.withLook(
                                        0,
                                        k ->
                                                k.withSettings(
                                                        0,
                                                        2,
                                                        a -> a.with("x", Value.of(2.0 / 3)))));
        assertThat(against(there))
                .containsExactly(
                        "layer high, look 1, step shift-1, channel 3, x: 0 here, 0.6667 in the"
                                + " file");
    }

    @Test
    void missingPartsAndAnotherOrderAreReported() {
        assertThat(against(here.withLayers(List.of(layer("low")))))
                .containsExactly("layer high: only here");
        assertThat(against(here.withLayers(List.of(layer("high"), layer("low")))))
                .containsExactly("layers: different order");
        assertThat(
                        against(
                                here.withName("day")
                                        .withSequence(
                                                new Sequence(
                                                        new Size(640, 360),
                                                        here.sequence().rate()))))
                .anyMatch(l -> l.equals("name: night here, day in the file"))
                .anyMatch(l -> l.startsWith("sequence") && l.contains("640"));
    }
}
