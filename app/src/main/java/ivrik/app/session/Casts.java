package ivrik.app.session;

import ivrik.core.json.LookJson;
import ivrik.core.look.Look;
import ivrik.core.look.MeasuredCast;
import ivrik.core.look.Section;
import ivrik.core.look.Step;
import ivrik.core.measure.Cast;
import ivrik.core.motion.Value;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.UpToLook;
import ivrik.core.render.Plan;
import ivrik.core.threads.Cancel;
import ivrik.core.treatment.CastOff;
import ivrik.core.treatment.Parameter;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.function.Function;

/** The cast that a look gives its shot: measured over some of its frames, off the interface thread, and taken out. */
public final class Casts {
    private static final int FRAMES = 5;

    private final Session session;
    private final View view;
    private final Function<Plan, int[]> pixels;
    private final Newest measuring = new Newest();
    private final Newest comparing = new Newest();

    /** What was measured since the start, by the ids of its steps. */
    private final ReadOnlyObjectWrapper<Map<String, Cast>> measured =
            new ReadOnlyObjectWrapper<>(Map.of());

    /**
     * @param pixels of a small picture of a plan, in the calling thread
     */
    public Casts(Session session, View view, Function<Plan, int[]> pixels) {
        this.session = session;
        this.view = view;
        this.pixels = pixels;
    }

    /** What was measured since the start, by the ids of its steps. */
    public ReadOnlyObjectProperty<Map<String, Cast>> measured() {
        return measured.getReadOnlyProperty();
    }

    /** Whether it is being measured, or compared. */
    public boolean isBusy() {
        return measuring.isBusy() || comparing.isBusy();
    }

    /** Measures the look on the desk, and takes out what is found by a step that is there or is added. */
    public void takeOut() {
        Layer layer = session.state().layer().orElseThrow();
        Look look = session.state().look().orElseThrow();
        long frame = view.frame.get();
        Optional<Clip> shot = layer.clipAt(frame);
        if (shot.isEmpty()) {
            view.notice.set("There is no shot at this frame to measure");
            return;
        }
        int number = session.state().lookNumber();
        Project project = session.project();
        Plans before = session.plansOf(UpToLook.untouched(project, layer, number));
        Plans after = session.plansOf(UpToLook.treated(project, layer, number));
        view.notice.set("Measuring the cast of this shot ...");
        measuring.ask(
                cancel -> new Found(measure(before, after, shot.get(), cancel), mark(look)),
                found -> {
                    view.notice.set("");
                    set(layer.id(), number, found);
                });
    }

    private record Found(Cast cast, String mark) {}

    private Cast measure(Plans before, Plans after, Clip shot, Cancel cancel) {
        Cast cast = new Cast();
        for (long frame : UpToLook.frames(shot, FRAMES)) {
            cancel.check();
            cast.add(pixels.apply(before.of(frame, cancel)), pixels.apply(after.of(frame, cancel)));
        }
        return cast;
    }

    private void set(String layer, int number, Found found) {
        State state = session.state();
        if (!state.layer().map(Layer::id).equals(Optional.of(layer))
                || state.lookNumber() != number) {
            return; // another look is being worked on by now
        }
        Look look = session.state().look().orElseThrow();
        Optional<Step> there =
                look.steps().stream().filter(s -> s.kind() instanceof CastOff).findFirst();
        Step step = there.orElseGet(() -> added(look));
        Step set = MeasuredCast.with(step, found.cast()).withMeasured(found.mark());
        session.editLook(
                "Take out the cast",
                l -> there.isPresent() ? l.withStep(set.id(), s -> set) : l.withStepAdded(set));
        Map<String, Cast> all = new TreeMap<>(measured.get());
        all.put(set.id(), found.cast());
        measured.set(Map.copyOf(all));
        view.face.set(View.Face.TREATMENT);
        session.selectCell(set.id(), session.state().lane());
    }

    private static Step added(Look look) {
        CastOff kind = new CastOff();
        return Step.atRest(look.freeId(kind), kind, Section.FINISH, look.lanes().size())
                .withLane(0, a -> a.with(Parameter.AMOUNT, Value.of(100)));
    }

    /**
     * Tells whether the lanes are others now than when a step was measured; empty where it never was.
     */
    public void compare(Look look, Step step, Consumer<Optional<Boolean>> stale) {
        if (step.measured().isEmpty()) {
            stale.accept(Optional.empty());
            return;
        }
        comparing.ask(
                cancel -> !mark(look).equals(step.measured()),
                other -> stale.accept(Optional.of(other)));
    }

    /** All of a look that its cast depends on. */
    private static String mark(Look look) {
        return LookJson.mark(
                look.withName("")
                        .withTitle("")
                        .withNote("")
                        .withSteps(
                                look.steps().stream()
                                        .filter(s -> s.section() != Section.FINISH)
                                        .toList()));
    }
}
