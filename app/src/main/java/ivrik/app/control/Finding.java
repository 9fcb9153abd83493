package ivrik.app.control;

import ivrik.core.Nearest;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Things found by typing parts of words. */
public final class Finding {
    /** Words of the trade for what is called otherwise here. */
    private static final Map<String, List<String>> ALSO =
            Map.ofEntries(
                    Map.entry("keyframe", List.of("peg")),
                    Map.entry("wiggle", List.of("jitter", "shake")),
                    Map.entry("channel", List.of("lane")),
                    Map.entry("variant", List.of("take")),
                    Map.entry("version", List.of("take")),
                    Map.entry("lut", List.of("table")),
                    Map.entry("import", List.of("bring in")),
                    Map.entry("render", List.of("export")),
                    Map.entry("opacity", List.of("strength", "amount")),
                    Map.entry("slider", List.of("dial")),
                    Map.entry("effect", List.of("treatment")),
                    Map.entry("filter", List.of("treatment")),
                    Map.entry("delete", List.of("remove", "take out")),
                    Map.entry("duplicate", List.of("copy")),
                    Map.entry("solid", List.of("plain colour")),
                    Map.entry("magnify", List.of("closer", "loupe")),
                    Map.entry("noise", List.of("grain")),
                    Map.entry("sharpen", List.of("unsharp")),
                    Map.entry("sticker", List.of("export")));

    private Finding() {}

    /** Whether all of what was asked for is somewhere in a text, in any order. */
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

    /** What else a word may mean, as soon as three letters of it are there. */
    private static List<String> others(String word) {
        return ALSO.entrySet().stream()
                .filter(e -> word.length() > 2 && e.getKey().startsWith(word))
                .flatMap(e -> e.getValue().stream())
                .toList();
    }

    /** The word among some texts that is most like one that was asked for; empty if none is much like any. */
    public static Optional<String> nearest(String asked, List<String> texts) {
        List<String> known =
                texts.stream()
                        .flatMap(Finding::words)
                        .map(w -> w.replaceAll("[^\\p{L}\\p{N}-]", ""))
                        .filter(w -> w.length() > 2)
                        .distinct()
                        .toList();
        return words(asked).flatMap(word -> Nearest.to(word, known).stream()).findFirst();
    }
}
