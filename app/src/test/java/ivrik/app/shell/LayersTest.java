package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.app.session.View.Face;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.Overscan;
import ivrik.core.look.Placement.Fit;
import ivrik.core.look.Section;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Background;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.rejoin.Blend;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;
import ivrik.media.encode.StillWriter;

import javafx.scene.control.ButtonBase;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextInputControl;
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

/**
 * Layers, their position and looks, titles, the sequence, overscan, channel pictures and channel times.
 */
class LayersTest {
    @TempDir Path folder;

    private Driver d;

    @BeforeEach
    void open() throws IOException {
        d = new Driver(Files.createDirectories(folder.resolve("data")));
        importFile("one.png", 0.3f);
    }

    @AfterEach
    void close() {
        d.close();
    }

    private void importFile(String name, float value) {
        Path file = folder.resolve(name);
        Plane p = Plane.flat(96, 54, value);
        for (int x = 40; x < 50; x++) {
            p.data()[20 * 96 + x] = 1;
        }
        StillWriter.write(Frame.opaque(p, p, p), file, Depth.INT8, Workers.shared());
        int before = Driver.on(() -> project().sources().size());
        Driver.run(() -> d.window.take(List.of(file)));
        Driver.until("the file is imported", () -> project().sources().size() > before);
        d.settle();
    }

    private Project project() {
        return d.window.session().project();
    }

    private Layer layer(int number) {
        return Driver.on(() -> project().layers().get(number));
    }

    private void command(String title) {
        Driver.run(
                () ->
                        Commands.of(d.window).stream()
                                .filter(c -> c.title().equals(title))
                                .findFirst()
                                .orElseThrow()
                                .action()
                                .run());
        d.settle();
    }

    private void fire(String id, String item) {
        Driver.run(
                () -> {
                    MenuButton menu = (MenuButton) d.look(id);
                    menu.show();
                    menu.getItems().stream()
                            .filter(i -> item.equals(i.getText()))
                            .findFirst()
                            .orElseThrow()
                            .fire();
                    menu.hide();
                });
        d.settle();
    }

    private void type(String id, String number) {
        Driver.run(() -> d.look(id).requestFocus());
        d.key(KeyCode.ENTER);
        d.type(number);
        d.key(KeyCode.ENTER);
        d.settle();
    }

    @Test
    void aLookOnASpanCoversAShotWhollyOrPartly() {
        importFile("two.png", 0.6f);
        d.go(100);
        Driver.run(() -> d.window.session().editLook("x", l -> BuiltInLooks.named("film-print")));
        command("Copy look");
        command("Add span over selected shots");
        Layer span = layer(1);
        assertThat(span.range()).isEqualTo(new FrameRange(96, 191));
        assertThat(span.clips().getFirst().isSpan()).isTrue();
        command("Paste look");
        assertThat(plain(layer(1).look())).isEqualTo(BuiltInLooks.named("film-print"));
        Driver.run(() -> d.window.session().undo());
        command("Paste from look: Whole-picture treatments");
        assertThat(plain(layer(1).look()).steps(Section.FINISH))
                .isEqualTo(BuiltInLooks.named("film-print").steps(Section.FINISH));
        assertThat(layer(1).look().dials()).isEmpty();
    }

    /** A pasted look without the place that its random numbers come from. */
    private static Look plain(Look pasted) {
        return pasted.withSteps(
                pasted.steps().stream()
                        .map(
                                s ->
                                        s.withChannels(
                                                s.channels().stream()
                                                        .map(a -> a.withOrigin(Optional.empty()))
                                                        .toList()))
                        .toList());
    }

    @Test
    void aTitleIsTypedStyledAndSplit() {
        d.key(KeyCode.CONTROL, KeyCode.T);
        d.settle();
        assertThat(layer(1).name()).isEqualTo("title");
        assertThat(Driver.on(() -> d.window.view().face.get())).isEqualTo(Face.LAYER);
        Driver.run(() -> ((TextInputControl) d.look("#title-text")).setText("LATE"));
        type("#title-size", "20");
        type("#title-tracking", "100");
        Source title = Driver.on(() -> project().source("title").orElseThrow());
        assertThat(title.title().orElseThrow().text()).isEqualTo("LATE");
        assertThat(title.title().orElseThrow().sizePx()).isEqualTo(20);
        assertThat(title.title().orElseThrow().tracking()).isEqualTo(100);
        d.key(KeyCode.Z);
        d.key(KeyCode.RIGHT);
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
        assertThat(layer(1).look().steps().getFirst().channels().getFirst().value("x").rest())
                .isEqualTo(1);
        assertThat(layer(0).look().steps().getFirst().channels().getFirst().value("x").rest())
                .as("the picture below is unchanged")
                .isZero();
    }

    @Test
    void typingLettersInATitleDoesNotStartCommands() {
        d.key(KeyCode.CONTROL, KeyCode.T);
        d.settle();
        Driver.run(
                () -> {
                    TextInputControl text = (TextInputControl) d.look("#title-text");
                    text.setText("");
                    text.requestFocus();
                });
        d.type("bed");
        assertThat(
                        Driver.on(
                                () ->
                                        project()
                                                .source("title")
                                                .orElseThrow()
                                                .title()
                                                .orElseThrow()
                                                .text()))
                .isEqualToIgnoringCase("bed");
        assertThat(Driver.on(() -> d.window.view().twoPanes.get())).isFalse();
    }

    @Test
    void aSolidIsTheLowestLayerAndLayersAreReordered() {
        command("Add solid colour");
        assertThat(layer(0).name()).isEqualTo("solid colour");
        fire("#layer", "Move up");
        assertThat(layer(1).name()).isEqualTo("solid colour");
        fire("#layer", "Delete layer");
        assertThat(Driver.on(() -> project().layers())).hasSize(1);
    }

    @Test
    void aPictureFromTheTrayBecomesTheTopLayer() {
        importFile("two.png", 0.9f);
        Driver.run(() -> d.window.layerActions().addOnTop(project().source("two").orElseThrow()));
        assertThat(layer(1).clips().getFirst().source()).isEqualTo("two");
        assertThat(layer(1).range().first()).isZero();
        d.settle();
        d.key(KeyCode.Z);
        d.key(KeyCode.RIGHT);
        assertThat(layer(0).look().steps().getFirst().channels().getFirst().value("x").rest())
                .as("the layer below is untreated")
                .isZero();
    }

    @Test
    void positionBlendOpacityAndTimeOfALayerAreEdited() {
        command("Add solid colour");
        fire("#layer-blend", "Multiply");
        fire("#layer-fit", "original size");
        type("#layer-x", "12");
        type("#layer-scale", "50");
        type("#layer-angle", "30");
        type("#layer-opacity", "40");
        type("#layer-in", "10");
        type("#layer-out", "19");
        Driver.run(() -> ((ButtonBase) d.look("#layer-flip-x")).fire());
        Layer solid = layer(0);
        assertThat(solid.blend()).isEqualTo(Blend.MULTIPLY);
        assertThat(solid.opacity().rest()).isEqualTo(0.4);
        assertThat(solid.placement().fit()).isEqualTo(Fit.ORIGINAL_SIZE);
        assertThat(solid.placement().x().rest()).isEqualTo(12);
        assertThat(solid.placement().scale().rest()).isEqualTo(0.5);
        assertThat(solid.placement().angleDegrees().rest()).isEqualTo(30);
        assertThat(solid.placement().flipX()).isTrue();
        assertThat(solid.range().first()).isEqualTo(10);
        assertThat(solid.range().last()).isEqualTo(19);
    }

    @Test
    void looksAreStackedSwitchedAndReordered() {
        fire("#look", "Add look after this");
        assertThat(layer(0).looks()).hasSize(2);
        assertThat(Driver.on(() -> d.window.session().state().lookNumber())).isEqualTo(1);
        d.key(KeyCode.RIGHT);
        assertThat(
                        layer(0).looks()
                                .get(1)
                                .look()
                                .steps()
                                .getFirst()
                                .channels()
                                .getFirst()
                                .value("x")
                                .rest())
                .isEqualTo(1);
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
        fire("#look", "Turn off");
        assertThat(d.text("#register")).isEqualTo("exact");
        d.key(KeyCode.RIGHT);
        assertThat(d.words()).anyMatch(w -> w.startsWith("No visible effect: look"));
        fire("#look", "Move earlier");
        assertThat(layer(0).looks().getFirst().on()).isFalse();
        fire("#look", "Remove look");
        assertThat(layer(0).looks()).hasSize(1);
    }

    @Test
    void overscanFollowsTheMovesAndNamesTheFrame() {
        d.click("#head-rejoin");
        Driver.until(
                "the measurement is done",
                () -> d.text("#overscan-text").equals("No uncovered edges."));
        d.key(KeyCode.SHIFT, KeyCode.RIGHT);
        Driver.until(
                "the measurement is done",
                () -> d.text("#overscan-text").contains("most at frame 0"));
        assertThat(d.text("#overscan-text")).contains("edges show");
        fire("#overscan", "automatic");
        assertThat(d.text("#overscan-text")).doesNotContain("edges show");
        assertThat(layer(0).look().overscan().kind()).isEqualTo(Overscan.Kind.AUTOMATIC);
        type("#overscan-scale", "103");
        assertThat(layer(0).look().overscan()).isEqualTo(new Overscan(Overscan.Kind.FIXED, 1.03));
        assertThat(d.text("#overscan-text")).contains("edges show");
        command("Crop sequence to covered area");
        assertThat(Driver.on(() -> project().sequence().size())).isEqualTo(new Size(86, 54));
    }

    @Test
    void theSequenceMayExceedThePicture() {
        command("Sequence settings...");
        type("#sequence-width", "200");
        type("#sequence-height", "100");
        fire("#sequence-background", "custom colour");
        fire("#sequence-background", "paper white");
        Driver.run(() -> ((ButtonBase) d.look("#sequence-done")).fire());
        d.settle();
        assertThat(Driver.on(() -> project().sequence().size())).isEqualTo(new Size(200, 100));
        assertThat(Driver.on(() -> project().sequence().background())).isEqualTo(Background.PAPER);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(Driver.on(() -> project().sequence().background().id())).isEqualTo("808080");
        assertThat(d.rendered().colour().get(1).at(0, 0)).isEqualTo(128 / 255f, within(1e-6f));
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(Driver.on(() -> project().sequence().background()))
                .isEqualTo(Background.TRANSPARENT);
    }

    @Test
    void aChannelUsesAnotherPictureAndAnotherTime() {
        importFile("two.png", 0.9f);
        d.key(KeyCode.N);
        fire("#red-picture", "two");
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
        type("#green-delay", "3");
        fire("#green-beyond", "wrap");
        var channels = layer(0).look().channels();
        assertThat(channels.get(0).channelSource().source()).isEqualTo("two");
        assertThat(channels.get(1).channelSource().delayFrames().rest()).isEqualTo(3);
        assertThat(channels.get(1).channelSource().outside()).isEqualTo(EdgeFill.WRAP);
        assertThat(d.text("#red-channel-source")).isEqualTo("source: two");
        assertThat(d.text("#green-channel-source")).isEqualTo("3 fr delayed");
        Driver.run(() -> d.window.session().selectChannel(0));
        type("#channel-source-scale", "60");
        assertThat(layer(0).look().channels().get(0).channelSource().placement().scale().rest())
                .isEqualTo(0.6);
    }

    @Test
    void aSavedProjectReopensComplete() {
        d.key(KeyCode.CONTROL, KeyCode.T);
        fire("#look", "Add look after this");
        command("CMYK");
        Project before = Driver.on(this::project);
        d.files.project = folder.resolve("kept.ivrik");
        d.key(KeyCode.CONTROL, KeyCode.S);
        Driver.run(() -> d.window.open(folder.resolve("kept.ivrik")));
        d.settle();
        assertThat(Driver.on(() -> project().layers())).isEqualTo(before.layers());
    }
}
