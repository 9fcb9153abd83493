package ivrik.app.shell;

import ivrik.app.desk.TimeView;
import ivrik.app.picture.Filling;
import ivrik.app.picture.PictureService;
import ivrik.app.session.Newest;
import ivrik.app.session.Plans;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancel;

import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.beans.value.ObservableValue;
import javafx.util.Duration;

import java.util.List;
import java.util.function.BooleanSupplier;

/**
 * Looks now and then: have sources changed on the disk, and which frames are ready to be played. While
 * nothing is wanted, frames that come next are made; when that has gone on for minutes, all that is kept to be quick is let
 * go, so that other programs have the memory.
 */
final class Watch {
    private static final Duration EVERY = Duration.millis(400);
    private static final long MOST_FRAMES = 3000;
    private static final double SMALLEST_SCALE = 0.25;

    /** While playing, time is dear: only every so many times. While a picture is made it waits. */
    private static final int SELDOM = 5;

    private final Session session;
    private final View view;
    private final PictureService service;
    private final TimeView time;
    private final Runnable changed;
    private final BooleanSupplier settled;
    private final Filling filling;
    private final Idle idle;
    private boolean filled;
    private final Newest work = new Newest();
    private Plans seen;
    private Plans looking;
    private int turn;
    private final Timeline timer = new Timeline(new KeyFrame(EVERY, e -> look()));

    /** What was seen. */
    private record Seen(boolean changed, boolean[] ready) {}

    /**
     * @param changed a source is another now, or gone
     * @param settled whether all that was asked for is shown
     * @param idle when nothing has been wanted for so long that what is kept may go
     */
    Watch(
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
        this.filling = new Filling(service);
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

    /** What is wanted now goes before what might be. */
    private void wanted() {
        filling.stop();
        filled = false;
        idle.wanted();
    }

    private void rest() {
        filling.stop();
        service.letGo();
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
        boolean underWay = work.isBusy() && plans == looking;
        boolean dear = view.playing.get() ? turn % SELDOM != 0 : !settled.getAsBoolean();
        if (!calm || underWay || dear) {
            return; // under a busy hand what was found would be out of date at once
        }
        looking = plans;
        work.ask(cancel -> look(plans, cancel), this::show);
    }

    /** Off the interface thread. */
    private Seen look(Plans plans, Cancel cancel) {
        Project project = plans.project();
        boolean[] ready = new boolean[(int) Math.min(project.frames(), MOST_FRAMES)];
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
            view.notice.set("A source has changed on the disk; its pictures are read anew");
        }
    }
}
