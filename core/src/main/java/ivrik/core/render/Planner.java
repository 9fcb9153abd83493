package ivrik.core.render;

import ivrik.core.look.Amounts;
import ivrik.core.look.Dial.Link;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Rational;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** Evaluates all values of a project at a frame. */
public final class Planner {
    private Planner() {}

    /** The plan of a frame of the sequence. */
    public static Plan plan(Project project, long frame) {
        List<LayerPlan> layers = new ArrayList<>();
        for (Layer layer : project.layers()) {
            if (layer.visible()) {
                planLayer(project, layer, frame).ifPresent(layers::add);
            }
        }
        return new Plan(project.sequence().size(), List.copyOf(layers));
    }

    private static Optional<LayerPlan> planLayer(Project project, Layer layer, long frame) {
        return layer.clipAt(frame)
                .flatMap(
                        clip ->
                                project.source(clip.source())
                                        .map(
                                                source -> {
                                                    Rational rate = project.sequence().rate();
                                                    return new LayerPlan(
                                                            new Picture(
                                                                    source,
                                                                    clip.sourceFrame(
                                                                            frame, source, rate)),
                                                            look(
                                                                    layer.look(),
                                                                    Rational.of(frame),
                                                                    rate),
                                                            layer.blend(),
                                                            layer.opacity().at(frame));
                                                }));
    }

    /** A look at a frame, at {@code rate} frames a second. */
    public static LookPlan look(Look look, Rational frame, Rational rate) {
        List<StepPlan> steps = new ArrayList<>();
        for (int i = 0; i < look.steps().size(); i++) {
            StepPlan step = step(look, i, frame, rate);
            if (step.lanes().stream().anyMatch(java.util.Objects::nonNull)) {
                steps.add(step);
            }
        }
        return new LookPlan(
                look.separation(),
                IntStream.range(0, look.lanes().size()).mapToObj(look::isShown).toList(),
                List.copyOf(steps),
                look.rejoin(),
                look.onto().blend(),
                Math.clamp(look.onto().amount().at(frame), 0, 1));
    }

    private static StepPlan step(Look look, int index, Rational frame, Rational rate) {
        Step step = look.steps().get(index);
        Treatment treatment = step.kind();
        List<Settings> lanes = new ArrayList<>();
        for (int lane = 0; lane < step.lanes().size(); lane++) {
            boolean held = look.lanes().get(lane).hold() && treatment.description().moves();
            Settings settings = settings(look, index, lane, frame, rate);
            boolean acts =
                    step.on() && !held && look.isShown(lane) && !treatment.isNeutral(settings);
            lanes.add(acts ? settings : null);
        }
        return new StepPlan(step.treatment(), java.util.Collections.unmodifiableList(lanes));
    }

    /** One lane's numbers in a step at a frame: values, dials and jitter added up, within range. */
    public static Settings settings(Look look, int index, int lane, Rational frame, Rational rate) {
        Step step = look.steps().get(index);
        Amounts amounts = step.lanes().get(lane);
        Jitter jitter = amounts.jitter();
        double shake = jitter.amount().at(frame) + look.driven(index, lane, Link.JITTER, frame);
        double hz =
                Math.clamp(
                        jitter.frequencyHz() + look.driven(index, lane, Link.RATE, frame),
                        0,
                        Jitter.MAX_FREQUENCY_HZ);
        Map<String, Double> numbers = new HashMap<>();
        for (Parameter parameter : step.kind().description().parameters()) {
            String name = parameter.name();
            double value = amounts.value(name).at(frame) + look.driven(index, lane, name, frame);
            if (parameter.jitters()) {
                value += jitter.at(frame, shake, hz, rate, lane, step.treatment() + "/" + name);
            }
            numbers.put(name, parameter.clamp(value));
        }
        return new Settings(numbers, step.edgeFill(), step.sampler());
    }
}
