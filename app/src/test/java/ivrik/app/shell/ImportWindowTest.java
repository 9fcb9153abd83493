package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.project.Project;
import ivrik.core.project.Source;

import javafx.scene.control.Button;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Import of numbered stills, numbered movies and several files at once. */
class ImportWindowTest extends InAWindow {
    private Path still(String name, double value) {
        return Material.still(folder, name, value);
    }

    private Project project() {
        return d.window.session().project();
    }

    @Test
    void oneOfNumberedStillsIsImportedAloneByDefault() {
        still("pic1.png", 0.1f);
        Path second = still("pic2.png", 0.2f);
        Driver.run(() -> d.window.take(List.of(second)));
        Driver.until("the question appears", () -> d.look("#choice-1") != null);
        assertThat(d.find("#first-still")).isNotNull();
        assertThat(d.find("#last-still")).isNotNull();
        assertThat(((Button) d.find("#choice-0")).isDefaultButton()).isTrue();
        d.click("#choice-0");
        Driver.until("the file is imported", () -> !project().sources().isEmpty());
        Source source = Driver.on(() -> project().sources().getFirst());
        assertThat(source.kind()).isEqualTo(Source.Kind.STILL);
        assertThat(source.path()).isEqualTo(second.toString());
    }

    @Test
    void oneOfNumberedStillsImportsAllOfThemOnRequest() {
        for (int n = 1; n <= 5; n++) {
            still("walk-000" + n + ".png", n / 10f);
        }
        Driver.run(() -> d.window.take(List.of(folder.resolve("walk-0003.png"))));
        Driver.until("the question appears", () -> d.look("#choice-0") != null);
        assertThat(d.words()).anyMatch(w -> w.contains("walk-0003.png belongs to 5"));
        d.click("#choice-1");
        Driver.until("the file is imported", () -> !project().sources().isEmpty());
        Source source = Driver.on(() -> project().sources().getFirst());
        assertThat(source.kind()).isEqualTo(Source.Kind.SEQUENCE);
        assertThat(source.frames()).isEqualTo(5);
        assertThat(source.path()).endsWith("walk-%04d.png");
    }

    @Test
    void numberedMoviesAreNotASequence() throws IOException {
        Path demo = Material.demo(folder.resolve("demo"));
        Path tram = demo.resolveSibling("media/tram.webm");
        Path clip = Files.copy(tram, folder.resolve("clip1.webm"));
        Files.copy(tram, folder.resolve("clip2.webm"));
        Driver.run(() -> d.window.take(List.of(clip)));
        Driver.until("the file is imported", () -> !project().sources().isEmpty());
        assertThat(Driver.on(() -> project().sources().getFirst().kind()))
                .isEqualTo(Source.Kind.MOVIE);
        assertThat(Driver.on(() -> project().sources().getFirst().path()))
                .isEqualTo(clip.toString());
    }

    @Test
    void stillsChosenTogetherKeepTheirOrder() {
        List<Path> chosen = new ArrayList<>();
        for (int n : new int[] {4, 1, 3, 2, 5}) {
            chosen.add(still("pic" + n + ".png", n / 10f));
        }
        Driver.run(() -> d.window.take(chosen));
        Driver.until("the files are imported", () -> project().sources().size() == 5);
        assertThat(d.look("#choice-0")).as("no question appears").isNull();
        assertThat(project().sources())
                .extracting(Source::path)
                .containsExactlyElementsOf(chosen.stream().map(Path::toString).toList());
        assertThat(project().layers().getFirst().clips())
                .extracting(c -> c.source() + " at " + c.start())
                .containsExactly(
                        "pic4 at 0", "pic1 at 96", "pic3 at 192", "pic2 at 288", "pic5 at 384");
    }
}
