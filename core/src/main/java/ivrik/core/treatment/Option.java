package ivrik.core.treatment;

import java.util.List;

/**
 * One choice of a treatment, the same for all lanes and at all times.
 *
 * @param name in files
 * @param title in the window
 * @param help what it is about
 * @param words what can be chosen; the first is the rest
 */
public record Option(String name, String title, String help, List<String> words) {
    public Option {
        words = List.copyOf(words);
    }

    public Option(String name, String title, String help, String... words) {
        this(name, title, help, List.of(words));
    }

    /** The word at a place among them, or as near to it as there is one. */
    public String near(double place) {
        return words.get(Math.clamp(Math.round(place), 0, words.size() - 1));
    }

    public String rest() {
        return words.getFirst();
    }
}
