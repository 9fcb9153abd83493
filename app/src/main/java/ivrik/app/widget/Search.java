package ivrik.app.widget;

import ivrik.core.NearestName;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Search by parts of words. */
public final class Search {
    /** Current words, by words of earlier versions and other common words. */
    private static final Map<String, List<String>> ALSO =
            Map.ofEntries(
                    Map.entry("peg", List.of("keyframe")),
                    Map.entry("lane", List.of("channel")),
                    Map.entry("reach", List.of("mask")),
                    Map.entry("trace", List.of("graph")),
                    Map.entry("progressives", List.of("channel combinations")),
                    Map.entry("kept", List.of("recovered")),
                    Map.entry("bring", List.of("import")),
                    Map.entry("close-up", List.of("controls")),
                    Map.entry("random", List.of("jitter", "seed")),
                    Map.entry("variant", List.of("take")),
                    Map.entry("version", List.of("take")),
                    Map.entry("lut", List.of("table")),
                    Map.entry("render", List.of("export")),
                    Map.entry("opacity", List.of("strength", "amount")),
                    Map.entry("slider", List.of("dial")),
                    Map.entry("effect", List.of("treatment")),
                    Map.entry("filter", List.of("treatment")),
                    Map.entry("delete", List.of("remove", "discard")),
                    Map.entry("duplicate", List.of("copy")),
                    Map.entry("magnify", List.of("zoom in", "loupe")),
                    Map.entry("noise", List.of("grain")),
                    Map.entry("sharpen", List.of("unsharp")),
                    Map.entry("sticker", List.of("animated image")));

    private Search() {}

    /** Whether a text contains all typed words, in any order. */
    public static boolean fits(String asked, String text) {
        String all = text.toLowerCase(Locale.ROOT);
        return words(asked)
                .allMatch(
                        word ->
                                all.contains(word)
                                        || others(word).stream().anyMatch(all::contains));
    }

    private static Stream<String> words(String text) {
        return Stream.of(text.toLowerCase(Locale.ROOT).strip().split("\\s+"));
    }

    /** Synonyms of a word of at least three letters. */
    private static List<String> others(String word) {
        return ALSO.entrySet().stream()
                .filter(e -> word.length() > 2 && e.getKey().startsWith(word))
                .flatMap(e -> e.getValue().stream())
                .toList();
    }

    /**
     * The result to select first: one whose title fits, before those that only fit by other words.
     *
     * @param titles titles of the results, in their order
     * @return index of a title; 0 if none fits
     */
    public static int best(String asked, List<String> titles) {
        return Math.max(
                0,
                titles.indexOf(titles.stream().filter(t -> fits(asked, t)).findFirst().orElse("")));
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
