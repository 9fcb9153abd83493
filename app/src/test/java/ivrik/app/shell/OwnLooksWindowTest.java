package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.json.LookJson;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Burst;
import ivrik.core.look.Dial;
import ivrik.core.look.ListEdits;
import ivrik.core.look.Look;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;
import ivrik.core.project.LayerLook;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.SlopeOffsetPower;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Looks of the user: saved, found in another project, exported and imported. */
class OwnLooksWindowTest extends OneFrame {
    private Path kept(String name) {
        return folder.resolve("data/looks/" + name + ".look.json");
    }

    private void openSheet(String title) {
        Driver.run(() -> d.window.actions().looks().save());
        Driver.run(() -> ((TextField) d.find("#save-title")).setText(title));
    }

    private void keep(String title) {
        openSheet(title);
        d.click("#save-own");
        Driver.until(
                "the tray shows the file", () -> d.look("#look-" + title.toLowerCase()) != null);
    }

    private static Image picture(Node card) {
        return ((ImageView) card.lookup(".image-view")).getImage();
    }

    private Node card(String name) {
        return d.find("#look-" + name);
    }

    private static Look read(Path file) throws IOException {
        return LookJson.read(Files.readString(file)).look();
    }

    @Test
    void aChangedBuiltInLookIsSavedUnderAnotherName() throws IOException {
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "RGB split",
                                        l -> BuiltInLooks.named("rgb-split").withDial("red-x", 9)));
        add(new Grain());
        openSheet("RGB split");
        assertThat(((Button) d.find("#save-own")).isDisabled()).isTrue();
        assertThat(d.words()).anyMatch(w -> w.contains("A built-in look has this name"));
        Driver.run(() -> ((TextInputControl) d.find("#save-title")).setText("Amber"));
        Driver.run(() -> ((TextInputControl) d.find("#save-tags")).setText("night, soft ,night"));
        Driver.run(() -> ((TextInputControl) d.find("#save-note")).setText("For the square."));
        assertThat(d.words()).anyMatch(w -> w.contains("Red x: "));
        d.click("#save-own");
        Driver.until("the tray shows the file", () -> d.look("#look-amber") != null);

        Look kept = read(kept("amber"));
        assertThat(kept.displayName()).isEqualTo("Amber");
        assertThat(kept.tags()).containsExactly("night", "soft");
        assertThat(kept.note()).isEqualTo("For the square.");
        assertThat(kept.dial("red-x").value().rest()).isEqualTo(9);
        assertThat(kept.steps()).hasSize(2);
        assertThat(look().displayName()).as("the current look is the take").isEqualTo("Amber");
    }

    @Test
    void aSavedLookDescribesItselfAndItsKeyframedDialsRest() throws IOException {
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "Split",
                                        l ->
                                                BuiltInLooks.named("rgb-split")
                                                        .withDials(
                                                                moving(
                                                                        BuiltInLooks.named(
                                                                                "rgb-split")))));
        keep("Amber");
        Look kept = read(kept("amber"));
        assertThat(kept.note()).isEqualTo("Shift in RGB.");
        assertThat(kept.tags()).isEmpty();
        assertThat(kept.dials().getFirst().value()).isEqualTo(Value.of(0));
        assertThat(look().dials().getFirst().value().isMoving()).isTrue();

        openSheet("Violet");
        Driver.run(() -> ((CheckBox) d.find("#save-movement")).fire());
        d.click("#save-own");
        Driver.until("the tray shows the look", () -> d.look("#look-violet") != null);
        assertThat(read(kept("violet")).dials().getFirst().value().isMoving()).isTrue();
    }

    private static List<Dial> moving(Look look) {
        Value moving =
                Value.of(1)
                        .with(new Keyframe(0, 0, Ease.LINEAR))
                        .with(new Keyframe(8, 5, Ease.LINEAR));
        return ListEdits.with(look.dials(), 0, look.dials().getFirst().withValue(moving));
    }

    @Test
    void savedLooksAppearInOtherProjects() {
        add(new Grain());
        keep("Amber");
        d.close();
        d = new Driver(folder.resolve("data"));
        Driver.until("the tray shows the file", () -> d.look("#look-amber") != null);
        assertThat(Driver.on(() -> picture(card("amber")).getWidth()))
                .as("the stored picture, without footage")
                .isEqualTo(192);
        d.importFile(Material.still(folder, "grey.png", 0.5));
        Driver.run(() -> card("amber").requestFocus());
        d.key(KeyCode.ENTER);
        d.settle();
        assertThat(columns()).contains("grain");
        assertThat(look().displayName()).isEqualTo("Amber");

        Driver.run(() -> d.window.view().band.set(ivrik.app.session.View.Band.LOOKS));
        d.settle();
        assertThat(d.words()).contains("Your looks");
    }

    @Test
    void aLookIsExportedAndImported() throws IOException {
        add(new Grain());
        d.files.project = folder.resolve("given.json");
        openSheet("Given away");
        d.click("#save-to-file");
        Path given = folder.resolve("given.look.json");
        Driver.until("the file is written", () -> Files.exists(given));
        assertThat(kept("given-away")).doesNotExist();

        Driver.run(() -> d.window.take(List.of(given)));
        Driver.until("the tray shows the file", () -> d.look("#look-given-away") != null);
        assertThat(kept("given-away")).hasSameTextualContentAs(given);
        assertThat(d.window.session().project().sources()).as("no footage").hasSize(1);

        d.fromMenu("look-given-away", "Delete...");
        assertThat(d.words()).anyMatch(w -> w.startsWith("Delete Given away"));
        d.click("#choice-1");
        Driver.until("the item is gone", () -> d.look("#look-given-away") == null);
        assertThat(kept("given-away")).doesNotExist();
        assertThat(given).exists();
    }

    /**
     * A look file from another version or edited by hand: known parts are read, unknown parts are listed.
     */
    @Test
    void unknownPartsAreListedAndOmitted() throws IOException {
        add(new Grain());
        Look look = look().withName("odd").withTitle("Odd");
        Path file =
                Files.writeString(
                        folder.resolve("odd.look.json"),
                        LookJson.write(look).replace("\"grain\"", "\"moonlight\""));
        Driver.run(() -> d.window.take(List.of(file)));
        Driver.until(
                "the message appears",
                () -> d.words().stream().anyMatch(w -> w.contains("moonlight")));
        assertThat(d.words()).anyMatch(w -> w.startsWith("odd.look.json was opened with errors"));
        assertThat(read(kept("odd")).steps()).hasSize(look.steps().size() - 1);
    }

    @Test
    void savedLooksOmitReferencesToTheProject() throws IOException {
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "channel-source",
                                        l ->
                                                l.withChannel(
                                                        1,
                                                        s ->
                                                                s.withChannelSource(
                                                                        s.channelSource()
                                                                                .withSource(
                                                                                        "tram")))));
        Burst parting = Burst.of("parting", new Anchor.AtCut("clip-7"), 3);
        Driver.run(() -> d.window.session().editLook("burst", l -> l.withBurst(parting)));
        keep("Amber");
        assertThat(read(kept("amber")).channels().get(1).channelSource().source()).isEmpty();
        assertThat(read(kept("amber")).bursts().getFirst().anchor())
                .isEqualTo(new Anchor.AtFrame(0));
        assertThat(look().bursts().getFirst().anchor()).isEqualTo(parting.anchor());
        assertThat(look().channels().get(1).channelSource().source()).isEqualTo("tram");
    }

    /** Two looks of one name stay apart, and no look is replaced without a question. */
    @Test
    void aLookOfTheSameNameIsNotReplacedUnasked() throws IOException {
        add(new Grain());
        keep("Amber");
        Path other = folder.resolve("other.look.json");
        Files.writeString(
                other,
                LookJson.write(BuiltInLooks.named("swap").withName("amber").withTitle("Amber")));
        Driver.run(() -> d.window.take(List.of(other)));
        Driver.until(
                "the question appears",
                () -> d.words().stream().anyMatch(w -> w.contains("already")));
        d.click("#choice-0");
        assertThat(read(kept("amber")).steps()).extracting("treatment").contains("grain");

        Path crt = folder.resolve("crt.look.json");
        Files.writeString(crt, LookJson.write(BuiltInLooks.named("crt")));
        Driver.run(() -> d.window.take(List.of(crt)));
        Driver.until("the copy has its own name", () -> d.look("#look-crt-screen-2") != null);
        Driver.run(() -> card("crt-screen-2").requestFocus());
        d.key(KeyCode.ENTER);
        d.settle();
        assertThat(d.window.session().state().layer().orElseThrow().looks())
                .extracting(LayerLook::look)
                .extracting(Look::name)
                .containsExactly("crt-screen-2");
    }

    /**
     * The file ending selects a decision list or a table; the window lists what a table cannot hold.
     */
    @Test
    void theColoursOfALookAreExportedAsATable() throws IOException {
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "Grade",
                                        l ->
                                                Look.atRest(
                                                                "grade",
                                                                new Rgb(),
                                                                new SlopeOffsetPower())
                                                        .withSettings(
                                                                0,
                                                                0,
                                                                a ->
                                                                        a.with(
                                                                                "offset-red",
                                                                                Value.of(0.25)))));
        d.files.project = folder.resolve("grade");
        Driver.run(() -> d.window.actions().grades().save());
        Path table = folder.resolve("grade.cube");
        Driver.until("the file is written", () -> Files.exists(table));
        assertThat(Files.readString(table)).contains("LUT_3D_SIZE 33");
        d.files.project = folder.resolve("grade.cc");
        Driver.run(() -> d.window.actions().grades().save());
        Driver.until("the file is written", () -> Files.exists(folder.resolve("grade.cc")));
        assertThat(Files.readString(folder.resolve("grade.cc")))
                .contains("<Offset>0.250000 0.000000 0.000000</Offset>");

        add(new Grain());
        d.files.project = folder.resolve("grain.cube");
        Driver.run(() -> d.window.actions().grades().save());
        Driver.until("the message appears", () -> d.words().contains("The command failed"));
        assertThat(folder.resolve("grain.cube")).doesNotExist();
    }

    /**
     * A dropped table becomes a new step, or replaces the table of the selected lookup step; a damaged table
     * changes nothing.
     */
    @Test
    void aDroppedTableIsApplied() throws IOException {
        Path table = folder.resolve("Blue hour.cube");
        Files.writeString(table, "LUT_1D_SIZE 2\n0 0 0.2\n0.8 0.9 1\n");
        Driver.run(() -> d.window.take(List.of(table)));
        Driver.until("the layer is added", () -> looks().size() == 2);
        d.settle();
        assertThat(look().steps().getFirst().table().orElseThrow().name())
                .isEqualTo("Blue hour.cube");
        assertThat(d.words()).contains("Custom table: Blue hour.cube");

        Path other = folder.resolve("other.cube");
        Files.writeString(other, "TITLE \"Amber hour\"\nLUT_1D_SIZE 2\n0 0 0\n1 0.9 0.7\n");
        Driver.run(() -> d.window.take(List.of(other)));
        Driver.until("the item appears", () -> d.words().contains("Custom table: Amber hour"));
        assertThat(looks()).hasSize(2);

        Files.writeString(other, "LUT_1D_SIZE 2\n0 0 0\n1 0.9\n");
        Driver.run(() -> d.window.take(List.of(other)));
        Driver.until(
                "the message appears",
                () -> d.words().stream().anyMatch(w -> w.contains("line 3")));
        assertThat(look().steps().getFirst().table().orElseThrow().name()).isEqualTo("Amber hour");
    }

    /**
     * The system dialog asks about the name without its ending; Ivrik asks about the final name.
     */
    @Test
    void aFileNameCompletedByItsEndingIsNotReplacedUnasked() throws IOException {
        Path there = Files.writeString(folder.resolve("mine.look.json"), "of before");
        d.files.project = folder.resolve("mine");
        openSheet("Amber");
        d.click("#save-to-file");
        Driver.until(
                "the question appears", () -> d.words().contains("mine.look.json already exists"));
        d.click("#choice-0");
        assertThat(there).hasContent("of before");
        openSheet("Amber");
        d.click("#save-to-file");
        d.click("#choice-1");
        Driver.until("the file is written", () -> d.window.view().notice.get().startsWith("Saved"));
        assertThat(read(there).title()).isEqualTo("Amber");
    }

    private List<LayerLook> looks() {
        return d.window.session().state().layer().orElseThrow().looks();
    }
}
