package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.json.LookJson;
import ivrik.core.json.ProjectJson;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;
import ivrik.media.encode.StillWriter;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The samples in {@code docs/files.md} are valid files. */
class FilesPageTest extends Commanded {
    private static String sample(String name) throws IOException {
        Path page = Path.of(System.getProperty("ivrik.home"), "docs/files.md");
        Matcher found =
                Pattern.compile("<!-- sample: " + name + " -->\n```\\w*\n(.*?)```", Pattern.DOTALL)
                        .matcher(Files.readString(page));
        assertThat(found.find()).as(name).isTrue();
        return found.group(1);
    }

    @Test
    void sampleProjectsAndLooksHaveNoProblems() throws IOException {
        ProjectJson.Reading project = ProjectJson.read(sample("project"));
        assertThat(project.problems()).isEmpty();
        assertThat(project.project().layers()).hasSize(1);
        LookJson.Reading look = LookJson.read(sample("look"));
        assertThat(look.problems()).isEmpty();
        assertThat(look.look().steps().getFirst().channels().getFirst().value("x").at(0))
                .isEqualTo(3);
    }

    @Test
    void theSampleSeparationRejoins() throws IOException {
        Path channels = Files.createDirectory(folder.resolve("channels"));
        Files.writeString(channels.resolve("separation.json"), sample("separation"));
        for (String channel : new String[] {"red", "green", "blue"}) {
            StillWriter.writePlane(
                    Plane.flat(8, 6, 0.6f), channels.resolve(channel + ".exr"), Workers.shared());
        }
        Path out = folder.resolve("out.png");
        assertThat(ivrik("rejoin", channels.toString(), "-o", out.toString())).as(err).isZero();
        Path grey = folder.resolve("grey.png");
        Plane plane = Plane.flat(8, 6, 0.6f);
        StillWriter.write(Frame.opaque(plane, plane, plane), grey, Depth.INT8, Workers.shared());
        assertSamePixels(out, grey);
    }

    @Test
    void theSampleOrderIsAnExportInParts() throws IOException {
        Path parts = Files.createDirectory(folder.resolve("out.mp4.parts"));
        Files.writeString(parts.resolve("project.ivrik"), sample("project"));
        Files.writeString(parts.resolve("order.properties"), sample("order"));
        assertThat(ivrik("join", parts.toString(), "-o", folder.resolve("out.mp4").toString()))
                .isEqualTo(1);
        assertThat(err).as("footage of the project is read").contains("tram.webm");
    }

    @Test
    void theSampleFarmListsItsParts() throws IOException {
        Path farm = Files.createDirectory(folder.resolve("out.mp4.farm"));
        Files.createDirectory(farm.resolve("logs"));
        Files.createDirectory(farm.resolve("done"));
        Files.writeString(farm.resolve("farm.json"), sample("farm"));
        assertThat(ivrik("farm-part", farm.toString(), "join")).isEqualTo(3);
        assertThat(farm.resolve("logs/join.txt")).content().contains("missing: 1-2");
        assertThat(ivrik("farm-part", farm.toString(), "3")).isEqualTo(1);
        assertThat(err).contains("parts go from 1 to 2");
    }
}
