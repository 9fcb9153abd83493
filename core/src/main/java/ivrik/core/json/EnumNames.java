package ivrik.core.json;

import com.fasterxml.jackson.databind.JsonNode;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Spelling of enum constants and values in files and messages. */
final class EnumNames {
    private static final int LONGEST_QUOTE = 40;

    private EnumNames() {}

    /** An enum constant as written in files. */
    static String of(Enum<?> each) {
        return each.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * The enum constant of a word in a file.
     *
     * @throws IllegalArgumentException if there is none; the message lists all
     */
    static <E extends Enum<E>> E find(String text, Class<E> kind) {
        List<String> names = new ArrayList<>();
        for (E each : kind.getEnumConstants()) {
            if (of(each).equals(text)) {
                return each;
            }
            names.add(of(each));
        }
        throw new IllegalArgumentException(
                "unknown value '" + text + "'; choose one of: " + String.join(", ", names));
    }

    /** A value as written in the file, shortened if long. */
    static String quoted(JsonNode found) {
        String text = found.toString();
        return text.length() <= LONGEST_QUOTE ? text : text.substring(0, LONGEST_QUOTE) + "...";
    }

    /** A number without trailing zeros. */
    static String plain(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e15
                ? Long.toString((long) value)
                : Double.toString(value);
    }
}
