package ivrik.core.render;

import ivrik.core.look.Amounts;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Peg;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.treatment.Parameter;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.LongStream;

/** Jitter turned into pegs, one a frame, which can then be shaped by hand; every whole frame stays as it was. */
public final class Baking {
    private Baking() {}

    /**
     * A layer's look with the jitter of a step in one lane baked. What dials and bursts add to the jitter
     * goes on being added.
     *
     * @param number of the look
     * @param id of the step
     * @param planner of the project that the layer is in
     */
    public static Look baked(Layer layer, int number, String id, int lane, Planner planner) {
        LayerLook layerLook = layer.looks().get(number);
        Look look = layerLook.look();
        Step step = look.step(id).orElseThrow();
        Amounts amounts = step.amounts(lane);
        FrameRange range = layer.range();
        List<LookPlanner> frames =
                LongStream.rangeClosed(range.first(), range.last())
                        .mapToObj(n -> planner.instant(layer, Rational.of(n)))
                        .map(instant -> Planner.planner(layer, layerLook, instant))
                        .toList();
        Map<String, Value> pegged = new TreeMap<>();
        for (Parameter parameter : step.kind().description().parameters()) {
            Jitter jitter = amounts.jitterOf(parameter);
            if (jitter.isNone()) {
                continue;
            }
            Ease ease = jitter.kind() == Jitter.Kind.STEPPED ? Ease.HOLD : Ease.LINEAR;
            Value value = amounts.value(parameter.name());
            List<Peg> pegs = new ArrayList<>();
            for (int i = 0; i < frames.size(); i++) {
                long n = range.first() + i;
                double at = value.at(n) + frames.get(i).ownJitter(step, lane, parameter);
                pegs.add(new Peg(n, parameter.clamp(at), ease));
            }
            pegged.put(parameter.name(), new Value(value.rest(), pegs));
        }
        return pegged.isEmpty() ? look : look.withAmounts(id, lane, a -> a.baked(pegged));
    }
}
