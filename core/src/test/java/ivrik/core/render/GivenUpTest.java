package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.Pictured;
import ivrik.core.cache.FrameCache;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.separation.Rgb;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;

/** A cancelled render stops within a treatment, not only after it. */
class GivenUpTest {
    private static final int HEIGHT = 320;

    static List<? extends Treatment> all() {
        return Treatments.all();
    }

    /** The number of times one thread asks whether to go on, up to a limit. */
    private static int asked(Treatment treatment, int most) {
        AtomicInteger asked = new AtomicInteger();
        Look look = Look.atRest("l", new Rgb());
        look = look.withStepAdded(Step.withExampleSettings("t-1", treatment, 3));
        Scene scene = new Scene(Pictured.frame(24, HEIGHT));
        Plan plan = Planner.plan(scene.project(look), 5);
        Cancellation cancel = () -> asked.incrementAndGet() >= most;
        try (Workers one = new Workers(1)) {
            if (most == Integer.MAX_VALUE) {
                scene.renderer(one).screen(plan, 1, cancel);
            } else {
                assertThatThrownBy(() -> scene.renderer(one).screen(plan, 1, cancel))
                        .isInstanceOf(CancelledException.class);
            }
        }
        return asked.get();
    }

    @ParameterizedTest
    @MethodSource("all")
    void everyTreatmentChecksForCancellation(Treatment treatment) {
        int times = asked(treatment, Integer.MAX_VALUE);
        assertThat(times).isGreaterThanOrEqualTo(HEIGHT / 32);
        for (int k : List.of(1, times / 3, times / 2, times - 1)) {
            assertThat(asked(treatment, k)).as("of " + times).isEqualTo(k);
        }
    }

    @Test
    void aSourceReadIsNotInterrupted() {
        AtomicBoolean given = new AtomicBoolean();
        AtomicInteger read = new AtomicInteger();
        Scene scene = new Scene(Pictured.frame(24, HEIGHT));
        Pictures slow =
                (p, shown) -> {
                    given.set(true);
                    Cancellation.poll();
                    read.incrementAndGet();
                    return Pictured.frame(24, HEIGHT);
                };
        Renderer renderer = new Renderer(slow, Workers.shared(), new FrameCache(1 << 20));
        Plan plan = Planner.plan(scene.project(Look.atRest("l", new Rgb())), 5);
        assertThatThrownBy(() -> renderer.screen(plan, 1, given::get))
                .isInstanceOf(CancelledException.class);
        assertThat(read.get()).isEqualTo(1);
    }
}
