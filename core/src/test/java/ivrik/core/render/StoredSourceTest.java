package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.Made;
import ivrik.core.Pictured;
import ivrik.core.cache.FrameCache;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.render.Plan.Picture;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;

/** Sources that deliver rows of stored bytes give the same result as planes. */
class StoredSourceTest {
    private static final int WIDTH = 67;
    private static final int HEIGHT = 45;
    private static final long BUDGET = 64L << 20;

    private final AtomicInteger rowsMade = new AtomicInteger();
    private final AtomicInteger planesAsked = new AtomicInteger();
    private final List<Plane> colour = List.of(plane(0), plane(2), plane(4));
    private final Frame frame = Frame.opaque(colour.get(0), colour.get(1), colour.get(2));
    private final Scene scene = new Scene(frame);
    private ColourRows stored = Made.stored(colour, rowsMade);

    private static Plane plane(int seed) {
        return Pictured.smooth(WIDTH, HEIGHT, seed);
    }

    private Renderer renderer() {
        Pictures pictures =
                new Pictures() {
                    @Override
                    public Frame frame(Picture picture, Size shown) {
                        planesAsked.incrementAndGet();
                        return frame;
                    }

                    @Override
                    public Optional<ColourRows> rows(Picture picture) {
                        return Optional.of(stored);
                    }
                };
        return new Renderer(pictures, Workers.shared(), new FrameCache(BUDGET));
    }

    private static void same(Frame one, Frame other) {
        for (int c = 0; c < 3; c++) {
            assertThat(one.colour().get(c).sameSamples(other.colour().get(c))).as("" + c).isTrue();
        }
    }

    /**
     * Looks that treat channels, other models, the whole picture, several moments, and several steps in turn.
     */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "rgb-split",
                "channel-blur",
                "halation",
                "videotape",
                "film-print",
                "misregistered-print",
                "spectral-dispersion",
                "chromatic-aberration",
                "tile-swipe",
                "digital-breakup"
            })
    void everyLookEqualsThatOfPlanes(String name) {
        Look look = BuiltInLooks.named(name);
        Project project = scene.project(look);
        Frame wanted = scene.render(project, 3);
        same(renderer().render(project, 3), wanted);
        stored = Made.dear(colour, rowsMade);
        same(renderer().render(project, 3), wanted);
    }

    @Test
    void rowsSufficeWithoutPlanes() {
        Look look = BuiltInLooks.named("channel-blur").withDial("red", 30).withDial("blue", 20);
        renderer().render(scene.project(look), 3);
        assertThat(planesAsked.get()).isZero();
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.25, 0.5, 0.7, 1.5})
    void otherSizesAreEqual(double scale) {
        Plan plan = Planner.plan(scene.project(BuiltInLooks.named("rgb-split")), 3);
        same(
                renderer().render(plan, scale, Cancellation.NEVER),
                scene.renderer().render(plan, scale, Cancellation.NEVER));
        assertThat(planesAsked.get()).isZero();
    }

    /** Repeated work on one frame computes its rows twice and then uses planes. */
    @Test
    void aRepeatedPictureBecomesPlanesOnce() {
        Renderer renderer = renderer();
        for (int i = 0; i < 4; i++) {
            int by = 2 * i + 1;
            Look look = BuiltInLooks.named("rgb-split").withDial("red-x", by);
            Frame wanted = scene.render(scene.project(look), 3);
            same(renderer.render(scene.project(look), 3), wanted);
            if (i == 1) {
                rowsMade.set(0);
            }
        }
        assertThat(rowsMade.get()).isZero();
        assertThat(planesAsked.get()).isZero();
    }
}
