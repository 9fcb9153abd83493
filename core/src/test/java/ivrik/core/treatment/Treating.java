package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Rgb;
import ivrik.core.threads.Workers;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** Applies treatments to single planes. */
final class Treating {
    private Treating() {}

    static Context at(double scale, Workers workers) {
        return new Context(scale, channel(0), Optional.empty(), workers);
    }

    static ChannelKind channel(int number) {
        return new Rgb().channels().get(number);
    }

    /** Settings at rest, except for the given parameters. */
    static Settings settings(Treatment treatment, Map<String, Double> numbers) {
        return settings(treatment, numbers, Map.of(), EdgeFill.REPEAT);
    }

    static Settings settings(
            Treatment treatment,
            Map<String, Double> numbers,
            Map<String, String> words,
            EdgeFill fill) {
        Map<String, Double> all = new HashMap<>();
        treatment.description().parameters().forEach(p -> all.put(p.name(), p.rest()));
        numbers.keySet().forEach(treatment.description()::parameter);
        all.putAll(numbers);
        return new Settings(all, words, fill, Sampler.CUBIC, Settings.Moment.ANY);
    }

    static Plane treated(ChannelTreatment treatment, Plane in, Settings settings, double scale) {
        return treatment.apply(in, settings, at(scale, Workers.shared())).toPlane(Workers.shared());
    }
}
