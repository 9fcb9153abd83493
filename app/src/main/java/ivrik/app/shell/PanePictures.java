package ivrik.app.shell;

import ivrik.app.pane.PicturePane;
import ivrik.app.picture.PictureService;
import ivrik.app.picture.RenderRequest;
import ivrik.app.picture.RenderResult;
import ivrik.app.picture.ShownFrame;
import ivrik.app.picture.SourceFault;
import ivrik.app.session.LatestTask;
import ivrik.app.session.NoEffectReason;
import ivrik.app.session.Plans;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.session.View.Show;
import ivrik.core.measure.Misregistration;
import ivrik.core.picture.Frame;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.separation.Ink;

import javafx.animation.PauseTransition;
import javafx.beans.property.ObjectProperty;
import javafx.geometry.Point2D;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;

/** Requests the pictures of the panes and shows the results. */
final class PanePictures {
    private static final Logger LOG = LoggerFactory.getLogger(PanePictures.class);

    private final Session session;
    private final View view;
    private final PictureService service;
    private final Map<Show, ShownFrame> latest = new EnumMap<>(Show.class);
    private final List<Pane> panes;
    private final Consumer<Misregistration> onRegister;
    private final Consumer<Map<String, SourceFault>> onFaults;
    private RenderRequest asked;
    private Plans tried;
    private final TakePlans takes;

    /** Plans before the last edit. */
    private Plans plansBefore;

    private final LatestTask why = new LatestTask();

    /** Delay after which a missing picture is marked as being rendered. */
    private final PauseTransition late = new PauseTransition(javafx.util.Duration.millis(150));

    private boolean settled;
    private boolean answeredBefore;
    private RenderRequest pictured;
    private ShownFrame held;
    private BiConsumer<ShownFrame, ShownFrame> painted = (result, source) -> {};

    /** A pane and its content kind. */
    record Pane(Consumer<String> detail, PicturePane picture, ObjectProperty<Show> show) {}

    PanePictures(
            Session session,
            View view,
            List<Pane> panes,
            Consumer<Misregistration> onRegister,
            Consumer<Map<String, SourceFault>> onFaults) {
        this.session = session;
        this.view = view;
        this.panes = new ArrayList<>(panes);
        this.onRegister = onRegister;
        this.onFaults = onFaults;
        this.takes = new TakePlans(session, view);
        this.service = new PictureService(this::answered);
        service.reread();
        late.setOnFinished(e -> view.behind.set(!settled));
        session.stateProperty()
                .addListener(
                        (o, was, is) -> {
                            if (was.project() != is.project()) {
                                explainEdit(was.project());
                            }
                            ask();
                        });
        view.frame.addListener(
                (o, a, b) -> {
                    if (!view.playing.get()) {
                        ask();
                    }
                });
        view.playing.addListener(
                (o, a, b) -> {
                    if (!b) {
                        ask();
                    }
                });
        for (var what : List.of(view.paneA, view.paneB, view.takeA, view.takeB)) {
            what.addListener((o, a, b) -> ask());
        }
        view.twoPanes.addListener((o, a, b) -> ask());
        view.trial.addListener((o, a, b) -> ask());
        view.bypass.addListener((o, a, b) -> paint());
        view.showSnapshot.addListener((o, a, b) -> paint());
        view.split.addListener((o, a, b) -> paint());
    }

    PictureService service() {
        return service;
    }

    /**
     * @param reported receives the picture of the first pane and the untouched one or null, on each change
     */
    void onPainted(BiConsumer<ShownFrame, ShownFrame> reported) {
        painted = reported;
    }

    ShownFrame result() {
        return latest.get(Show.RESULT);
    }

    ShownFrame source() {
        return latest.get(Show.SOURCE);
    }

    /** The source's colour at a position of the sequence, gamma-encoded; empty outside. */
    Optional<Ink> sourceColour(Point2D at) {
        ShownFrame source = source();
        if (source == null || source.frame() == null) {
            return Optional.empty();
        }
        Frame frame = source.frame();
        int x = (int) Math.floor(at.getX() * source.scale());
        int y = (int) Math.floor(at.getY() * source.scale());
        if (x < 0 || y < 0 || x >= frame.width() || y >= frame.height()) {
            return Optional.empty();
        }
        float[] c = new float[3];
        for (int i = 0; i < 3; i++) {
            c[i] = frame.colour().get(i).at(x, y);
        }
        // rounded to 8 bits
        return Optional.of(Ink.parse(new Ink(c[0], c[1], c[2]).hex()));
    }

    boolean hasSnapshot() {
        return held != null;
    }

    void takeSnapshot() {
        held = latest.get(Show.RESULT);
        view.notice.set("Snapshot of frame " + view.frame.get() + " taken. Hold H to show it");
        paint();
    }

    void forgetSnapshot() {
        held = null;
    }

    /** Whether the panes show the final result of the latest request. */
    boolean isSettled() {
        return settled && !why.isBusy();
    }

    /** Adds a pane. */
    void add(Pane pane) {
        panes.add(pane);
        askAgain();
    }

    void remove(Pane pane) {
        panes.remove(pane);
    }

    /** Requests the present frame again. */
    void ask() {
        Project project = shown();
        if (project.layers().isEmpty()) {
            clear();
            return;
        }
        long frame = Math.min(view.frame.get(), project.frames() - 1);
        Set<Show> shows = EnumSet.of(Show.RESULT, Show.SOURCE, view.paneA.get());
        if (view.twoPanes.get()) {
            shows.add(view.paneB.get());
        }
        RenderRequest request =
                new RenderRequest(
                        plans(project),
                        frame,
                        shows,
                        takes.of(shows),
                        session.state().layer().map(Layer::id).orElse(""),
                        session.state().lookNumber(),
                        session.state().channel());
        if (settled && request.equals(asked)) {
            return;
        }
        asked = request;
        settled = false;
        late.playFromStart();
        service.ask(request);
    }

    /** The panes show the present state. */
    private void caughtUp() {
        late.stop();
        view.behind.set(false);
    }

    /** The project with a previewed edit. */
    private Project shown() {
        return view.trial.get() == null
                ? session.project()
                : view.trial.get().apply(session.project());
    }

    private Plans plans(Project project) {
        if (project == session.project()) {
            return session.plans();
        }
        if (tried == null || !tried.project().equals(project)) {
            tried = session.plansOf(project);
        }
        return tried;
    }

    /** Shows nothing. */
    private void clear() {
        asked = null;
        settled = true;
        caughtUp();
        service.forget();
        onRegister.accept(null);
        empty();
        panes.forEach(p -> p.detail().accept(""));
    }

    private void empty() {
        latest.clear();
        painted.accept(null, null);
        panes.forEach(p -> p.picture().clear());
    }

    /** Discards everything after sources changed. */
    void askAgain() {
        settled = false;
        asked = null;
        ask();
    }

    /** Updates the strips of the panes from the rendered request. */
    private void detail(Project project, long frame) {
        String shot =
                project.layers()
                        .getFirst()
                        .clipAt(frame)
                        .flatMap(c -> project.source(c.source()))
                        .map(s -> s.name() + ", frame " + frame)
                        .orElse("frame " + frame);
        panes.forEach(p -> p.detail().accept(shot));
    }

    private void answered(RenderResult answer) {
        detail(answer.request().plans().project(), answer.request().frame());
        if (answer.isFailed()) {
            failed(answer);
            return;
        }
        pictured = answer.request();
        latest.putAll(answer.shown());
        settled = answer.register() != null;
        if (settled) {
            caughtUp();
        }
        if (settled && !answeredBefore) {
            answeredBefore = true;
            StartTime.log();
            ThreadPriorities.firstPictureIsThere();
        }
        onFaults.accept(answer.faults());
        paint();
        if (answer.register() != null) {
            onRegister.accept(answer.register());
            panes.forEach(p -> p.picture().split(Header.apart(answer.register())));
            sayIfMissed(answer.missed());
        }
        explain(answer);
    }

    /** Keeps a reduced picture of the same request; removes others. */
    private void failed(RenderResult answer) {
        settled = true;
        caughtUp();
        onRegister.accept(null);
        if (pictured != answer.request()) {
            empty();
        }
        panes.forEach(p -> p.picture().explain(answer.failure()));
    }

    /**
     * Explains an edit that left the frame unchanged, unless there is another message. The plans before and
     * after are compared off the interface thread.
     */
    private void explainEdit(Project was) {
        Plans before = plansBefore;
        Plans now = session.plans();
        plansBefore = now;
        if (before == null || before.project() != was || now.project().layers().isEmpty()) {
            return;
        }
        long frame = Math.min(view.frame.get(), now.project().frames() - 1);
        why.ask(
                cancel ->
                        before.guess(frame).equals(now.guess(frame))
                                && before.of(frame, cancel).equals(now.of(frame, cancel)),
                same -> {
                    if (same && view.notice.get().isEmpty() && session.plans() == now) {
                        why(frame).ifPresent(view.notice::set);
                    }
                });
    }

    private void sayIfMissed(boolean missed) {
        if (missed && view.notice.get().isEmpty()) {
            view.notice.set(NoEffectReason.MISSED);
        } else if (!missed && view.notice.get().equals(NoEffectReason.MISSED)) {
            view.notice.set("");
        }
    }

    private void explain(RenderResult answer) {
        String why =
                answer.plan().layers().stream()
                        .flatMap(l -> l.picture().stream())
                        .map(p -> answer.faults().get(p.source().id()))
                        .filter(java.util.Objects::nonNull)
                        .map(SourceFault::message)
                        .findFirst()
                        .orElse(
                                answer.plan().layers().isEmpty()
                                        ? "No layer is visible at this frame"
                                        : "");
        panes.forEach(p -> p.picture().explain(why));
    }

    private void paint() {
        for (Pane pane : panes) {
            Show chosen = chosen(pane.show().get());
            ShownFrame shown = chosen == Show.HELD ? held : latest.get(chosen);
            if (shown != null) {
                pane.picture().show(shown);
            }
            pane.picture().workedOn(!chosen.isTake() && chosen != Show.HELD);
            boolean split = view.split.get() >= 0 && pane.show().get() == Show.RESULT;
            pane.picture().showSplit(split ? latest.get(Show.SOURCE) : null);
        }
        Show now = chosen(Show.RESULT);
        painted.accept(now == Show.HELD ? held : latest.get(now), latest.get(Show.SOURCE));
    }

    private Show chosen(Show show) {
        if (show != Show.RESULT) {
            return show;
        }
        return view.bypass.get()
                ? Show.SOURCE
                : view.showSnapshot.get() && held != null ? Show.HELD : Show.RESULT;
    }

    /** Shows a frame of playback. */
    void play(ShownFrame shown) {
        for (Pane pane : panes) {
            if (pane.show().get() == Show.RESULT) {
                pane.picture().show(shown);
            }
        }
        painted.accept(shown, null);
        detail(session.project(), view.frame.get());
    }

    private Optional<String> why(long frame) {
        Optional<String> burst =
                view.face.get() == View.Face.BURST
                        ? NoEffectReason.ofBurst(session, frame)
                        : Optional.empty();
        return burst.or(() -> NoEffectReason.of(session, frame));
    }
}
