package ivrik.app.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;

/** All keys, by menu, as a list and as a page for printing. */
public final class KeyList {
    /** Keys that no menu shows. */
    private static final List<Entry> HANDS =
            List.of(
                    new Entry("Nudge the channel by the step", "arrow keys"),
                    new Entry("Nudge by ten steps", "Shift+arrow keys"),
                    new Entry("Nudge by a tenth of the step", "Alt+arrow keys"),
                    new Entry("Bypass while held", "W"),
                    new Entry("Show the snapshot while held", "H"),
                    new Entry("Open the next number while typing", "Tab"),
                    new Entry("Finish typing", "Enter"),
                    new Entry("Cancel typing", "Esc"));

    private KeyList() {}

    /** One action and its key. */
    public record Entry(String title, String key) {}

    /** The entries of each menu that has any, in the order of the menus. */
    public static SequencedMap<String, List<Entry>> groups(List<Command> commands) {
        SequencedMap<String, List<Entry>> groups = new LinkedHashMap<>();
        groups.put("Everywhere", HANDS);
        for (Command command : commands) {
            if (command.key() != null) {
                groups.computeIfAbsent(command.menu(), m -> new ArrayList<>())
                        .add(new Entry(command.title(), command.keyText()));
            }
        }
        return groups;
    }

    /** A web page that prints on two sheets of paper. */
    public static String page(Map<String, List<Entry>> groups) {
        StringBuilder page =
                new StringBuilder(
                        """
                        <!DOCTYPE html>
                        <html lang="en"><head><meta charset="utf-8"><title>Keys of Ivrik</title>
                        <style>
                        body { font: 10pt sans-serif; columns: 3; column-gap: 2em; margin: 1cm; }
                        section { break-inside: avoid; margin-bottom: 1em; }
                        h2 { font-size: 11pt; margin: 0 0 .3em; }
                        table { border-collapse: collapse; width: 100%; }
                        td { border-top: 1px solid #ccc; padding: .15em 0; }
                        td + td { text-align: right; white-space: nowrap; }
                        </style></head><body>
                        """);
        groups.forEach(
                (menu, entries) -> {
                    page.append("<section><h2>").append(escaped(menu)).append("</h2><table>\n");
                    for (Entry entry : entries) {
                        page.append("<tr><td>")
                                .append(escaped(entry.title()))
                                .append("</td><td>")
                                .append(escaped(entry.key()))
                                .append("</td></tr>\n");
                    }
                    page.append("</table></section>\n");
                });
        return page.append("</body></html>\n").toString();
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }
}
