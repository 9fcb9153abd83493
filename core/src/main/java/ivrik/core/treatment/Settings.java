package ivrik.core.treatment;

import ivrik.core.motion.RandomKey;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import java.util.Map;

/**
 * Evaluated settings of a treatment for one channel at one moment: numbers by parameter name, with lengths in
 * pixels of the full-size sequence, choices, edge fill and sampling filter.
 *
 * @param moment channel and frame, for randomised treatments only; otherwise {@link Moment#ANY}
 */
public record Settings(
        Map<String, Double> numbers,
        Map<String, String> choices,
        EdgeFill edgeFill,
        Sampler sampler,
        Moment moment) {
    public Settings {
        numbers = Map.copyOf(numbers);
        choices = Map.copyOf(choices);
    }

    /** Settings without choices, at any moment. */
    public Settings(Map<String, Double> numbers, EdgeFill edgeFill, Sampler sampler) {
        this(numbers, Map.of(), edgeFill, sampler, Moment.ANY);
    }

    /** Channel, frame and random key. */
    public record Moment(int channel, long frame, RandomKey draw) {
        public static final Moment ANY = new Moment(0, 0, new RandomKey(0, RandomKey.ANYWHERE));
    }

    public double number(String parameter) {
        return numbers.get(parameter);
    }

    /** A percentage as a share. */
    public double share(String parameter) {
        return number(parameter) / 100;
    }

    /** The amount, 0..1. */
    public double amount() {
        return numbers.getOrDefault(Parameter.AMOUNT, 100.0) / 100;
    }

    public boolean isOn(String parameter) {
        return number(parameter) >= 0.5;
    }

    /** The chosen word of an option. */
    public String choice(Option option) {
        return choices.getOrDefault(option.name(), option.rest());
    }

    /** Number of items of a series. */
    public int count(Series series) {
        String parameter = series.parameters().getFirst().name();
        int n = 0;
        while (numbers.containsKey(series.address(n, parameter))) {
            n++;
        }
        return n;
    }

    public double number(Series series, int thing, String parameter) {
        return numbers.get(series.address(thing, parameter));
    }
}
