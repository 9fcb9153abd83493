package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.picture.Frame;
import ivrik.core.treatment.Grain;
import ivrik.media.file.ProjectFile;

import org.junit.jupiter.api.Test;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** A project is packed in one window and opened from the package in another. */
class PackWindowTest extends OneFrame {
    @Test
    void aPackageOpensWithTheSamePicture() {
        add(new Grain());
        set(0, 1, "x", 30);
        d.settle();
        Frame before = d.rendered();
        d.files.project = folder.resolve("night");
        Driver.run(() -> d.window.actions().packages().pack());
        Path zip = folder.resolve("night.zip");
        Driver.until(
                "the project is packed",
                () -> d.window.view().notice.get().startsWith("Project packaged"));
        d.close();

        d = new Driver(folder.resolve("data-2"));
        Driver.run(() -> d.window.take(List.of(zip)));
        d.click("#choice-0");
        Driver.until("the sheet is open", d.window::hasPicture);
        d.settle();
        Path there = folder.resolve("night/night.ivrik");
        assertThat(ProjectFile.open(there).problems()).isEmpty();
        assertThat(d.window.session().project().sources().getFirst().path())
                .startsWith(folder.resolve("night/media").toString());
        Frame after = d.rendered();
        for (int c = 0; c < 3; c++) {
            assertThat(after.colour().get(c).sameSamples(before.colour().get(c))).isTrue();
        }
    }

    @Test
    void packingFaultsAreExplained() throws Exception {
        d.files.project = folder.resolve("no such folder/night.zip");
        Driver.run(() -> d.window.actions().packages().pack());
        Driver.until(
                "the message appears",
                () -> d.words().stream().anyMatch(w -> w.contains("does not exist")));
        Driver.run(() -> d.window.sheets().away());

        Path bad = Files.writeString(folder.resolve("bad.zip"), "no package");
        Driver.run(() -> d.window.take(List.of(bad)));
        d.click("#choice-0");
        Driver.until(
                "the message appears",
                () -> d.words().stream().anyMatch(w -> w.contains("is damaged")));
        assertThat(folder.resolve("bad")).doesNotExist();
        assertThat(d.window.hasPicture()).isTrue();
    }
}
