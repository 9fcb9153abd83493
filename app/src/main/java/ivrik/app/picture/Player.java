package ivrik.app.picture;

import ivrik.app.session.Plans;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.render.Plan;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;

import javafx.animation.AnimationTimer;
import javafx.application.Platform;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.Optional;
import java.util.OptionalLong;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * Plays at the sequence's rate from frames rendered ahead, synchronised to the sound, or to the clock without
 * sound. If frames are late, the picture size is halved, with a message, before any frame is dropped.
 */
public final class Player {
    private static final Logger LOG = LoggerFactory.getLogger(Player.class);
    private static final int AHEAD = 36;

    /** Pause after an error before the next frame is rendered. */
    private static final long PAUSE_NANOS = 500_000_000;

    /** Frames for which an earlier frame replaces one that is not ready. */
    private static final long MAX_HELD = 8;

    private final Session session;
    private final View view;
    private final PictureService service;
    private final Consumer<ShownFrame> screen;
    private final SoundTrackPlayer sound;
    private final ExecutorService renderer =
            Executors.newSingleThreadExecutor(Threads.named("ivrik-playback"));
    private final AnimationTimer clock =
            new AnimationTimer() {
                @Override
                public void handle(long now) {
                    tick(now);
                }
            };
    private long startedAt;
    private long startFrame;
    private volatile PlaybackSize pace = new PlaybackSize(1);
    private volatile long wanted = -1;

    /** Snapshot of what is played, for the rendering thread. */
    private volatile Plans playing;

    private String said = "";
    private int shownCount;
    private long lastShown;

    /**
     * @param screen receives each frame to show
     */
    public Player(Session session, View view, PictureService service, Consumer<ShownFrame> screen) {
        this(session, view, service, screen, Speaker::ofTheMachine);
    }

    Player(
            Session session,
            View view,
            PictureService service,
            Consumer<ShownFrame> screen,
            Supplier<Optional<Speaker>> speakers) {
        this.sound =
                new SoundTrackPlayer(
                        speakers, System::nanoTime, why -> Platform.runLater(() -> fault(why)));
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
        shownCount = 0;
        said = "";
        lastShown = -1;
        pace = new PlaybackSize(1 / session.project().sequence().rate().toDouble());
        wanted = startFrame;
        playing = session.plans();
        renderer.execute(this::renderAhead);
        clock.start();
    }

    private void stop() {
        clock.stop();
        LOG.info(
                "{} frames shown in {} ms, last at {} of full size",
                shownCount,
                startedAt < 0 ? 0 : (System.nanoTime() - startedAt) / 1_000_000,
                pace.scale());
        wanted = -1;
        sound.stop();
        view.notice.set("");
    }

    /** Number of different frames shown since the start. */
    public int shownCount() {
        return shownCount;
    }

    /** Size of playback, relative to full size. */
    public double scale() {
        return pace.scale();
    }

    private void tick(long now) {
        playing = session.plans();
        Project project = session.project();
        FrameRange range = project.played();
        if (startedAt < 0) {
            startedAt = now;
            sound.start(project, startFrame, view.loop.get());
        }
        long frame = due(now, project);
        sound.follow(project, frame, view.loop.get());
        if (frame > range.last()) {
            if (!view.loop.get()) {
                view.frame.set(range.last());
                view.playing.set(false);
                return;
            }
            frame = range.first() + (frame - range.first()) % range.length();
        }
        if (frame == wanted && shownCount > 0) {
            return;
        }
        wanted = frame;
        view.frame.set(frame);
        show(project, frame);
    }

    /** The audible frame; without sound the frame at the clock. */
    private long due(long now, Project project) {
        OptionalLong heard = sound.now();
        if (heard.isPresent()) {
            startFrame = heard.getAsLong();
            startedAt = now;
            return startFrame;
        }
        double passed = (now - startedAt) / 1e9 * project.sequence().rate().toDouble();
        return startFrame + (long) passed;
    }

    /** Shows a frame, or the nearest earlier one that is ready. */
    private void show(Project project, long frame) {
        FrameRange range = project.played();
        for (long n = frame; n >= Math.max(range.first(), frame - MAX_HELD); n--) {
            Optional<ShownFrame> ready = session.plans().known(n).flatMap(this::ready);
            if (ready.isPresent()) {
                pace.shown(n == frame && ready.get().scale() >= pace.scale());
                if (n != lastShown) {
                    lastShown = n;
                    shownCount++;
                    screen.accept(ready.get());
                }
                say();
                return;
            }
        }
        pace.shown(false);
        say();
    }

    private void say() {
        if (!said.isEmpty()) {
            return; // an error is reported until playback stops
        }
        double scale = pace.scale();
        view.notice.set(
                scale == 1
                        ? ""
                        : "Playing at "
                                + (scale == 0.5 ? "half" : "quarter")
                                + " size (\"half\" becomes \"1/2\", \"quarter\" becomes \"1/4\")");
    }

    /** A frame at the best available size. */
    private Optional<ShownFrame> ready(Plan plan) {
        for (double s = 1; s >= PlaybackSize.SMALLEST; s /= 2) {
            Optional<ShownFrame> ready = service.ready(plan, s);
            if (ready.isPresent()) {
                return ready;
            }
        }
        return Optional.empty();
    }

    /**
     * Renders the next frame that is not ready until playback stops, starting at the frame that will be due
     * when rendering finishes.
     */
    private void renderAhead() {
        while (wanted >= 0) {
            try {
                renderNext();
            } catch (CancelledException e) {
                LOG.debug("playback stopped, or the sources changed");
            } catch (RuntimeException | OutOfMemoryError e) {
                report(e);
                LockSupport.parkNanos(PAUSE_NANOS);
            }
        }
    }

    private void renderNext() {
        Plans plans = playing;
        Project project = plans.project();
        FrameRange range = project.played();
        long lead = (long) Math.ceil(pace.secondsEach() * project.sequence().rate().toDouble());
        long from = wanted + Math.min(lead, AHEAD / 2);
        double scale = pace.scale();
        Plan next = null;
        for (int i = 0; i < AHEAD && next == null && wanted >= 0; i++) {
            long n = range.first() + Math.floorMod(from + i - range.first(), range.length());
            Plan plan = plans.of(n, () -> wanted < 0);
            next = service.isReady(plan, scale) ? null : plan;
        }
        if (next == null) {
            LockSupport.parkNanos(4_000_000);
        } else {
            long began = System.nanoTime();
            service.prepare(next, scale, Cancellation.NEVER);
            pace.rendered(scale, (System.nanoTime() - began) / 1e9);
        }
    }

    /** Reports a rendering error; the clock continues. */
    private void report(Throwable fault) {
        LOG.warn("a frame could not be rendered for playback", fault);
        Platform.runLater(
                () -> fault("Some frames could not be rendered: " + SourceFault.why(fault)));
    }

    private void fault(String message) {
        if (view.playing.get()) {
            said = message;
            view.notice.set(said);
        }
    }

    public void close() {
        clock.stop();
        sound.stop();
        wanted = -1;
        renderer.shutdownNow();
    }
}
