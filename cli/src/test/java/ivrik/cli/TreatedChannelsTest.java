package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.json.ProjectJson;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Shift;
import ivrik.media.decode.Footage;
import ivrik.media.decode.MovieReader;

import org.junit.jupiter.api.Test;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

import javax.imageio.ImageIO;

/** {@code render --channels} writes channels after their treatment and before rejoining. */
class TreatedChannelsTest extends Commanded {
    private Path project(Path picture, Look look) throws IOException {
        Source source =
                new Source(
                        "s",
                        "s",
                        picture.getFileName().toString(),
                        Source.Kind.STILL,
                        new Size(40, 30),
                        Rational.of(24),
                        1,
                        false);
        Project project =
                Project.empty("p")
                        .withSequence(new Sequence(new Size(40, 30), Rational.of(24)))
                        .withSources(List.of(source))
                        .withLayers(
                                List.of(Layer.of("shots", "shots", look, new Clip("s", 0, 4, 0))));
        return Files.writeString(folder.resolve("p.ivrik"), ProjectJson.write(project));
    }

    private static Plane channel(Path file) {
        try (MovieReader reader = new MovieReader(file, Workers.shared())) {
            return reader.stored(0).colour().getFirst();
        }
    }

    @Test
    void aMovedChannelIsExportedMovedAndTheOthersUnchanged() throws IOException {
        Path picture = picture8("in.png", false);
        Path project = project(picture, BuiltInLooks.named("rgb-split").withDial("red-x", 3));
        Path out = folder.resolve("channels");
        assertThat(
                        ivrik(
                                "render",
                                project.toString(),
                                "--channels",
                                "--frames",
                                "1-2",
                                "-o",
                                out.toString()))
                .isZero();
        BufferedImage image = ImageIO.read(picture.toFile());
        for (int n = 1; n <= 2; n++) {
            Path look = out.resolve("shots/look-1");
            Plane red = channel(look.resolve("red-000" + n + ".exr"));
            Plane green = channel(look.resolve("green-000" + n + ".exr"));
            for (int y = 0; y < 30; y += 3) {
                for (int x = 5; x < 40; x += 4) {
                    assertThat(red.at(x, y)).isEqualTo((image.getRGB(x - 3, y) >> 16 & 255) / 255f);
                    assertThat(green.at(x, y)).isEqualTo((image.getRGB(x, y) >> 8 & 255) / 255f);
                }
            }
        }
        assertThat(out.resolve("shots/look-1/red-0000.exr")).doesNotExist();
    }

    @Test
    void channelsOfAnyModelAreWrittenAndNothingIsReplacedUnasked() throws IOException {
        Look look =
                Look.atRest("inks", Separations.named("cmyk"), new Shift())
                        .withSettings(0, 3, a -> a.with("y", Value.of(2)));
        Path project = project(picture8("in.png", false), look);
        String out = folder.resolve("channels").toString();
        assertThat(ivrik("render", project.toString(), "--channels", "--frames", "0-0", "-o", out))
                .isZero();
        try (var files = Files.list(folder.resolve("channels/shots/look-1"))) {
            assertThat(files.map(f -> f.getFileName().toString()))
                    .containsExactlyInAnyOrder(
                            "cyan-0000.exr", "magenta-0000.exr", "yellow-0000.exr", "key-0000.exr");
        }
        assertThat(ivrik("render", project.toString(), "--channels", "--frames", "0-0", "-o", out))
                .isEqualTo(1);
        assertThat(err).contains("--overwrite");
        assertThat(
                        ivrik(
                                "render",
                                project.toString(),
                                "--channels",
                                "--overwrite",
                                "--frames",
                                "0-0",
                                "-o",
                                out))
                .isZero();
        assertThat(ivrik("render", project.toString(), "--channels", "--frames", "0-9", "-o", out))
                .isEqualTo(1);
        assertThat(err).contains("has no frame 9");
    }

    /** Red has a tint; its shift shows in every format; the parts are decoded one by one. */
    @Test
    void channelsAreWrittenAsGreysTintedAndAsPartsOfOneFile() throws IOException {
        Path picture = picture8("in.png", false);
        Path project = project(picture, BuiltInLooks.named("rgb-split").withDial("red-x", 3));
        BufferedImage image = ImageIO.read(picture.toFile());
        for (String format : List.of("greys", "inked", "layers")) {
            String out = folder.resolve(format).toString();
            assertThat(
                            ivrik(
                                    "render",
                                    project.toString(),
                                    "--channels",
                                    "--channel-format",
                                    format,
                                    "--frames",
                                    "1-1",
                                    "-o",
                                    out))
                    .isZero();
        }
        BufferedImage grey =
                ImageIO.read(folder.resolve("greys/shots/look-1/red-0001.png").toFile());
        BufferedImage ink =
                ImageIO.read(folder.resolve("inked/shots/look-1/red-0001.png").toFile());
        Path parts = folder.resolve("layers/shots/look-1/channels-0001.exr");
        for (int x = 5; x < 40; x += 3) {
            int red = image.getRGB(x - 3, 7) >> 16 & 255;
            for (int band = 0; band < 3; band++) {
                assertThat(grey.getRaster().getSample(x, 7, band)).isEqualTo(red * 257);
                assertThat(ink.getRaster().getSample(x, 7, band))
                        .isEqualTo(band == 0 ? red * 257 : 0);
            }
        }
        for (String channel : List.of("red", "green", "blue")) {
            int shift = channel.equals("red") ? 16 : channel.equals("green") ? 8 : 0;
            int move = channel.equals("red") ? 3 : 0;
            Frame read;
            try (Footage file =
                    Footage.open(
                            parts,
                            Source.FootageSettings.AUTOMATIC.withImageLayer(channel),
                            Workers.shared())) {
                read = file.delivered(0, file.size());
            }
            for (int x = 5; x < 40; x += 3) {
                assertThat(read.colour().getFirst().at(x, 7))
                        .isEqualTo((image.getRGB(x - move, 7) >> shift & 255) / 255f);
            }
        }
    }
}
