package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.Pictured;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;

import java.util.ArrayList;
import java.util.List;

/** Frames delivered as rows equal frames rendered as planes. */
class RowPipelineTest {
    private static final int WIDTH = 67;
    private static final int HEIGHT = 45;
    private static final Look BLURRED =
            BuiltInLooks.named("channel-blur").withDial("red", 9).withDial("blue", 17);

    private final List<String> directions = new ArrayList<>();

    private static Plane plane(int seed) {
        return Pictured.smooth(WIDTH, HEIGHT, seed);
    }

    private static Scene opaque() {
        return new Scene(Frame.opaque(plane(0), plane(2), plane(4)));
    }

    private Frame made(Renderer renderer, Plan plan) {
        return renderer.made(
                plan,
                1,
                Cancellation.NEVER,
                rows -> {
                    directions.add("rows");
                    return new Frame(rows.toPlanes(Workers.shared()), Alpha.OPAQUE, List.of());
                },
                frame -> {
                    directions.add("frame");
                    return frame;
                });
    }

    private static void same(Frame one, Frame other) {
        for (int c = 0; c < 3; c++) {
            assertThat(one.colour().get(c).sameSamples(other.colour().get(c))).isTrue();
        }
    }

    @Test
    void opaqueFramesAsRowsEqualCachedFrames() {
        Scene scene = opaque();
        Project project = scene.project(BLURRED);
        Plan plan = Planner.plan(project, 3);
        Renderer renderer = scene.renderer();
        Frame first = made(renderer, plan);
        Frame second = made(renderer, plan);
        assertThat(directions).containsExactly("rows", "frame");
        same(first, opaque().render(project, 3));
        same(second, first);
        assertThat(made(renderer, plan)).isSameAs(second);
    }

    @Test
    void framesWithCoverageAreDeliveredAsPlanes() {
        Scene scene = new Scene(Frame.straight(plane(0), plane(2), plane(4), plane(6)));
        Project project = scene.project(BLURRED);
        Plan plan = Planner.plan(project, 3);
        Frame made = made(scene.renderer(), plan);
        assertThat(directions).containsExactly("frame");
        same(made, scene.render(project, 3));
    }

    @Test
    void opacityIsKnownBeforeTheRows() {
        Scene scene = opaque();
        Plan plan = Planner.plan(scene.project(BLURRED), 3);
        Renderer renderer = scene.renderer();
        assertThat(renderer.isOpaque(plan, 1, Cancellation.NEVER)).isTrue();
        made(renderer, plan);
        assertThat(directions).as("the frame was not requested before").containsExactly("rows");
        Scene covered = new Scene(Frame.straight(plane(0), plane(2), plane(4), plane(6)));
        Plan other = Planner.plan(covered.project(BLURRED), 3);
        assertThat(covered.renderer().isOpaque(other, 1, Cancellation.NEVER)).isFalse();
    }

    @Test
    void cachedFramesAreReused() {
        Scene scene = opaque();
        Plan plan = Planner.plan(scene.project(BLURRED), 3);
        Renderer renderer = scene.renderer();
        Frame kept = renderer.render(plan, 1, Cancellation.NEVER);
        assertThat(made(renderer, plan)).isSameAs(kept);
        assertThat(directions).containsExactly("frame");
    }
}
