package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;
import ivrik.core.project.ShotEdits;

import org.junit.jupiter.api.Test;

import java.util.List;

/** Three shots with a look on all of them and another on the second only. */
class LooksForShotsTest {
    private static final Look SPLIT = BuiltInLooks.named("rgb-split").withDial("red-x", 3);
    private static final Look MORE = BuiltInLooks.named("rgb-split").withDial("red-x", 2);

    private final Scene scene = new Scene(LooksForShotsTest::ramp);

    private static Frame ramp(long frame) {
        Plane plane = Plane.of(40, 4);
        for (int i = 0; i < plane.data().length; i++) {
            plane.data()[i] = i % 40 / 64f;
        }
        return Frame.opaque(plane, plane, plane);
    }

    private Layer layer() {
        List<Clip> shots =
                List.of(
                        new Clip("one", "a", 0, 10, 0),
                        new Clip("two", "a", 10, 10, 0),
                        new Clip("three", "a", 20, 10, 0));
        return scene.project(SPLIT)
                .layers()
                .getFirst()
                .withClips(shots)
                .withLooks(
                        List.of(
                                new LayerLook("look-1", SPLIT, true),
                                new LayerLook("look-2", MORE, true, List.of("two"))));
    }

    private Project project(Layer layer) {
        return scene.project(SPLIT).withLayers(List.of(layer));
    }

    /** The shift of red in the middle of the ramp, in pixels to the right. */
    private long red(Layer layer, long frame) {
        Frame out = scene.render(project(layer), frame);
        return Math.round(20 - out.colour().getFirst().at(20, 1) * 64);
    }

    @Test
    void aLookOfAShotAppliesToItOnly() {
        assertThat(red(layer(), 9)).isEqualTo(3);
        assertThat(red(layer(), 10)).isEqualTo(5);
        assertThat(red(layer(), 19)).isEqualTo(5);
        assertThat(red(layer(), 20)).isEqualTo(3);
    }

    @Test
    void aSplitShotKeepsItsLookOnBothHalves() {
        Layer cut = new ShotEdits(project(layer()), layer()).split(15);
        assertThat(cut.clips()).hasSize(4);
        assertThat(red(cut, 14)).isEqualTo(5);
        assertThat(red(cut, 15)).isEqualTo(5);
        assertThat(red(cut, 20)).isEqualTo(3);
    }

    /** The look is neither applied to all shots nor lost. */
    @Test
    void aLookWithoutItsShotIsSuspended() {
        Layer fewer = new ShotEdits(project(layer()), layer()).without("two", true);
        assertThat(fewer.looks())
                .extracting(LayerLook::id, LayerLook::on)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("look-1", true),
                        org.assertj.core.groups.Tuple.tuple("look-2", false));
        assertThat(red(fewer, 12)).isEqualTo(3);
    }
}
