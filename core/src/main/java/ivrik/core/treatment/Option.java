package ivrik.core.treatment;

import java.util.List;

/**
 * A choice of a treatment, the same for all channels and frames.
 *
 * @param name name in files
 * @param title name in the window
 * @param help explanation
 * @param choices words to choose from; the first is the default
 */
public record Option(String name, String title, String help, List<String> choices) {
    public Option {
        choices = List.copyOf(choices);
    }

    public Option(String name, String title, String help, String... choices) {
        this(name, title, help, List.of(choices));
    }

    /** The word at an index, clamped to the list. */
    public String near(double place) {
        return choices.get(Math.clamp(Math.round(place), 0, choices.size() - 1));
    }

    public String rest() {
        return choices.getFirst();
    }
}
