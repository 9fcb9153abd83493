package ivrik.core.render;

import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Keyframe;
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

/**
 * Converts jitter to one keyframe per frame, for editing by hand; every whole frame stays the same.
 */
public final class JitterBaking {
    private JitterBaking() {}

    /**
     * A layer's look with the jitter of a step in one channel baked. Contributions of dials and bursts to the
     * jitter stay.
     *
     * @param number index of the look
     * @param id id of the step
     * @param planner planner of the project that holds the layer
     */
    public static Look baked(Layer layer, int number, String id, int channel, Planner planner) {
        LayerLook layerLook = layer.looks().get(number);
        Look look = layerLook.look();
        Step step = look.step(id).orElseThrow();
        ChannelSettings settings = step.settings(channel);
        FrameRange range = layer.range();
        List<LookPlanner> frames =
                LongStream.rangeClosed(range.first(), range.last())
                        .mapToObj(n -> planner.instant(layer, Rational.of(n)))
                        .map(instant -> Planner.planner(layer, layerLook, instant))
                        .toList();
        Map<String, Value> keyframed = new TreeMap<>();
        for (Parameter parameter : step.kind().description().parameters()) {
            Jitter jitter = settings.jitterOf(parameter);
            if (jitter.isNone()) {
                continue;
            }
            Ease ease = jitter.kind() == Jitter.Kind.STEPPED ? Ease.HOLD : Ease.LINEAR;
            Value value = settings.value(parameter.name());
            List<Keyframe> keyframes = new ArrayList<>();
            for (int i = 0; i < frames.size(); i++) {
                long n = range.first() + i;
                double at = value.at(n) + frames.get(i).ownJitter(step, channel, parameter);
                keyframes.add(new Keyframe(n, parameter.clamp(at), ease));
            }
            keyframed.put(parameter.name(), new Value(value.rest(), keyframes));
        }
        return keyframed.isEmpty() ? look : look.withSettings(id, channel, a -> a.baked(keyframed));
    }
}
