package ivrik.app.widget;

import ivrik.core.NearestName;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Search by parts of words. */
public final class Search {
    private Search() {}

    /** Whether a text contains all typed words, in any order. */
    public static boolean fits(String asked, String text) {
        String all = text.toLowerCase(Locale.ROOT);
        return words(asked)
                .allMatch(
                        word ->
                                all.contains(word)
                                        || all.contains(singular(word))
                                        || Synonyms.beginning(word).anyMatch(all::contains));
    }

    private static Stream<String> words(String text) {
        return Stream.of(text.toLowerCase(Locale.ROOT).strip().split("\\s+"));
    }

    /**
     * How well a result fits what was typed: an exact title first, then titles that begin with the text,
     * titles with words that do, titles that begin with a synonym, titles that contain the words, synonyms in
     * the title, and keywords last.
     *
     * @param more keywords and descriptions
     * @return 0 for the best; empty if the result does not fit
     */
    public static OptionalInt rank(String asked, String title, String more) {
        String text = plain(asked);
        String name = plain(title);
        String all = name + " " + plain(more);
        List<BooleanSupplier> tests =
                List.of(
                        () -> name.equals(text),
                        () -> name.startsWith(text),
                        () -> begin(name, text),
                        () -> Synonyms.of(text).stream().anyMatch(name::startsWith),
                        () -> words(text).allMatch(name::contains),
                        () -> fits(text, name),
                        () -> begin(all, text),
                        () -> fits(text, all));
        return IntStream.range(0, tests.size())
                .filter(i -> tests.get(i).getAsBoolean())
                .findFirst();
    }

    private static String plain(String text) {
        return text.toLowerCase(Locale.ROOT).replace("...", "").strip();
    }

    /** Whether each typed word, or its singular, begins a word of a text. */
    private static boolean begin(String text, String asked) {
        List<String> all = List.of(text.split("[^\\p{L}\\p{N}-]+"));
        return words(asked)
                .allMatch(
                        word ->
                                all.stream()
                                        .anyMatch(
                                                w ->
                                                        w.startsWith(word)
                                                                || w.equals(singular(word))));
    }

    private static String singular(String word) {
        return word.length() > 3 && word.endsWith("s")
                ? word.substring(0, word.length() - 1)
                : word;
    }

    /**
     * The result to select first.
     *
     * @param titles titles of the results, in their order
     * @return index of the title that fits best; 0 if none fits
     */
    public static int best(String asked, List<String> titles) {
        return IntStream.range(0, titles.size())
                .boxed()
                .min(
                        Comparator.comparingInt(
                                i -> rank(asked, titles.get(i), "").orElse(Integer.MAX_VALUE)))
                .orElse(0);
    }

    /** The word in some texts that is most similar to a typed one; empty if none is similar. */
    public static Optional<String> nearest(String asked, List<String> texts) {
        List<String> known =
                texts.stream()
                        .flatMap(Search::words)
                        .map(w -> w.replaceAll("[^\\p{L}\\p{N}-]", ""))
                        .filter(w -> w.length() > 2)
                        .distinct()
                        .toList();
        return words(asked).flatMap(word -> NearestName.to(word, known).stream()).findFirst();
    }
}
