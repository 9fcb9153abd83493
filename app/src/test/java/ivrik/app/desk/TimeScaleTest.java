package ivrik.app.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.app.session.GraphTargets;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.Section;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancellation;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

import org.junit.jupiter.api.Test;

import java.util.List;

/** Positions in the time view, and the item under the pointer. */
class TimeScaleTest {
    private static final Value MOVING =
            new Value(
                    0,
                    List.of(
                            new Keyframe(10, 0, Ease.SMOOTH),
                            new Keyframe(30, 8, Ease.LINEAR),
                            new Keyframe(50, -4, Ease.HOLD)));
    private final Look look =
            BuiltInLooks.named("neutral").withSettings(0, 0, a -> a.with("x", MOVING));
    private final TimeScale scale = TimeScale.of(new View(), 1000, 100);

    private static Session session(Look look) {
        Layer layer = Layer.of("l", "l", look, new Clip("s", 0, 10, 0));
        Session session = new Session();
        session.open(Project.empty("p").withLayers(List.of(layer)));
        return session;
    }

    private Graph graph(Look l, int channel, String name) {
        View view = new View();
        view.graphed.set(new GraphTargets.OfTreatment(name));
        return new GraphRows(session(l).state(), view).graph(channel);
    }

    @Property(tries = 300)
    void framesMapToPositionsAndBack(
            @ForAll @IntRange(min = 60, max = 3000) int width,
            @ForAll @IntRange(min = 1, max = 5000) int frames) {
        TimeScale s = TimeScale.of(new View(), width, frames);
        for (long f : new long[] {0, frames / 3, frames / 2, frames - 1}) {
            assertThat(s.frame(s.x(f + 0.5))).isEqualTo(f);
        }
        assertThat(s.frame(-50)).isZero();
        assertThat(s.frame(width + 50)).isEqualTo(frames - 1);
    }

    @Property(tries = 300)
    void zoomingKeepsTheFrameUnderThePointer(
            @ForAll @IntRange(min = 20, max = 5000) int frames,
            @ForAll @IntRange(min = 12, max = 988) int x,
            @ForAll @IntRange(min = 1, max = 30) int steps) {
        View view = new View();
        double moment = TimeScale.of(view, 1000, frames).moment(x);
        for (int i = 0; i < steps; i++) {
            TimeScale.of(view, 1000, frames).zoom(view, 0.8, x);
            TimeScale now = TimeScale.of(view, 1000, frames);
            assertThat(now.moment(x)).isCloseTo(moment, within(1e-6 * frames));
            assertThat(now.shown()).isGreaterThanOrEqualTo(8);
        }
        for (int i = 0; i < 60; i++) {
            TimeScale.of(view, 1000, frames).zoom(view, 1.25, x);
        }
        assertThat(view.timeShown.get()).as("the whole again").isZero();
    }

    @Test
    void aHiddenFrameIsScrolledIntoView() {
        View view = new View();
        TimeScale.of(view, 1000, 400).zoom(view, 0.1, 12);
        TimeScale close = TimeScale.of(view, 1000, 400);
        assertThat(close.end()).isLessThan(60);
        close.reveal(view, 20);
        assertThat(view.timeFrom.get()).as("the result is already visible").isZero();
        close.reveal(view, 399);
        TimeScale late = TimeScale.of(view, 1000, 400);
        assertThat(late.first()).isLessThanOrEqualTo(399);
        assertThat(late.end()).isEqualTo(400);
        late.pan(view, -1e6);
        assertThat(view.timeFrom.get()).isZero();
    }

    @Test
    void graphsOfAllChannelsShareOneScale() {
        Graph red = graph(look, 0, "x");
        Graph green = graph(look, 1, "x");
        assertThat(red.range()).isEqualTo(green.range()).isCloseTo(8 * 1.1, within(1e-9));
        assertThat(red.y(8, 100)).isLessThan(100);
        assertThat(red.valueAt(red.y(3.5, 100), 100)).isCloseTo(3.5, within(1e-9));
    }

    @Test
    void aGraphShowsTheResultWithJitterAndDials() {
        Look shaken =
                BuiltInLooks.named("rgb-split")
                        .withDial("red-x", 5)
                        .withSettings(
                                0,
                                0,
                                a ->
                                        a.withJitter(
                                                new Jitter(
                                                        Value.of(2), 12, Jitter.Kind.STEPPED, 3)));
        double there = result(shaken, "x");
        assertThat(there).isBetween(3.0, 7.0).isNotEqualTo(5.0);
        assertThat(result(shaken, OfChannel.JITTER)).isEqualTo(2);
        assertThat(result(shaken.withChannel(0, s -> s.withFixed(true)), "x")).isZero();
    }

    @Test
    void theAmountOfAJitterHasAGraph() {
        Jitter jitter = new Jitter(Value.of(2), 12, Jitter.Kind.STEPPED, 3);
        Look own = look.withSettings(0, 0, a -> a.withJitter("y", jitter));
        assertThat(result(own, "jitter.y")).isEqualTo(2);
        Look whole =
                look.withSettings(0, 0, a -> a.withJitter(jitter))
                        .withStepIn(Section.FINISH, look.steps().getFirst().id(), 0);
        assertThat(result(whole, OfChannel.JITTER)).isEqualTo(2);
        assertThat(graph(whole, 0, OfChannel.JITTER).isJitter()).isTrue();
        assertThat(graph(whole, 0, "x").isJitter()).isFalse();
    }

    /** The result of the first channel at frame 7. */
    private static double result(Look look, String name) {
        return results(look, new GraphTargets.OfTreatment(name)).total()[0][7];
    }

    private static Graph.Results results(Look look, GraphTargets graphed) {
        Session session = session(look);
        return Graph.results(session.state(), session.plans(), graphed, Cancellation.NEVER);
    }

    @Test
    void keyframesAndTheHandlesOfTheirEasesAreUnderThePointer() {
        Graph graph = graph(look, 0, "x");
        double x = scale.x(10.5);
        double y = graph.y(0, 100);
        assertThat(KeyframeHitTest.at(graph, scale, 100, x + 3, y - 4))
                .contains(MOVING.keyframes().getFirst());
        assertThat(KeyframeHitTest.at(graph, scale, 100, x + 30, y)).isEmpty();
        var knobs = KeyframeHitTest.knobs(graph, scale, 100, MOVING.keyframes().getFirst());
        assertThat(knobs).hasSize(2);
        assertThat(knobs.get(0).getX()).isCloseTo(scale.x(10.5 + 20 / 3.0), within(1e-6));
        assertThat(knobs.get(0).getY()).isCloseTo(graph.y(0, 100), within(1e-6));
        assertThat(knobs.get(1).getY()).isCloseTo(graph.y(8, 100), within(1e-6));
        assertThat(KeyframeHitTest.knobs(graph, scale, 100, MOVING.keyframes().get(1))).isEmpty();
        assertThat(KeyframeHitTest.knobs(graph, scale, 100, MOVING.keyframes().get(2))).isEmpty();
    }

    @Test
    void easeHandlesStayBetweenTheirKeyframes() {
        Graph graph = graph(look, 0, "x");
        Keyframe from = MOVING.keyframes().get(0);
        Keyframe to = MOVING.keyframes().get(1);
        var ease =
                (Ease.Eased)
                        KeyframeHitTest.dragged(
                                (Ease.Eased) Ease.SMOOTH,
                                0,
                                graph,
                                scale,
                                100,
                                from,
                                to,
                                scale.x(20.5),
                                graph.y(4, 100));
        assertThat(ease.x1()).isCloseTo(0.5, within(1e-9));
        assertThat(ease.y1()).isCloseTo(0.5, within(1e-9));
        assertThat(ease.x2()).isEqualTo(2 / 3.0);
        var far =
                (Ease.Eased)
                        KeyframeHitTest.dragged(
                                (Ease.Eased) Ease.SMOOTH,
                                1,
                                graph,
                                scale,
                                100,
                                from,
                                to,
                                scale.x(90),
                                graph.y(80, 100));
        assertThat(far.x2()).isEqualTo(1);
        assertThat(far.y2()).isEqualTo(3);
    }

    @Test
    void theLowestLayerIsTheLowestStrip() {
        List<Layer> layers =
                List.of(
                        Layer.of("shots", "shots", look, new Clip("a", 0, 60, 0)),
                        Layer.of("title", "title", look, new Clip("a", 5, 20, 0)),
                        Layer.of("mark", "mark", look, new Clip("a", 10, 20, 0)),
                        Layer.of("end", "end", look, new Clip("a", 40, 20, 0)));
        for (int i = 0; i < 4; i++) {
            double middle = ShotRibbon.top(layers, i, 200) + ShotRibbon.height(layers, i) / 2;
            double moment = layers.get(i).range().first() + 0.5;
            assertThat(ShotRibbon.at(layers, middle, 200, moment)).contains(layers.get(i));
        }
        assertThat(ShotRibbon.top(layers, 2, 200)).isLessThan(ShotRibbon.top(layers, 1, 200));
        assertThat(ShotRibbon.top(layers, 3, 200)).isEqualTo(ShotRibbon.top(layers, 1, 200));
        assertThat(ShotRibbon.at(layers, 201, 200, 12)).isEmpty();
    }
}
