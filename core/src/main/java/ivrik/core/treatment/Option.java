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

    public String rest() {
        return words.getFirst();
    }
}
