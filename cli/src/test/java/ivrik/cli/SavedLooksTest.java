package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.json.LookJson;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Looks that the user has saved, on the command line. */
class SavedLooksTest extends Commanded {
    /** Looks of the user come from the data folder; built-in looks stay unchanged. */
    @Test
    void aSavedLookIsFoundByName() throws IOException {
        Path kept = Files.createDirectories(folder.resolve("data/looks"));
        Look look = BuiltInLooks.named("rgb-split").withDial("red-x", 4);
        for (String name : List.of("amber", "swap")) {
            Files.writeString(
                    kept.resolve(name + ".look.json"), LookJson.write(look.withName(name)));
        }
        String in = picture8("in.png", false).toString();
        Path own = folder.resolve("own.png");
        Path same = folder.resolve("same.png");
        assertThat(ivrik("apply", in, "--look", "amber", "-o", own.toString())).as(err).isZero();
        ivrik("apply", in, "--look", "rgb-split", "--set", "red-x=4", "-o", same.toString());
        assertThat(own).hasSameBinaryContentAs(same);
        Path swapped = folder.resolve("swapped.png");
        ivrik("apply", in, "--look", "swap", "-o", swapped.toString());
        assertThat(Files.readAllBytes(swapped)).isNotEqualTo(Files.readAllBytes(own));
    }

    @Test
    void aLookIsFoundByItsTitleAndSavedLooksAreListed() throws IOException {
        Path kept = Files.createDirectories(folder.resolve("data/looks"));
        Look look = BuiltInLooks.named("rgb-split").withName("amber-hour").withTitle("Amber Hour");
        Files.writeString(kept.resolve("amber-hour.look.json"), LookJson.write(look));
        String in = picture8("in.png", false).toString();
        Path titled = folder.resolve("titled.png");
        Path named = folder.resolve("named.png");
        assertThat(ivrik("apply", in, "--look", "amber hour", "-o", titled.toString()))
                .as(err)
                .isZero();
        ivrik("apply", in, "--look", "amber-hour", "-o", named.toString());
        assertThat(titled).hasSameBinaryContentAs(named);
        assertThat(ivrik("looks")).isZero();
        assertThat(out).contains("amber-hour\n");
        ivrik("looks", "--json");
        assertThat(out).contains("\"name\" : \"amber-hour\"").contains("Your looks");
    }
}
