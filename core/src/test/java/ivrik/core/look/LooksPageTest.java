package ivrik.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.stream.Collectors;

/** Checks that {@code docs/looks.md} agrees with the built-in looks. {@code -Divrik.docs=write} updates the page. */
class LooksPageTest {
    private static final Path PAGE = Path.of("../docs/looks.md");
    private static final String HEAD =
            """
            # The looks

            Each look consists of treatments that are also available on their own. The dials of a look drive the
            parameters of its treatments. In the window, *Show all looks...* shows every look on the current frame.
            On the command line, `./ivrik looks` lists the looks and `--set dial=value` sets a dial.

            Lengths are in pixels of the full-size sequence, so that a small preview is the small version of the
            full render. A look whose dials are at their neutral values changes no bit of the picture. The neutral
            value of `amount` in `ghost-warp` is 0.

            ![All looks on the night tram](looks/tram.png)
            ![All looks on the lanterns](looks/lanterns.png)
            """;

    private static String number(double value) {
        return value == Math.rint(value)
                ? Long.toString((long) value)
                : String.format(Locale.ROOT, "%s", value);
    }

    private static String dial(Dial dial) {
        if (!dial.choices().isEmpty()) {
            return "`%s` (%s)".formatted(dial.name(), String.join(", ", dial.choices()));
        }
        String unit = dial.unit().isEmpty() ? "" : " " + dial.unit();
        return "`%s` %s to %s%s"
                .formatted(dial.name(), number(dial.min()), number(dial.max()), unit);
    }

    private static String page() {
        StringBuilder page = new StringBuilder(HEAD);
        LookGroup group = null;
        for (BuiltInLook each : BuiltInLooks.shelf()) {
            if (each.group() != group) {
                group = each.group();
                page.append("\n## ")
                        .append(group.title())
                        .append("\n\n| look | what it does | dials |\n|---|---|---|\n");
            }
            Look look = each.look();
            String dials =
                    look.dials().stream()
                            .map(LooksPageTest::dial)
                            .collect(Collectors.joining("; "));
            page.append(
                    "| %s, `%s` | %s | %s |\n"
                            .formatted(look.title(), look.name(), look.note(), dials));
        }
        return page.toString();
    }

    @Test
    void thePageIsCurrent() throws IOException {
        if ("write".equals(System.getProperty("ivrik.docs"))) {
            Files.writeString(PAGE, page());
        }
        assertThat(Files.readString(PAGE)).isEqualTo(page());
    }
}
