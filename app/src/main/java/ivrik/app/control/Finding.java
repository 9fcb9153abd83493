package ivrik.app.control;

import java.util.List;
import java.util.Locale;

/** Things found by typing parts of words. */
public final class Finding {
    private Finding() {}

    /** Whether all of what was asked for is somewhere in a text, in any order. */
    public static boolean fits(String asked, String text) {
        String all = text.toLowerCase(Locale.ROOT);
        return List.of(asked.toLowerCase(Locale.ROOT).strip().split("\\s+")).stream()
                .allMatch(all::contains);
    }
}
