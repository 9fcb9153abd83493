package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The built-in looks on the command line. */
class BuiltInLooksTest extends Commanded {
    @ParameterizedTest
    @CsvSource({
        "channel-blur, red green blue",
        "lens-fringe, amount smear",
        "spectrum, length",
        "block-glitch, strength",
        "ghost-pins, amount",
        "max-min, radius",
        "glow-one-colour, length"
    })
    void aLookAtRestShowsItselfOffAndAtZeroIsBitExact(String look, String dials)
            throws IOException {
        for (Path in : new Path[] {picture8("a.png", false), picture8("b.png", true)}) {
            Path to = folder.resolve("out.png");
            List<String> words =
                    new ArrayList<>(
                            List.of(
                                    "apply",
                                    in.toString(),
                                    "--look",
                                    look,
                                    "--overwrite",
                                    "-o",
                                    to.toString()));
            assertThat(ivrik(words.toArray(String[]::new))).isZero();
            assertThat(Files.readAllBytes(to)).isNotEmpty();
            for (String dial : dials.split(" ")) {
                words.addAll(List.of("--set", dial + "=0"));
            }
            assertThat(ivrik(words.toArray(String[]::new))).isZero();
            assertSamePixels(in, to);
        }
    }
}
