package ivrik.app.picture;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.IvrikException;
import ivrik.core.picture.CancelledException;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.render.Plan;
import ivrik.core.render.Planner;

import javafx.animation.AnimationTimer;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;

/**
 * Plays at the sequence's rate, from frames rendered ahead. When they are not ready in time the size
 * of the picture is halved, and said so, before any time is lost.
 */
public final class Player {
    private static final Logger LOG = LoggerFactory.getLogger(Player.class);
    private static final int AHEAD = 36;
    private static final int LATE_BEFORE_SMALLER = 4;
    private static final double SMALLEST = 0.25;

    private final Session session;
    private final View view;
    private final PictureService service;
    private final Consumer<Shown> screen;
    private final ExecutorService renderer =
            Executors.newSingleThreadExecutor(
                    Thread.ofPlatform().name("ivrik-playback").daemon().factory());
    private final AnimationTimer clock =
            new AnimationTimer() {
                @Override
                public void handle(long now) {
                    tick(now);
                }
            };
    private long startedAt;
    private long startFrame;
    private int late;
    private volatile double scale = 1;
    private volatile long wanted = -1;
    private int shownCount;

    /**
     * @param screen told of each frame to show
     */
    public Player(Session session, View view, PictureService service, Consumer<Shown> screen) {
        this.session = session;
        this.view = view;
        this.service = service;
        this.screen = screen;
        view.playing.addListener(
                (o, was, is) -> {
                    if (is) {
                        start();
                    } else {
                        stop();
                    }
                });
    }

    private void start() {
        FrameRange range = session.project().played();
        long frame = view.frame.get();
        startFrame = frame >= range.first() && frame < range.last() ? frame : range.first();
        startedAt = -1;
        late = 0;
        shownCount = 0;
        scale = 1;
        wanted = startFrame;
        renderer.execute(this::renderAhead);
        clock.start();
    }

    private void stop() {
        clock.stop();
        wanted = -1;
        view.notice.set("");
    }

    /** How many different frames were shown since playing began. */
    public int shownCount() {
        return shownCount;
    }

    /** The size that is played, as a share of the full one. */
    public double scale() {
        return scale;
    }

    private void tick(long now) {
        Project project = session.project();
        FrameRange range = project.played();
        if (startedAt < 0) {
            startedAt = now;
        }
        long passed = (long) ((now - startedAt) / 1e9 * project.sequence().rate().toDouble());
        long frame = startFrame + passed;
        if (frame > range.last()) {
            if (!view.loop.get()) {
                view.frame.set(range.last());
                view.playing.set(false);
                return;
            }
            frame = range.first() + (frame - range.first()) % range.length();
        }
        if (frame == view.frame.get() && shownCount > 0) {
            return;
        }
        wanted = frame;
        view.frame.set(frame);
        show(Planner.plan(project, frame));
    }

    private void show(Plan plan) {
        for (double s = 1; s >= SMALLEST; s /= 2) {
            var ready = service.cache().get(plan, s);
            if (ready.isPresent()) {
                late = Math.max(0, late - 1);
                shownCount++;
                screen.accept(ready.get());
                return;
            }
        }
        late++;
        if (late > LATE_BEFORE_SMALLER && scale > SMALLEST) {
            scale /= 2;
            late = 0;
            view.notice.set(
                    "Played at " + (scale == 0.5 ? "half" : "quarter") + " size to keep time");
        }
    }

    /** Renders from the wanted frame on, as far as is worth while, until playing stops. */
    private void renderAhead() {
        while (wanted >= 0) {
            Project project = session.project();
            FrameRange range = project.played();
            long from = wanted;
            boolean idle = true;
            for (int i = 0; i < AHEAD && wanted >= 0; i++) {
                long n = range.first() + Math.floorMod(from + i - range.first(), range.length());
                Plan plan = Planner.plan(project, n);
                if (!service.cache().has(plan, scale)) {
                    idle = false;
                    render(plan);
                    break;
                }
            }
            if (idle) {
                Thread.onSpinWait();
                java.util.concurrent.locks.LockSupport.parkNanos(4_000_000);
            }
        }
    }

    private void render(Plan plan) {
        try {
            service.prepare(plan, scale);
        } catch (IvrikException e) {
            LOG.warn("{}", e.oneLine(), e);
        } catch (CancelledException e) {
            LOG.debug("the sources were changed while playing");
        }
    }

    public void close() {
        clock.stop();
        wanted = -1;
        renderer.shutdownNow();
    }
}
