package ivrik.media.vector;

import com.github.weisj.jsvg.parser.css.CssParser;
import com.github.weisj.jsvg.parser.css.StyleSheet;
import com.github.weisj.jsvg.parser.css.impl.SimpleCssParser;

import java.util.List;
import java.util.Locale;

/**
 * Preprocesses style sheets with media queries, which the SVG library does not support: rules for a light
 * screen are kept, all others are dropped.
 */
final class ScreenCss implements CssParser {
    private final CssParser parser = new SimpleCssParser();

    @Override
    public StyleSheet parse(List<char[]> sheets) {
        return parser.parse(sheets.stream().map(ScreenCss::screen).toList());
    }

    private static char[] screen(char[] sheet) {
        return screen(new String(sheet)).toCharArray();
    }

    /** The sheet without at-rules, with applicable nested rules inlined. */
    static String screen(String sheet) {
        StringBuilder kept = new StringBuilder();
        int at = 0;
        while (at < sheet.length()) {
            int rule = sheet.indexOf('@', at);
            if (rule < 0) {
                return kept.append(sheet, at, sheet.length()).toString();
            }
            kept.append(sheet, at, rule);
            int open = sheet.indexOf('{', rule);
            int semicolon = sheet.indexOf(';', rule);
            if (semicolon >= 0 && (open < 0 || semicolon < open)) {
                at = semicolon + 1; // such as @import
                continue;
            }
            int end = open < 0 ? sheet.length() : closing(sheet, open);
            if (open >= 0 && isMeant(sheet.substring(rule, open))) {
                kept.append(screen(sheet.substring(open + 1, Math.max(open + 1, end - 1))));
            }
            at = end;
        }
        return kept.toString();
    }

    private static boolean isMeant(String rule) {
        String query = rule.toLowerCase(Locale.ROOT);
        return query.startsWith("@media")
                && !query.contains("print")
                && !query.contains("dark")
                && !query.contains("not ");
    }

    /** Index after the matching brace. */
    private static int closing(String sheet, int open) {
        int depth = 0;
        for (int i = open; i < sheet.length(); i++) {
            depth += sheet.charAt(i) == '{' ? 1 : sheet.charAt(i) == '}' ? -1 : 0;
            if (depth == 0) {
                return i + 1;
            }
        }
        return sheet.length();
    }
}
