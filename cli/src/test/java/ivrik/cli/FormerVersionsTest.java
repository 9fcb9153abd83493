package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.project.Project;
import ivrik.media.file.LookLibrary;
import ivrik.media.file.ProcessOwner;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.RecoverableWork;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** Files of version 2 open, and options of version 2 are refused with their new names. */
class FormerVersionsTest extends Commanded {
    private static final String LOOK =
            """
            {
              "format": "ivrik-look", "version": 2, "name": "mine", "separation": "rgb",
              "lanes": [{"hold": true}, {}, {}],
              "steps": [{"id": "min-max-1", "treatment": "min-max", "lanes": [{}, {}, {}]}],
              "onto": {"blend": "screen", "amount": 0.5}
            }
            """;

    private static final String PROJECT =
            """
            {
              "format": "ivrik-project", "version": 2, "name": "old",
              "sequence": {"size": [40, 30], "rate": "24", "ground": "nothing"},
              "sources": [{"id": "a", "name": "a", "path": "a.png", "kind": "still",
                           "size": [40, 30], "rate": "24", "frames": 1}],
              "layers": [{"id": "l", "name": "l",
                          "clips": [{"source": "a", "start": 0, "length": 4}],
                          "looks": [{"id": "look-1", "look": {LOOK}]}]
            }
            """
                    .replace(
                            "{LOOK",
                            LOOK.replace("\"format\": \"ivrik-look\", \"version\": 2, ", ""));

    private Path project() throws IOException {
        picture8("a.png", false);
        return Files.writeString(folder.resolve("old.ivrik"), PROJECT);
    }

    @ParameterizedTest
    @CsvSource({
        "--form, --format",
        "--lanes, --channels",
        "--lane-form, --channel-format",
        "--picked, --marked",
        "--sample, --sampling"
    })
    void aFormerOptionIsRefusedWithThePresentOne(String former, String present) throws IOException {
        Path out = folder.resolve("o.png");
        assertThat(ivrik("render", project().toString(), former, "x", "-o", out.toString()))
                .isEqualTo(2);
        assertThat(err)
                .isEqualToNormalizingNewlines(
                        "ivrik: the option " + former + " is now named " + present + "\n");
        assertThat(out).doesNotExist();
    }

    @ParameterizedTest
    @CsvSource({"tube, crt", "tape, videotape", "lane-lag, channel-delay", "max-min, dilate-erode"})
    void aFormerLookIsRefusedWithThePresentOne(String former, String present) throws IOException {
        String in = picture8("a.png", false).toString();
        assertThat(ivrik("apply", in, "--look", former, "-o", folder.resolve("o.png").toString()))
                .isEqualTo(1);
        assertThat(err).contains("the look '" + former + "' is now named '" + present + "'");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "apply IN --look neutral --quality finest -o OUT.mp4 | 'finest' is now named"
                        + " 'best'",
                "apply IN --look neutral --quality=FINEST -o OUT.mp4 | 'finest' is now named"
                        + " 'best'",
                "apply IN --look neutral --preset sticker -o OUT.webp | is now named"
                        + " 'animated-image'",
                "apply IN --look crt --set mask=triad -o OUT.png | 'triad' is now named"
                        + " 'shadow-mask'",
                "apply IN --look crt --set brightness=auto -o OUT.png | 'auto' is now named 'on'",
                "separate IN --model trio:ff5a28,28c878,4638ff -o OUT"
                        + " | is now named 'primaries:ff5a28,28c878,4638ff'"
            })
    void aFormerValueIsRefusedWithThePresentOne(String line, String told) throws IOException {
        String in = picture8("a.png", false).toString();
        String out = folder.resolve("out").toString();
        assertThat(ivrik(line.replace("IN ", in + " ").replace("OUT", out).split(" "))).isNotZero();
        assertThat(err).contains(told);
    }

    @Test
    void aProjectAPackageAndRecoveredWorkOpenEqual() throws IOException {
        Path project = project();
        ivrik("check", project.toString());
        assertThat(out + err).contains("no problems found");
        Project opened = ProjectFile.open(project).project();
        assertThat(opened.layers().getFirst().look().channels().getFirst().fixed()).isTrue();

        Path zip = folder.resolve("old.zip");
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
            out.putNextEntry(new ZipEntry("old.ivrik"));
            out.write(PROJECT.getBytes(StandardCharsets.UTF_8));
            out.putNextEntry(new ZipEntry("a.png"));
            Files.copy(folder.resolve("a.png"), out);
        }
        Path unpacked = folder.resolve("unpacked");
        assertThat(ivrik("unpack", zip.toString(), "-o", unpacked.toString())).as(err).isZero();
        assertThat(ProjectFile.open(unpacked.resolve("old.ivrik")).project().layers())
                .isEqualTo(opened.layers());

        ProcessOwner self = ProcessOwner.self();
        String ended = new ProcessOwner(self.machine(), self.pid(), 0).token();
        Files.writeString(folder.resolve(".old.ivrik." + ended + ".1.journal"), PROJECT);
        assertThat(RecoverableWork.of(project))
                .singleElement()
                .satisfies(work -> assertThat(work.read().project()).isEqualTo(opened));
    }

    @Test
    void aLookOfTheLibraryIsFoundByItsName() throws IOException {
        LookLibrary library = new LookLibrary(Files.createDirectories(folder.resolve("looks")));
        Files.writeString(folder.resolve("looks/mine.look.json"), LOOK);
        LookLibrary.SavedLook saved = library.contents().looks().getFirst();
        assertThat(saved.problems()).isEmpty();
        assertThat(saved.look().steps().getFirst().treatment()).isEqualTo("minimum-maximum");
        assertThat(saved.look().blend().opacity().rest()).isEqualTo(0.5);
    }

    @Test
    void aFolderOfChannelsRejoins() throws IOException {
        Path picture = picture8("a.png", false);
        Path channels = folder.resolve("channels");
        ivrik("separate", picture.toString(), "--model", "rgb", "-o", channels.toString());
        Path list = channels.resolve("separation.json");
        Files.writeString(list, Files.readString(list).replace("\"channels\"", "\"lanes\""));
        Path back = folder.resolve("back.png");
        assertThat(ivrik("rejoin", channels.toString(), "-o", back.toString())).as(err).isZero();
        assertSamePixels(picture, back);
    }
}
