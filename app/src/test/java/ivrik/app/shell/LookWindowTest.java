package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.View;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;

import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Looks are found, previewed, applied and adjusted by their dials. */
class LookWindowTest {
    @TempDir Path folder;
    private Driver d;

    @BeforeEach
    void open() {
        d = new Driver(folder.resolve("data"));
        d.importFile(Material.still(folder, "one.png", 0.4));
        Driver.run(
                () -> d.window.session().editLook("Begin", l -> BuiltInLooks.named("rgb-split")));
    }

    @AfterEach
    void close() {
        d.close();
    }

    private Look look() {
        return d.window.session().state().look().orElseThrow();
    }

    private List<String> tiles() {
        return Driver.on(
                () ->
                        d.look("#find-look").getScene().getRoot().lookupAll(".tiles .card").stream()
                                .map(Node::getId)
                                .filter(id -> !id.startsWith("tile-own"))
                                .toList());
    }

    private Image picture(String id) {
        return Driver.on(
                () ->
                        ((ImageView) ((VBox) d.look("#tile-" + id)).getChildren().getFirst())
                                .getImage());
    }

    @Test
    void looksArePreviewedFoundAndApplied() {
        d.key(KeyCode.SHIFT, KeyCode.INSERT);
        assertThat(tiles()).hasSize(BuiltInLooks.shelf().size());
        Set<String> headings =
                Driver.on(
                        () ->
                                d
                                        .look("#find-look")
                                        .getScene()
                                        .getRoot()
                                        .lookupAll(".tile-heading")
                                        .stream()
                                        .map(n -> ((Label) n).getText())
                                        .collect(Collectors.toSet()));
        assertThat(headings).contains("Film and print", "Tape and CRT");
        d.type("phosphor");
        assertThat(tiles()).containsExactly("tile-crt");
        Driver.until("the thumbnail is rendered", () -> picture("crt") != null);
        d.key(KeyCode.RIGHT);
        d.key(KeyCode.ENTER);
        assertThat(look().name()).isEqualTo("crt");
        assertThat(d.window.view().band.get()).isEqualTo(View.Band.NONE);
        assertThat(d.window.view().face.get()).isEqualTo(View.Face.LOOK);
        MenuButton mask = (MenuButton) d.find("#dial-mask");
        assertThat(Driver.on(mask::getText)).isEqualTo("aperture grille");
        Driver.run(() -> mask.getItems().get(2).fire());
        assertThat(Driver.on(mask::getText)).isEqualTo("shadow mask");
        assertThat(look().dial("mask").value().rest()).isEqualTo(2);
    }

    @Test
    void aLookAppliedOnTopIsUndone() {
        int before = d.window.session().state().layer().orElseThrow().looks().size();
        Look under = look();
        d.key(KeyCode.SHIFT, KeyCode.INSERT);
        d.click("#add-on-top");
        d.type("halation");
        d.key(KeyCode.ENTER);
        assertThat(d.window.session().state().layer().orElseThrow().looks()).hasSize(before + 1);
        assertThat(look().name()).isEqualTo("halation");
        assertThat(d.window.session().state().layer().orElseThrow().looks().getFirst().look())
                .isEqualTo(under);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(d.window.session().state().layer().orElseThrow().looks()).hasSize(before);
    }

    @Test
    void theLookUnderThePointerPlaysAndStops() {
        d.key(KeyCode.SHIFT, KeyCode.INSERT);
        d.type("broken digital");
        assertThat(tiles()).containsExactly("tile-block-glitch", "tile-digital-breakup");
        Driver.until("the thumbnail is rendered", () -> picture("digital-breakup") != null);
        Image still = picture("digital-breakup");
        d.key(KeyCode.RIGHT);
        Driver.until("the handle moves", () -> picture("digital-breakup") != still);
        Image one = picture("digital-breakup");
        Driver.until("the value moves on", () -> picture("digital-breakup") != one);
        d.key(KeyCode.LEFT);
        assertThat(picture("digital-breakup")).isSameAs(still);
    }

    @Test
    void theTrayPreviewsEachLookOnTheFootage() {
        Driver.until("the pictures are rendered", () -> trayPicture("channel-trails") != null);
        assertThat(trayPicture("crt").getPixelReader().getArgb(3, 3))
                .isNotEqualTo(trayPicture("neutral").getPixelReader().getArgb(3, 3));
    }

    private Image trayPicture(String look) {
        return Driver.on(
                () -> ((ImageView) d.look("#look-" + look).lookup(".image-view")).getImage());
    }

    @Test
    void theCommandListFindsLooksAndTreatmentsByPurpose() {
        assertThat(found("grain")).contains("Grain", "Film print");
        assertThat(found("crt")).contains("CRT screen", "Phosphor screen");
        assertThat(found("chromatic aberration")).contains("RGB split", "Chromatic aberration");
        d.key(KeyCode.CONTROL, KeyCode.SPACE);
        d.type("channel trails");
        d.key(KeyCode.ENTER);
        assertThat(look().name()).isEqualTo("channel-trails");
    }

    private List<String> found(String words) {
        List<String> titles =
                Driver.on(
                        () -> {
                            d.window.commandList();
                            ((javafx.scene.control.TextField) d.look("#command-search"))
                                    .setText(words);
                            ListView<?> list =
                                    (ListView<?>)
                                            d.look("#command-search")
                                                    .getParent()
                                                    .lookup(".list-view");
                            return list.getItems().stream()
                                    .map(c -> ((ivrik.app.sheet.Command) c).title())
                                    .toList();
                        });
        d.key(KeyCode.ESCAPE);
        return titles;
    }
}
