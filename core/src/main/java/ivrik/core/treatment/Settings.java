package ivrik.core.treatment;

import ivrik.core.motion.Draw;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import java.util.Map;

/**
 * What a treatment is told for one lane at one moment: its numbers by parameter name, in pixels of
 * the full-size sequence where they are lengths, its choices, and how to look outside and between
 * pixels.
 *
 * @param moment which lane at which frame; only for what is live, else {@link Moment#ANY}
 */
public record Settings(
        Map<String, Double> numbers,
        Map<String, String> words,
        EdgeFill edgeFill,
        Sampler sampler,
        Moment moment) {
    public Settings {
        numbers = Map.copyOf(numbers);
        words = Map.copyOf(words);
    }

    /** With nothing to choose, at any moment. */
    public Settings(Map<String, Double> numbers, EdgeFill edgeFill, Sampler sampler) {
        this(numbers, Map.of(), edgeFill, sampler, Moment.ANY);
    }

    /** Which lane, at which whole frame, and what its random numbers are drawn from. */
    public record Moment(int lane, long frame, Draw draw) {
        public static final Moment ANY = new Moment(0, 0, new Draw(0, Draw.ANYWHERE));
    }

    public double number(String parameter) {
        return numbers.get(parameter);
    }

    /** A percentage as a share. */
    public double share(String parameter) {
        return number(parameter) / 100;
    }

    /** How much of the treatment is done, 0..1. */
    public double amount() {
        return numbers.getOrDefault(Parameter.AMOUNT, 100.0) / 100;
    }

    public boolean isOn(String parameter) {
        return number(parameter) >= 0.5;
    }

    /** The chosen word of an option. */
    public String word(Option option) {
        return words.getOrDefault(option.name(), option.rest());
    }

    /** How many things of a series there are. */
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
