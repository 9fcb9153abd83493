package ivrik.app.picture;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.InterfaceThread;
import ivrik.app.session.Plans;
import ivrik.app.session.Session;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Size;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.threads.Cancellation;
import ivrik.media.file.ProjectFile;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;

/** Frames of the demo are rendered in advance while the window is idle. */
class IdleRenderingTest {
    private static final Path FILE =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/lantern-week.ivrik");
    private static final Size SMALL = new Size(64, 36);

    private final Session session = new Session();
    private PictureService service;
    private IdleRendering filling;
    private Plans plans;

    @BeforeEach
    void aShotOfTheDemo() {
        InterfaceThread.start();
        Project demo = ProjectFile.open(FILE).project();
        Source tram = demo.source("tram").orElseThrow();
        Layer layer =
                Layer.of(
                        "l",
                        "l",
                        BuiltInLooks.named("rgb-split").withDial("red-x", 3),
                        new Clip("tram", 0, 40, 0));
        Project project =
                Project.empty("p")
                        .withSequence(demo.sequence().withSize(SMALL))
                        .withSources(List.of(tram))
                        .withLayers(List.of(layer))
                        .withPlayRange(Optional.of(new FrameRange(4, 13)));
        InterfaceThread.run(
                () -> {
                    session.open(project);
                    service = new PictureService(answer -> {});
                    service.setBudget(64 << 20);
                    service.reread();
                    filling = new IdleRendering(service);
                    plans = session.plans();
                });
    }

    @AfterEach
    void close() {
        filling.close();
        service.close();
    }

    private boolean isMade(long frame) {
        return service.isReady(plans.of(frame, Cancellation.NEVER), IdleRendering.SCALE);
    }

    private List<Long> made() {
        return LongStream.range(0, 40).filter(this::isMade).boxed().toList();
    }

    @Test
    void thePlayRangeIsRenderedFromThePlayheadAtHalfSize() {
        filling.from(plans, 10);
        InterfaceThread.until("all are rendered", () -> made().size() == 10);
        assertThat(made()).isEqualTo(LongStream.rangeClosed(4, 13).boxed().toList());
        assertThat(service.isReady(plans.of(10, Cancellation.NEVER), 1)).isFalse();
        assertThat(service.ready(plans.of(9, Cancellation.NEVER), 0.5).orElseThrow().size())
                .isEqualTo(SMALL.scaled(0.5));
    }

    @Test
    void idleRenderingStopsAtItsShareOfTheMemory() {
        long each = 32 * 18 * 4;
        service.setBudget(3 * each * 4 * 8 / 7 + 64);
        assertThat(service.room(SMALL, 0.5)).isEqualTo(3);
    }

    @Test
    void aLaterRequestReplacesAnEarlierOne() {
        filling.from(plans, 4);
        filling.stop();
        filling.from(plans, 12);
        InterfaceThread.until("the next frame is rendered", () -> isMade(12));
        InterfaceThread.until("and all later ones", () -> made().size() == 10);
    }
}
