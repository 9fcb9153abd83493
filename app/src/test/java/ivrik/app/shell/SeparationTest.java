package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.View.Band;
import ivrik.app.session.View.Face;
import ivrik.core.look.Look;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.Ink;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Workers;
import ivrik.media.decode.MovieReader;
import ivrik.media.encode.StillWriter;

import javafx.scene.control.ButtonBase;
import javafx.scene.control.CheckBox;
import javafx.scene.control.MenuButton;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Other separations and other ways of rejoining, in the window. */
class SeparationTest {
    private static final String EXACT = "exact|differs by less than 1/65535";

    @TempDir Path folder;

    private Driver d;

    @BeforeEach
    void open() throws IOException {
        d = new Driver(Files.createDirectories(folder.resolve("data")));
        Path file = folder.resolve("patch.png");
        Plane r = Plane.flat(64, 36, 1f);
        Plane g = Plane.flat(64, 36, 0.4f);
        Plane b = Plane.flat(64, 36, 0.2f);
        for (int x = 0; x < 32; x++) {
            for (int y = 0; y < 36; y++) {
                b.data()[y * 64 + x] = 0.8f;
            }
        }
        StillWriter.write(Frame.opaque(r, g, b), file, Depth.INT8, Workers.shared());
        Driver.run(() -> d.window.take(List.of(file)));
        Driver.until(
                "the file is imported", () -> !d.window.session().project().layers().isEmpty());
        d.settle();
    }

    @AfterEach
    void close() {
        d.close();
    }

    private Look look() {
        return d.selectedLook();
    }

    private void separate(Separation model) {
        Driver.run(() -> ((ButtonBase) d.look("#model-" + model.id())).fire());
        d.settle();
    }

    private void fire(String id, String item) {
        Driver.run(
                () ->
                        ((MenuButton) d.look(id))
                                .getItems().stream()
                                        .filter(i -> i.getText().equals(item))
                                        .findFirst()
                                        .orElseThrow()
                                        .fire());
        d.settle();
    }

    @Test
    void everyUntouchedModelIsReportedExact() {
        d.click("#head-separate");
        for (Separation model : Separations.all()) {
            separate(model);
            assertThat(look().separation()).isEqualTo(model.id());
            assertThat(d.text("#register")).as(model.id()).matches(EXACT);
            for (var channel : model.channels()) {
                assertThat(d.find("#" + channel.id() + "-solo")).as(channel.id()).isNotNull();
                assertThat(d.find("#rejoin-" + channel.id())).isNotNull();
            }
        }
    }

    @Test
    void aChannelOfAnyModelIsNudgedAndShownAlone() {
        d.key(KeyCode.N);
        assertThat(Driver.on(() -> d.window.view().face.get())).isEqualTo(Face.SEPARATE);
        separate(Separations.named("cmyk"));
        d.key(KeyCode.DIGIT4);
        assertThat(d.words()).contains("editing Key, Shift");
        d.key(KeyCode.DIGIT3);
        d.key(KeyCode.RIGHT);
        assertThat(d.channels().get(2).value("x").rest()).isEqualTo(1);
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
        d.key(KeyCode.A);
        assertThat(d.words()).contains("Channel in grey");
        d.key(KeyCode.CONTROL, KeyCode.Z);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(look().separation()).isEqualTo("rgb");
    }

    @Test
    void settingsWithoutCounterpartAreNamedAndReturn() {
        d.key(KeyCode.RIGHT);
        d.key(KeyCode.N);
        separate(Separations.named("oklab"));
        assertThat(d.words()).anyMatch(w -> w.startsWith("Kept for RGB: Red"));
        assertThat(d.channels().getFirst().value("x").rest()).isZero();
        separate(Separations.named("rgb"));
        assertThat(d.channels().getFirst().value("x").rest()).isEqualTo(1);
    }

    @Test
    void blackGenerationIsEdited() {
        d.key(KeyCode.N);
        separate(Separations.named("cmyk"));
        Driver.run(() -> d.look("#black-generation").requestFocus());
        d.key(KeyCode.ENTER);
        d.type("40");
        d.key(KeyCode.ENTER);
        assertThat(look().separation()).isEqualTo("cmyk:0.4");
        d.settle();
        assertThat(d.text("#register")).matches(EXACT);
    }

    @Test
    void customPrimariesComeFromWellsAndFromThePicture() {
        d.key(KeyCode.N);
        Driver.run(() -> ((ButtonBase) d.look("#model-primaries")).fire());
        d.settle();
        assertThat(look().separation()).startsWith("primaries:");
        assertThat(d.text("#register")).matches(EXACT);
        Driver.run(() -> ((ButtonBase) d.look("#primaries-sample-0")).fire());
        d.click(d.find("PicturePane"), 0.7, 0.5, 1, javafx.scene.input.MouseButton.PRIMARY);
        d.settle();
        assertThat(look().separation()).startsWith("primaries:ff6633,");
        Driver.run(() -> ((CheckBox) d.look("#primaries-linear")).fire());
        d.settle();
        assertThat(look().separation()).endsWith(",linear");
        assertThat(d.text("#primaries-condition")).startsWith("condition number ");
        assertThat(d.text("#register")).matches(EXACT);
    }

    @Test
    void coplanarPrimariesAreRefusedAndTheNearestOffered() {
        d.key(KeyCode.N);
        Driver.run(() -> ((ButtonBase) d.look("#model-primaries")).fire());
        d.settle();
        for (int i = 0; i < 2; i++) {
            int number = i;
            Driver.run(() -> ((ButtonBase) d.look("#primaries-sample-" + number)).fire());
            d.click(d.find("PicturePane"), 0.7, 0.5, 1, javafx.scene.input.MouseButton.PRIMARY);
            d.settle();
        }
        assertThat(d.text("#primaries-refusal"))
                .contains("linearly dependent")
                .contains("condition number");
        String kept = look().separation();
        assertThat(kept).doesNotMatch("primaries:ff6633,ff6633,.*");
        Driver.run(() -> ((ButtonBase) d.look("#primaries-nearest")).fire());
        d.settle();
        assertThat(look().separation()).isNotEqualTo(kept);
        assertThat(d.text("#register")).matches(EXACT);
    }

    @Test
    void inksStrengthsBlendsAndOrderAreSetInTheRejoinControls() {
        d.click("#head-rejoin");
        fire("#rejoin-mode", "Screen");
        fire("#green-blend", "Multiply");
        Driver.run(() -> d.look("#blue-strength").requestFocus());
        d.key(KeyCode.ENTER);
        d.type("50");
        d.key(KeyCode.ENTER);
        Driver.run(() -> ((ButtonBase) d.look("#up-2")).fire());
        assertThat(look().rejoin().id()).isEqualTo("screen");
        assertThat(look().channels().get(1).blend()).contains(Blend.MULTIPLY);
        assertThat(look().channels().get(2).strength().rest()).isEqualTo(0.5);
        assertThat(look().order()).containsExactly(0, 2, 1);
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
        Driver.run(() -> ((ButtonBase) d.look("#red-ink")).fire());
        Driver.pulses(3);
        d.type("00ff80");
        d.key(KeyCode.ENTER);
        Driver.until(
                "the ink is taken",
                () ->
                        d.window
                                .session()
                                .state()
                                .look()
                                .orElseThrow()
                                .channels()
                                .getFirst()
                                .ink()
                                .equals(Optional.of(Ink.parse("00ff80"))));
    }

    @Test
    void theBlendSheetPreviewsByArrowsAndAppliesByEnter() {
        d.key(KeyCode.E);
        d.settle();
        assertThat(Driver.on(() -> d.window.view().band.get())).isEqualTo(Band.BLENDS);
        Driver.until("the sheet receives the keys", () -> d.look(".tiles").getScene() != null);
        Driver.pulses(3);
        d.key(KeyCode.RIGHT);
        d.key(KeyCode.RIGHT);
        assertThat(Driver.on(() -> d.window.view().trial.get())).isNotNull();
        d.settle();
        assertThat(look().rejoin().id()).as("only tried").isEqualTo("exact");
        d.key(KeyCode.ENTER);
        d.settle();
        assertThat(look().rejoin().id()).isEqualTo("screen");
        assertThat(Driver.on(() -> d.window.view().band.get())).isEqualTo(Band.NONE);
        assertThat(Driver.on(() -> d.window.session().undoName())).contains("Rejoin: screen");
        d.key(KeyCode.RIGHT);
        assertThat(d.channels().getFirst().value("x").rest()).as("arrows nudge again").isEqualTo(1);
    }

    @Test
    void theBlendSheetSetsTheLookBlendAndEscapeCancels() {
        Look before = look();
        d.key(KeyCode.E);
        d.settle();
        Driver.run(() -> ((ButtonBase) d.look("#blend-picture")).fire());
        Driver.pulses(3);
        d.move(d.find("#tile-difference"), 0.5, 0.4);
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
        Driver.run(() -> d.look(".tiles").getParent().requestFocus());
        d.move(d.find("PicturePane"), 0.5, 0.2);
        d.key(KeyCode.ESCAPE);
        d.settle();
        assertThat(look()).isEqualTo(before);
        d.key(KeyCode.E);
        d.settle();
        Driver.run(() -> ((ButtonBase) d.look("#blend-picture")).fire());
        Driver.pulses(3);
        d.click("#tile-multiply");
        assertThat(look().blend().mode()).isEqualTo(Blend.MULTIPLY);
    }

    @Test
    void channelCombinationsShowEachChannelEachPairAndAllAndAreSavedAsAPicture() {
        d.key(KeyCode.I);
        d.settle();
        assertThat(d.words())
                .contains("R", "G", "B", "R and G", "R and B", "G and B", "All channels");
        d.click("#tile-r");
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
        assertThat(look().channels().get(1).mute()).isFalse();
        d.files.project = folder.resolve("combinations.png");
        Driver.run(() -> ((ButtonBase) d.look("#save-channel-combinations")).fire());
        Driver.until("the project is saved", () -> d.words().contains("Saved"));
        try (MovieReader saved =
                new MovieReader(folder.resolve("combinations.png"), Workers.shared())) {
            Plane picture = saved.frame(0).colour().getFirst();
            float brightest = 0;
            int below = picture.height() - 12 - 34;
            for (int i = picture.row(below); i < picture.row(below + 34); i++) {
                brightest = Math.max(brightest, picture.data()[i]);
            }
            assertThat(brightest).as("labels under the pictures").isGreaterThan(0.9f);
        }
        d.click("#choice-0");
        Driver.until("the file is read", () -> !d.window.sheets().isShowing());
        d.key(KeyCode.I);
        d.settle();
        assertThat(Driver.on(() -> d.window.view().band.get())).isEqualTo(Band.NONE);
        assertThat(d.text("#register")).matches(EXACT);
    }
}
