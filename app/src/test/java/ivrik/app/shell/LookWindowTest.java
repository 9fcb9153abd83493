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

/** Looks found, seen, laid on and turned by their dials. */
class LookWindowTest {
    @TempDir Path folder;
    private Driver d;

    @BeforeEach
    void open() {
        d = new Driver(folder.resolve("data"));
        d.bringIn(Material.still(folder, "one.png", 0.4));
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
    void looksAreSeenOnThisFrameFoundByTheirWordsAndLaidOn() {
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
        assertThat(headings).contains("Film and print", "Tape and screens");
        d.type("phosphor");
        assertThat(tiles()).containsExactly("tile-tube");
        Driver.until("the small picture is there", () -> picture("tube") != null);
        d.key(KeyCode.RIGHT);
        d.key(KeyCode.ENTER);
        assertThat(look().name()).isEqualTo("tube");
        assertThat(d.window.view().band.get()).isEqualTo(View.Band.NONE);
        assertThat(d.window.view().face.get()).isEqualTo(View.Face.LOOK);
        MenuButton mask = (MenuButton) d.find("#dial-mask");
        assertThat(Driver.on(mask::getText)).isEqualTo("grille");
        Driver.run(() -> mask.getItems().get(2).fire());
        assertThat(Driver.on(mask::getText)).isEqualTo("triad");
        assertThat(look().dial("mask").value().rest()).isEqualTo(2);
    }

    @Test
    void onTopItIsOneMoreLookAndUndoTakesItAway() {
        int before = d.window.session().state().layer().orElseThrow().looks().size();
        Look under = look();
        d.key(KeyCode.SHIFT, KeyCode.INSERT);
        d.click("#lay-over");
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
    void theOneThatIsRestedOnMovesAndIsStillAgainAfterwards() {
        d.key(KeyCode.SHIFT, KeyCode.INSERT);
        d.type("broken signal");
        assertThat(tiles()).containsExactly("tile-block-glitch", "tile-bad-signal");
        Driver.until("the small picture is there", () -> picture("bad-signal") != null);
        Image still = picture("bad-signal");
        d.key(KeyCode.RIGHT);
        Driver.until("it moves", () -> picture("bad-signal") != still);
        Image one = picture("bad-signal");
        Driver.until("it moves on", () -> picture("bad-signal") != one);
        d.key(KeyCode.LEFT);
        assertThat(picture("bad-signal")).isSameAs(still);
    }

    @Test
    void theTrayShowsWhatEachLookMakesOfTheFootage() {
        Driver.until("they are made", () -> trayPicture("ghost-trail") != null);
        assertThat(trayPicture("tube").getPixelReader().getArgb(3, 3))
                .isNotEqualTo(trayPicture("in-register").getPixelReader().getArgb(3, 3));
    }

    private Image trayPicture(String look) {
        return Driver.on(
                () -> ((ImageView) d.look("#look-" + look).lookup(".image-view")).getImage());
    }

    @Test
    void theCommandListFindsLooksAndTreatmentsByWhatTheyAreFor() {
        assertThat(found("grain")).contains("Grain", "Film");
        assertThat(found("crt")).contains("Tube", "Phosphors");
        assertThat(found("chromatic aberration")).contains("RGB split", "Lens fringe");
        d.key(KeyCode.CONTROL, KeyCode.SPACE);
        d.type("ghost trail");
        d.key(KeyCode.ENTER);
        assertThat(look().name()).isEqualTo("ghost-trail");
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
