package ivrik.core.json;

import com.fasterxml.jackson.databind.JsonNode;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** How kinds are written in files, and values in what is told of a file. */
final class Words {
    private static final int LONGEST_QUOTE = 40;

    private Words() {}

    /** How a kind is written in files. */
    static String of(Enum<?> each) {
        return each.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * The kind that is written so.
     *
     * @throws IllegalArgumentException if there is none; it says which there are
     */
    static <E extends Enum<E>> E find(String text, Class<E> kind) {
        List<String> words = new ArrayList<>();
        for (E each : kind.getEnumConstants()) {
            if (of(each).equals(text)) {
                return each;
            }
            words.add(of(each));
        }
        throw new IllegalArgumentException(
                "there is no '" + text + "'; choose one of " + String.join(", ", words));
    }

    /** As it stands in the file, or its beginning. */
    static String quoted(JsonNode found) {
        String text = found.toString();
        return text.length() <= LONGEST_QUOTE ? text : text.substring(0, LONGEST_QUOTE) + "...";
    }

    /** A number without a point that says nothing. */
    static String plain(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e15
                ? Long.toString((long) value)
                : Double.toString(value);
    }
}
