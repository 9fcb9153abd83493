package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.View;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;
import ivrik.media.encode.StillWriter;

import javafx.geometry.Point2D;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.Test;

import java.nio.file.Path;

/** Nothing of one project is carried over to the next. */
class AnotherProjectTest extends InAWindow {
    private void newProject() {
        d.key(KeyCode.CONTROL, KeyCode.N);
        d.settle();
        d.click("#choice-1"); // discard
        d.settle();
    }

    private Path still(String name, int width, int height) {
        Path file = folder.resolve(name);
        Plane plane = Plane.flat(width, height, 0.5f);
        StillWriter.write(Frame.opaque(plane, plane, plane), file, Depth.INT8, Workers.shared());
        return file;
    }

    @Test
    void theViewIsThatOfANewProject() {
        d.importFile(Material.still(folder, "a.png", 0.5));
        View view = d.window.view();
        Driver.run(
                () -> {
                    view.zoom.set(3);
                    view.centre.set(new Point2D(0.1, 0.9));
                    view.surround.set(View.Surround.WHITE);
                    view.nudge.set(5);
                    view.face.set(View.Face.REJOIN);
                });
        d.settle();
        ScrollPane controls = (ScrollPane) d.find("ControlsPanel");
        Driver.run(() -> controls.setVvalue(1));
        newProject();
        d.importFile(Material.still(folder, "b.png", 0.7));
        assertThat(view.zoom.get()).isZero();
        assertThat(view.centre.get()).isEqualTo(new Point2D(0.5, 0.5));
        assertThat(view.surround.get()).isEqualTo(View.Surround.BLACK);
        assertThat(view.nudge.get()).isEqualTo(1);
        assertThat(view.face.get()).isEqualTo(View.Face.TREATMENT);
        assertThat(Driver.on(controls::getVvalue)).isZero();
    }

    @Test
    void theZoomFieldFollowsTheSizeOfTheFirstClip() {
        d.importFile(still("wide.png", 3840, 2160));
        double zoom = Driver.on(() -> d.window.panes().first().zoom());
        assertThat(zoom).isLessThan(0.5);
        assertThat(d.text("#zoom")).isEqualTo(Math.round(100 * zoom) + " %");
    }

    @Test
    void actualSizeShowsAPixelOnEachDevicePixel() {
        d.importFile(still("large.png", 1920, 1080));
        Driver.run(
                () -> {
                    d.window.view().deviceScale.unbind();
                    d.window.view().deviceScale.set(2);
                });
        d.key(KeyCode.SHIFT, KeyCode.DIGIT0);
        assertThat(d.text("#zoom")).isEqualTo("100 %");
        assertThat(Driver.on(() -> d.window.panes().first().zoom())).isEqualTo(1);
    }

    @Test
    void exportSettingsOfAnUnnamedProjectAreNotOfferedToTheNext() {
        d.importFile(Material.still(folder, "a.png", 0.5));
        d.key(KeyCode.CONTROL, KeyCode.E);
        d.settle();
        Driver.run(
                () -> {
                    ((TextField) d.look("#export-to")).setText("2");
                    ((TextField) d.look("#export-target"))
                            .setText(folder.resolve("out.mkv").toString());
                });
        d.click("#export-start");
        Driver.until(
                "the file is written",
                () -> d.words().stream().anyMatch(w -> w.startsWith("Exported")));
        d.key(KeyCode.ESCAPE);
        newProject();
        d.importFile(Material.still(folder, "b.png", 0.7));
        d.key(KeyCode.SHIFT, KeyCode.K); // with a burst the project is a movie
        d.settle();
        d.key(KeyCode.CONTROL, KeyCode.E);
        d.settle();
        assertThat(d.text("#export-to"))
                .isEqualTo("" + d.window.session().project().allFrames().last());
        assertThat(d.text("#export-target")).doesNotContain(folder.toString());
    }

    @Test
    void undoingABurstLeavesTheControlsOfTheTreatment() {
        d.importFile(Material.still(folder, "a.png", 0.5));
        Driver.run(() -> d.window.view().face.set(View.Face.TREATMENT));
        Driver.run(() -> new BurstActions(d.window.session(), d.window.view()).add());
        d.settle();
        assertThat(d.window.view().face.get()).isEqualTo(View.Face.BURST);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        d.settle();
        assertThat(d.window.view().face.get()).isEqualTo(View.Face.TREATMENT);
        assertThat(d.find("#settings-negate").isVisible()).isTrue();
    }
}
