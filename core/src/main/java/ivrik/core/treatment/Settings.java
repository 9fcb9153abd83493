package ivrik.core.treatment;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Sampler;

import java.util.Map;

/**
 * What a treatment is told for one lane at one moment: its numbers by parameter name, in pixels of
 * the full-size sequence where they are lengths, and how to look outside and between pixels.
 */
public record Settings(Map<String, Double> numbers, EdgeFill edgeFill, Sampler sampler) {
    public Settings {
        numbers = Map.copyOf(numbers);
    }

    public double number(String parameter) {
        return numbers.get(parameter);
    }
}
