package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.Follow;
import ivrik.app.sheet.Command;
import ivrik.app.widget.NumberField;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.motion.Ease;
import ivrik.core.project.Project;
import ivrik.core.sampling.EdgeFill;

import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Parts of the window, each by keyboard and mouse, on a copy of the demo. */
class WindowTest {
    @TempDir Path folder;

    private Path project;
    private Driver d;

    @BeforeEach
    void aCopyOfTheDemo() throws IOException {
        project = Material.demo(folder);
        d = new Driver(Files.createDirectories(folder.resolve("data")));
    }

    @AfterEach
    void close() {
        d.close();
    }

    private void open() {
        Driver.run(() -> d.window.open(project));
        d.settle();
    }

    private Look look() {
        return d.selectedLook();
    }

    private double x(int channel, long frame) {
        return look().steps().getFirst().channels().get(channel).value("x").at(frame);
    }

    private void atFrame(long frame) {
        Driver.run(() -> d.window.view().frame.set(frame));
        d.settle();
    }

    @Test
    void theDemoOpensCompletely() {
        open();
        assertThat(d.words())
                .contains(
                        "Lantern Week",
                        "Red",
                        "Green",
                        "Blue",
                        "tram",
                        "lanterns",
                        "title",
                        "Shift",
                        "Separate RGB");
        assertThat(d.text("#register")).startsWith("differs by up to");
        assertThat(Driver.on(() -> d.window.session().isSaved())).isTrue();
    }

    @Test
    void thePadMirrorsTheOppositeChannelInOneUndoStep() {
        open();
        d.click("#follow-mirrored");
        Driver.run(() -> d.window.session().selectLayer("title"));
        atFrame(60);
        Node pad = d.find("#shift-pad");
        double before = x(0, 60);
        d.drag(
                pad,
                0.5
                        + 0.5
                                * before
                                / 8
                                * (pad.getLayoutBounds().getHeight()
                                        / pad.getLayoutBounds().getWidth())
                                * 0.85,
                0.5,
                30,
                0);
        assertThat(x(0, 60)).isGreaterThan(before);
        assertThat(x(2, 60)).isEqualTo(-x(0, 60));
        assertThat(x(1, 60)).isZero();
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(x(0, 60)).isEqualTo(before);
    }

    @Test
    void followMovesTheOtherChannelsExceptFixedOnes() {
        Look rest = BuiltInLooks.named("neutral");
        var to = new javafx.geometry.Point2D(4, -2);
        Look opposite = Follow.MIRRORED.moved(rest, "shift-1", 0, 0, to);
        assertThat(opposite.steps().getFirst().channels().get(2).value("x").rest()).isEqualTo(-4);
        assertThat(opposite.steps().getFirst().channels().get(1).value("x").rest()).isZero();
        Look together =
                Follow.TOGETHER.moved(
                        rest.withChannel(1, s -> s.withFixed(true)), "shift-1", 0, 0, to);
        assertThat(together.steps().getFirst().channels().get(2).value("y").rest()).isEqualTo(-2);
        assertThat(together.steps().getFirst().channels().get(1).value("y").rest()).isZero();
    }

    @Test
    void aNumberIsDraggedTypedAsASumSteppedAndReset() {
        open();
        Driver.run(() -> d.window.session().selectLayer("title"));
        d.settle();
        NumberField y = (NumberField) d.find("#green-y");
        d.click(y);
        d.key(KeyCode.ENTER);
        d.type("4.5+3");
        d.key(KeyCode.ENTER);
        assertThat(Driver.on(y::value)).isEqualTo(7.5);
        Driver.run(y::requestFocus);
        d.key(KeyCode.UP);
        assertThat(Driver.on(y::value)).isEqualTo(8.5);
        d.key(KeyCode.SHIFT, KeyCode.DOWN);
        assertThat(Driver.on(y::value)).isEqualTo(-1.5);
        d.drag(y, 0.5, 0.5, 20, 0);
        assertThat(Driver.on(y::value)).isEqualTo(3.5);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(Driver.on(y::value)).isEqualTo(-1.5);
        d.click(y, 0.5, 0.5, 2, MouseButton.PRIMARY);
        d.key(KeyCode.BACK_SPACE);
        d.key(KeyCode.ENTER);
        assertThat(Driver.on(y::value)).isZero();
    }

    @Test
    void keyframesAreAddedDraggedEasedAndDeletedByHand() {
        open();
        Driver.run(() -> d.window.session().selectLayer("title"));
        d.settle();
        Node time = d.find("TimeView");
        double width = time.getLayoutBounds().getWidth();
        double height = time.getLayoutBounds().getHeight();
        double at = (12 + (100.5) / 240 * (width - 24)) / width;
        double row = (28 + 31) / height;
        d.click(time, at, row, 2, MouseButton.PRIMARY);
        assertThat(look().steps().getFirst().channels().get(0).value("x").keyframeAt(100))
                .isPresent();
        int keyframes = look().steps().getFirst().channels().get(0).value("x").keyframes().size();
        d.drag(time, at, (28 + 31 - 3.0 / 33 * 21) / height, 4 * (width - 24) / 240 + 1, -8);
        var value = look().steps().getFirst().channels().get(0).value("x");
        assertThat(value.keyframeAt(104)).isPresent();
        assertThat(value.at(104)).isGreaterThan(3);
        assertThat(value.keyframes()).hasSize(keyframes);
        d.key(KeyCode.DELETE);
        assertThat(look().steps().getFirst().channels().get(0).value("x").keyframeAt(104))
                .isEmpty();
        assertThat(
                        look().steps()
                                .getFirst()
                                .channels()
                                .get(0)
                                .value("x")
                                .keyframes()
                                .getFirst()
                                .ease())
                .isEqualTo(Ease.SMOOTH);
    }

    @Test
    void theTitleNamesTheProject() {
        open();
        Label name = (Label) d.find(".project-name");
        assertThat(Driver.on(name::getText)).isEqualTo("Lantern Week");
        d.key(KeyCode.RIGHT);
        d.settle();
        assertThat(Driver.on(name::getText)).isEqualTo("Lantern Week");
    }

    @Test
    void anInvisibleEditIsExplained() {
        open();
        d.key(KeyCode.DIGIT2);
        d.key(KeyCode.RIGHT);
        d.settle();
        assertThat(d.words()).anyMatch(w -> w.contains("Green is fixed"));
        d.click("#green-fixed");
        d.key(KeyCode.RIGHT);
        d.settle();
        assertThat(d.words()).noneMatch(w -> w.contains("No visible effect"));
        d.click("#green-mute");
        d.key(KeyCode.RIGHT);
        d.settle();
        assertThat(d.words()).anyMatch(w -> w.contains("Green is muted"));
        d.key(KeyCode.M);
        d.key(KeyCode.X);
        d.key(KeyCode.RIGHT);
        d.settle();
        assertThat(d.words()).anyMatch(w -> w.contains("Shift is turned off"));
    }

    @Test
    void edgeFillRejoinAndLooksAreChosen() {
        open();
        Driver.run(
                () ->
                        ((javafx.scene.control.MenuButton) d.look("#edge-fill"))
                                .getItems()
                                .get(2)
                                .fire());
        assertThat(look().steps().getFirst().edgeFill()).isEqualTo(EdgeFill.MIRROR);
        d.click("#head-rejoin");
        Driver.run(
                () ->
                        ((javafx.scene.control.MenuButton) d.look("#rejoin-mode"))
                                .getItems()
                                .get(2)
                                .fire());
        assertThat(look().rejoin().id()).isEqualTo("screen");
        d.key(KeyCode.Z);
        Driver.run(() -> d.window.session().editLook("Rest", l -> BuiltInLooks.named("neutral")));
        Driver.run(() -> d.look("#look-rgb-split").requestFocus());
        d.key(KeyCode.ENTER);
        assertThat(look().name()).isEqualTo("rgb-split");
        NumberField dial = (NumberField) d.find("#dial-red-x");
        d.settle();
        assertThat(d.text("#register"))
                .startsWith("differs by up to"); // the text as the tray shows it
        Driver.run(() -> d.window.session().editLook("Rest", l -> BuiltInLooks.named("rgb-split")));
        d.settle();
        assertThat(d.text("#register"))
                .isEqualTo("exact"); // the layer of the title has no picture yet
        Driver.run(dial::requestFocus);
        d.key(KeyCode.ENTER);
        d.type("6");
        d.key(KeyCode.ENTER);
        assertThat(look().dial("red-x").value().rest()).isEqualTo(6);
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
    }

    @Test
    void theListHasEveryCommandAndKeysAreUnique() {
        open();
        List<String> keys = new ArrayList<>();
        Driver.run(
                () ->
                        Commands.of(d.window).stream()
                                .map(Command::keyText)
                                .filter(k -> !k.isEmpty())
                                .forEach(keys::add));
        assertThat(keys).doesNotHaveDuplicates().hasSizeGreaterThan(35);
        d.key(KeyCode.CONTROL, KeyCode.SPACE);
        d.type("loupe");
        d.key(KeyCode.ENTER);
        assertThat(Driver.on(() -> d.window.view().loupe.get())).isTrue();
        assertThat(Driver.on(() -> d.window.sheets().isShowing())).isFalse();
    }

    @Test
    void typingInAFieldRunsNoCommand() {
        open();
        Project before = Driver.on(() -> d.window.session().project());
        d.key(KeyCode.CONTROL, KeyCode.E);
        Node from = d.find("#export-from");
        d.click(from);
        d.type("mgx1 ");
        d.key(KeyCode.LEFT);
        assertThat(d.text("#export-from")).contains("mgx1");
        assertThat(Driver.on(() -> d.window.session().project())).isEqualTo(before);
        d.click("#export-start");
        Driver.pulses(3);
        assertThat(d.text("#export-text")).contains("Enter a first and a last frame");
        d.key(KeyCode.ESCAPE);
    }

    @Test
    void keysMoveThePlayhead() {
        open();
        atFrame(92);
        d.key(KeyCode.P);
        atFrame(90);
        d.key(KeyCode.CONTROL, KeyCode.DOWN);
        assertThat(Driver.on(() -> d.window.view().frame.get())).isEqualTo(92);
        d.key(KeyCode.CONTROL, KeyCode.DOWN);
        assertThat(Driver.on(() -> d.window.view().frame.get())).isEqualTo(96);
        d.key(KeyCode.OPEN_BRACKET);
        d.key(KeyCode.END);
        assertThat(Driver.on(() -> d.window.view().frame.get())).isEqualTo(239);
        d.key(KeyCode.HOME);
        assertThat(Driver.on(() -> d.window.view().frame.get())).isEqualTo(96);
        d.key(KeyCode.K);
        assertThat(Driver.on(() -> d.window.session().project().markers())).hasSize(2);
    }

    @Test
    void panelsFoldAndTheSchemeChanges() {
        open();
        d.key(KeyCode.T);
        assertThat(d.words()).doesNotContain("Footage");
        d.key(KeyCode.C);
        assertThat(d.words()).doesNotContain("mirrored");
        d.key(KeyCode.F);
        assertThat(d.words()).doesNotContain("Separate RGB");
        d.key(KeyCode.F);
        d.key(KeyCode.T);
        d.key(KeyCode.C);
        assertThat(d.words()).contains("Footage", "mirrored", "Separate RGB");
        Driver.run(() -> d.window.view().darkroom.set(false));
        Driver.pulses(2);
        assertThat(Driver.on(() -> d.look(".window").getScene().getStylesheets()))
                .anyMatch(sheet -> sheet.endsWith("proof.css"));
    }

    @Test
    void missingFootageIsExplainedAndRelinked() throws IOException {
        Path away = Files.move(folder.resolve("media/tram.webm"), folder.resolve("elsewhere.webm"));
        open();
        Driver.until("the tray shows the state", () -> d.words().contains("missing: relink"));
        d.files.source = away;
        d.settle();
        Driver.pulses(10);
        d.click("#source-tram");
        Driver.until("the state is restored", () -> !d.words().contains("missing: relink"));
        d.settle();
        assertThat(
                        Driver.on(
                                () ->
                                        d.window
                                                .session()
                                                .project()
                                                .source("tram")
                                                .orElseThrow()
                                                .path()))
                .isEqualTo(away.toString());
        assertThat(look().name()).isEqualTo("Night drift");
    }

    @Test
    void aDamagedProjectOpensPartlyAndIsNotOverwritten() throws IOException {
        String text = Files.readString(project);
        String damaged = text.substring(0, text.lastIndexOf("\"Title drift\"") + 20);
        Files.writeString(project, damaged);
        Driver.run(() -> d.window.open(project));
        Driver.until(
                "the message appears",
                () -> d.words().stream().anyMatch(w -> w.contains("was opened with errors")));
        d.click("#choice-0");
        d.settle();
        assertThat(Driver.on(() -> d.window.session().project().layer("shots"))).isPresent();
        assertThat(project).hasContent(damaged);
        assertThat(Driver.on(() -> d.window.session().isSaved())).isFalse();
    }

    @Test
    void aFailedSaveKeepsTheWork() {
        open();
        d.key(KeyCode.RIGHT);
        d.files.project = folder.resolve("no/such/place/p.ivrik");
        d.key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.S);
        Driver.until(
                "the message appears",
                () -> d.words().stream().anyMatch(w -> w.contains("does not exist")));
        d.click("#choice-0");
        assertThat(Driver.on(() -> d.window.session().undoName())).contains("Nudge Red");
    }

    @Test
    void importOfAFileThatIsNoFootageIsExplained() throws IOException {
        Path text = Files.writeString(folder.resolve("notes.png"), "only words");
        Driver.run(() -> d.window.take(List.of(text)));
        Driver.until(
                "the message appears",
                () -> d.words().stream().anyMatch(w -> w.contains("notes.png cannot be read")));
        assertThat(Driver.on(() -> d.window.session().project().isEmpty())).isTrue();
    }

    @Test
    void aHandleOnThePictureMovesItsChannel() {
        open();
        Driver.run(() -> d.window.session().selectLayer("title"));
        atFrame(60);
        d.key(KeyCode.DIGIT2);
        double before = x(1, 60);
        Node pane = d.find("PicturePane");
        d.drag(pane, 0.5, 0.5, 18, 0);
        assertThat(x(1, 60)).isGreaterThan(before + 10);
        assertThat(x(0, 60)).isEqualTo(3);
    }
}
