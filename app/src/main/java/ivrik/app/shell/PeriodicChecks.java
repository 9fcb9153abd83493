package ivrik.app.shell;

import ivrik.app.desk.TimeView;
import ivrik.app.picture.IdleRendering;
import ivrik.app.picture.PictureService;
import ivrik.app.session.LatestTask;
import ivrik.app.session.Plans;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancellation;

import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.beans.value.ObservableValue;
import javafx.util.Duration;

import java.util.List;
import java.util.function.BooleanSupplier;

/**
 * Periodic checks: changed source files, and frames ready for playback. While idle, the next frames are
 * rendered; after minutes, cached pictures are released for other programs.
 */
final class PeriodicChecks {
    private static final Duration EVERY = Duration.millis(400);
    private static final long MAX_FRAMES = 3000;
    private static final double SMALLEST_SCALE = 0.25;

    /** Divisor of the checks during playback; none while a picture is rendered. */
    private static final int SELDOM = 5;

    private final Session session;
    private final View view;
    private final PictureService service;
    private final TimeView time;
    private final Runnable changed;
    private final BooleanSupplier settled;
    private final IdleRendering filling;
    private final Idle idle;
    private boolean filled;
    private final LatestTask work = new LatestTask();
    private Plans seen;
    private Plans looking;
    private int turn;
    private final Timeline timer = new Timeline(new KeyFrame(EVERY, e -> look()));

    /** Result of a check. */
    private record Seen(boolean changed, boolean[] ready) {}

    /**
     * @param changed executed when a source changed or is missing
     * @param settled whether the latest request is finished
     * @param idle detects when cached pictures may be released
     */
    PeriodicChecks(
            Session session,
            View view,
            PictureService service,
            TimeView time,
            Runnable changed,
            BooleanSupplier settled,
            Idle idle) {
        this.session = session;
        this.view = view;
        this.service = service;
        this.time = time;
        this.changed = changed;
        this.settled = settled;
        this.idle = idle;
        this.filling = new IdleRendering(service);
        for (ObservableValue<?> wanted :
                List.of(session.stateProperty(), view.frame, view.playing, view.trial)) {
            wanted.subscribe(this::wanted);
        }
        timer.setCycleCount(Timeline.INDEFINITE);
        timer.play();
    }

    void stop() {
        timer.stop();
        work.forget();
        filling.close();
    }

    /** Stops idle rendering for a request. */
    private void wanted() {
        filling.stop();
        filled = false;
        idle.wanted();
    }

    private void rest() {
        filling.stop();
        service.release();
    }

    private void fill(Plans plans) {
        boolean idle = !view.playing.get() && view.trial.get() == null && settled.getAsBoolean();
        if (idle && !filled && !plans.project().layers().isEmpty()) {
            filled = true;
            filling.from(plans, view.frame.get());
        }
    }

    private void look() {
        turn++;
        Plans plans = session.plans();
        boolean calm = plans == seen;
        seen = plans;
        if (calm) {
            fill(plans);
        }
        if (!view.playing.get() && idle.begins()) {
            rest();
        }
        boolean running = work.isBusy() && plans == looking;
        boolean dear = view.playing.get() ? turn % SELDOM != 0 : !settled.getAsBoolean();
        if (!calm || running || dear) {
            return; // results would be outdated at once during input
        }
        looking = plans;
        work.ask(cancel -> look(plans, cancel), this::show);
    }

    /** Runs off the interface thread. */
    private Seen look(Plans plans, Cancellation cancel) {
        Project project = plans.project();
        boolean[] ready = new boolean[(int) Math.min(project.frames(), MAX_FRAMES)];
        for (int n = 0; n < ready.length && !project.layers().isEmpty(); n++) {
            cancel.check();
            ready[n] = service.isReady(plans.of(n, cancel), SMALLEST_SCALE);
        }
        service.closeOthers(project.sources());
        return new Seen(service.anyChanged(project.sources()), ready);
    }

    private void show(Seen seen) {
        time.showCached(seen.ready);
        if (seen.changed) {
            changed.run();
            wanted();
            view.notice.set("A source file changed on disk and was reloaded");
        }
    }
}
