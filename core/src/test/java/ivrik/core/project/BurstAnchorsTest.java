package ivrik.core.project;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.motion.Anchor;

import org.junit.jupiter.api.Test;

import java.util.List;

class BurstAnchorsTest {
    private static final Look LOOK = BuiltInLooks.named("tile-swipe");
    private final Project project =
            Project.empty("p")
                    .withLayers(
                            List.of(
                                    Layer.of(
                                            "l",
                                            "l",
                                            LOOK,
                                            new Clip("one", "a", 0, 30, 0),
                                            new Clip("two", "a", 30, 20, 0),
                                            new Clip("three", "a", 50, 40, 0))))
                    .withMarkers(List.of(new Marker("m", 70, "")));

    private Anchor at(long frame) {
        return BurstAnchors.near(project, project.layers().getFirst(), frame);
    }

    @Test
    void aNearCutThenAMarkerThenTheFrame() {
        assertThat(at(19)).isEqualTo(new Anchor.AtCut("two"));
        assertThat(at(41)).as("the nearer of two").isEqualTo(new Anchor.AtCut("three"));
        assertThat(at(70)).isEqualTo(new Anchor.AtMarkers(List.of("m")));
        assertThat(at(71)).isEqualTo(new Anchor.AtFrame(71));
        assertThat(at(17)).isEqualTo(new Anchor.AtFrame(17));
    }

    @Test
    void aLookWithoutAnchorsStandsOnTheNearestCut() {
        Look swipe = BurstAnchors.standing(LOOK, new Anchor.AtCut("two"));
        assertThat(swipe.bursts())
                .isNotEmpty()
                .allMatch(b -> b.anchor().equals(new Anchor.AtCut("two")));
        assertThat(BurstAnchors.standing(swipe, new Anchor.AtFrame(9))).isEqualTo(swipe);
    }
}
