package ivrik.app.session;

import ivrik.core.json.LookJson;
import ivrik.core.look.Look;
import ivrik.core.look.MeasuredColourCast;
import ivrik.core.look.Section;
import ivrik.core.look.Step;
import ivrik.core.measure.ColourCast;
import ivrik.core.motion.Value;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.ProjectUpToLook;
import ivrik.core.render.Plan;
import ivrik.core.threads.Cancellation;
import ivrik.core.treatment.CastCorrection;
import ivrik.core.treatment.Parameter;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.function.Function;

/**
 * Measures the colour cast that a look adds to its shot, over several frames and off the interface thread,
 * and corrects it.
 */
public final class ColourCastMeasurement {
    private static final int FRAMES = 5;

    private final Session session;
    private final View view;
    private final Function<Plan, int[]> pixels;
    private final LatestTask measuring = new LatestTask();
    private final LatestTask comparing = new LatestTask();

    /** Measurements of this session, by step id. */
    private final ReadOnlyObjectWrapper<Map<String, ColourCast>> measured =
            new ReadOnlyObjectWrapper<>(Map.of());

    /**
     * @param pixels renders a thumbnail of a plan on the calling thread
     */
    public ColourCastMeasurement(Session session, View view, Function<Plan, int[]> pixels) {
        this.session = session;
        this.view = view;
        this.pixels = pixels;
    }

    /** Measurements of this session, by step id. */
    public ReadOnlyObjectProperty<Map<String, ColourCast>> measured() {
        return measured.getReadOnlyProperty();
    }

    /** Whether a measurement or comparison is running. */
    public boolean isBusy() {
        return measuring.isBusy() || comparing.isBusy();
    }

    /** Measures the selected look and corrects the cast in an existing or a new step. */
    public void correct() {
        Layer layer = session.state().layer().orElseThrow();
        Look look = session.state().look().orElseThrow();
        long frame = view.frame.get();
        Optional<Clip> shot = layer.clipAt(frame);
        if (shot.isEmpty()) {
            view.notice.set("No shot at this frame to measure");
            return;
        }
        int number = session.state().lookNumber();
        Project project = session.project();
        Plans before = session.plansOf(ProjectUpToLook.untouched(project, layer, number));
        Plans after = session.plansOf(ProjectUpToLook.treated(project, layer, number));
        view.notice.set("Measuring the colour cast of this shot...");
        measuring.ask(
                cancel ->
                        new Found(
                                measure(before, after, shot.get(), cancel),
                                LookJson.channelMark(look)),
                found -> {
                    view.notice.set("");
                    set(layer.id(), number, found);
                });
    }

    private record Found(ColourCast colourCast, String mark) {}

    private ColourCast measure(Plans before, Plans after, Clip shot, Cancellation cancel) {
        ColourCast colourCast = new ColourCast();
        for (long frame : ProjectUpToLook.frames(shot, FRAMES)) {
            cancel.check();
            colourCast.add(
                    pixels.apply(before.of(frame, cancel)), pixels.apply(after.of(frame, cancel)));
        }
        return colourCast;
    }

    private void set(String layer, int number, Found found) {
        State state = session.state();
        if (!state.layer().map(Layer::id).equals(Optional.of(layer))
                || state.lookNumber() != number) {
            return; // another look was selected meanwhile
        }
        Look look = session.state().look().orElseThrow();
        Optional<Step> there =
                look.steps().stream().filter(s -> s.kind() instanceof CastCorrection).findFirst();
        Step step = there.orElseGet(() -> added(look));
        Step set = MeasuredColourCast.with(step, found.colourCast()).withMeasured(found.mark());
        session.editLook(
                "Correct colour cast",
                l -> there.isPresent() ? l.withStep(set.id(), s -> set) : l.withStepAdded(set));
        Map<String, ColourCast> all = new TreeMap<>(measured.get());
        all.put(set.id(), found.colourCast());
        measured.set(Map.copyOf(all));
        view.face.set(View.Face.TREATMENT);
        session.selectCell(set.id(), session.state().channel());
    }

    private static Step added(Look look) {
        CastCorrection kind = new CastCorrection();
        return Step.atRest(look.freeId(kind), kind, Section.FINISH, look.channels().size())
                .withChannel(0, a -> a.with(Parameter.AMOUNT, Value.of(100)));
    }

    /**
     * Reports whether the channels changed since a step was measured; empty if it was never measured.
     */
    public void compare(Look look, Step step, Consumer<Optional<Boolean>> stale) {
        if (step.measured().isEmpty()) {
            stale.accept(Optional.empty());
            return;
        }
        comparing.ask(
                cancel -> !LookJson.channelMark(look).equals(step.measured()),
                other -> stale.accept(Optional.of(other)));
    }
}
