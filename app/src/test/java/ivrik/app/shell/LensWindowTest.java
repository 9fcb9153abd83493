package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.look.Look;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.threads.Workers;
import ivrik.media.encode.StillWriter;

import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.Test;

import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.function.Predicate;

/** A lens is measured on the sheet, corrected, and applied to another picture. */
class LensWindowTest extends InAWindow {
    private static final int W = 480;
    private static final int H = 270;
    private static final double RED_K0 = 0.006;

    /** Soft discs; {@code out} is the enlargement of the channel. */
    private static Plane discs(double out) {
        Random random = new Random(3);
        double[][] discs = new double[120][3];
        for (double[] disc : discs) {
            disc[0] = (random.nextDouble() - 0.5) * W;
            disc[1] = (random.nextDouble() - 0.5) * H;
            disc[2] = 5 + 16 * random.nextDouble();
        }
        Plane plane = Plane.of(W, H);
        for (int y = 0; y < H; y++) {
            for (int x = 0; x < W; x++) {
                double fromX = (x + 0.5 - W / 2.0) / (1 + out);
                double fromY = (y + 0.5 - H / 2.0) / (1 + out);
                double v = 0.2;
                for (double[] disc : discs) {
                    double far = Math.hypot(fromX - disc[0], fromY - disc[1]) - disc[2];
                    v = Math.abs(v - 0.5 / (1 + Math.exp(2 * far)));
                }
                plane.data()[plane.row(y) + x] = (float) Math.clamp(v, 0, 1);
            }
        }
        return plane;
    }

    private Path fringed() {
        Path file = folder.resolve("fringed.png");
        Plane green = discs(0);
        Frame frame = Frame.opaque(discs(RED_K0), green, green);
        StillWriter.write(frame, file, Depth.INT8, Workers.shared());
        return file;
    }

    private void measure() {
        Driver.run(() -> d.window.sheetActions().lens());
        Driver.until(
                "the measurement is done", () -> !d.text("#lens-text").startsWith("Measuring"));
    }

    private Layer layer(Predicate<Layer> which) {
        return Driver.on(
                () ->
                        d.window.session().project().layers().stream()
                                .filter(which)
                                .findFirst()
                                .orElseThrow());
    }

    private static List<Look> looks(Layer of) {
        return of.looks().stream().map(LayerLook::look).toList();
    }

    private static double corner(Look look) {
        return List.of("k0", "k1", "k2").stream()
                .mapToDouble(k -> look.steps().getFirst().channels().getFirst().value(k).rest())
                .sum();
    }

    @Test
    void aLensIsCorrectedFirstAndReproducedLast() {
        d.importFile(fringed());
        measure();
        double px = RED_K0 * Math.hypot(W, H) / 2;
        assertThat(Double.parseDouble(d.text("#lens-red").split(" ")[1]))
                .isCloseTo(px, within(0.1));
        assertThat(d.text("#lens-blue")).contains("0.0").contains("\u00b1");
        d.click("#lens-off");
        List<Look> has = looks(layer(l -> true));
        assertThat(has).hasSize(2).extracting(Look::name).first().isEqualTo("lens-off");
        assertThat(corner(has.getFirst())).isCloseTo(-100 * RED_K0, within(0.04));

        String picture = layer(l -> true).id();
        Driver.run(() -> d.window.layerActions().newPlainColour());
        d.settle();
        Driver.run(() -> d.window.session().selectLayer(picture));
        measure();
        d.choose("#lens-where", layer(l -> !l.id().equals(picture)).name());
        d.click("#lens-on");
        List<Look> of = looks(layer(l -> !l.id().equals(picture)));
        assertThat(of).extracting(Look::name).last().isEqualTo("lens");
        assertThat(corner(of.getLast())).isCloseTo(100 * RED_K0, within(0.04));
    }

    @Test
    void aLensIsCorrectedInTheMeasuredShotOnlyUnlessAsked() {
        d.importFile(fringed());
        d.go(10);
        d.key(KeyCode.SLASH);
        List<Clip> shots = layer(l -> true).clips();
        assertThat(shots).hasSize(2);
        measure();
        d.click("#lens-off");
        assertThat(layer(l -> true).looks().getFirst().shots()).containsExactly(shots.get(1).id());
        d.key(KeyCode.CONTROL, KeyCode.Z);
        measure();
        d.choose("#lens-where", layer(l -> true).name() + ", all shots");
        d.click("#lens-off");
        assertThat(layer(l -> true).looks().getFirst().shots()).isEmpty();
    }

    @Test
    void aPictureWithoutStructureIsRefused() {
        d.importFile(Material.still(folder, "flat.png", 0.4));
        measure();
        assertThat(d.text("#lens-text")).contains("Too little detail");
        assertThat(d.find("#lens-off").isDisabled()).isTrue();
        d.click("#lens-close");
        assertThat(looks(layer(l -> true))).hasSize(1);
    }
}
