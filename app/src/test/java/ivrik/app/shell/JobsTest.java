package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Project;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.render.Planner;
import ivrik.core.separation.Ink;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Settings;
import ivrik.media.decode.MovieReader;
import ivrik.media.encode.StillWriter;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.LongStream;

/**
 * Whole jobs from an empty window to an exported file, each within a number of actions. An action is a key
 * with its modifiers, a click, a drag, a drop of files or a typed word.
 */
class JobsTest extends InAWindow {
    private final String home = System.getProperty("user.home");
    private int actions;

    @BeforeEach
    void exportsGoHere() {
        System.setProperty("user.home", folder.toString());
    }

    @AfterEach
    void homeAgain() {
        System.setProperty("user.home", home);
    }

    private void drop(Path... files) {
        actions++;
        int before = Driver.on(() -> project().sources().size());
        Driver.run(() -> d.window.take(List.of(files)));
        Driver.until(
                "the files are imported",
                () -> project().sources().size() == before + files.length);
        d.settle();
    }

    private void key(KeyCode... keys) {
        actions++;
        d.key(keys);
    }

    private void type(String words) {
        actions++;
        d.type(words);
    }

    private void click(String what) {
        actions++;
        d.click(what);
    }

    private void twice(Node what, double x, double y) {
        actions++;
        d.click(what, x, y, 2, MouseButton.PRIMARY);
    }

    /**
     * Applies a look from the tray, or from the sheet of all looks if the tray does not show it.
     */
    private void look(String name) {
        Node card = d.find("#look-" + name);
        double desk = Driver.on(() -> top(d.find("#head-separate")));
        if (Driver.on(() -> top(card)) < desk - 40) {
            twice(card, 0.5, 0.5);
        } else {
            key(KeyCode.SHIFT, KeyCode.INSERT);
            d.settle();
            type(name.replace('-', ' '));
            d.settle();
            key(KeyCode.ENTER);
        }
        d.settle();
    }

    private static double top(Node node) {
        return node.localToScene(0, 0).getY();
    }

    /** Types a number after a double-click on its field. */
    private void number(String field, String to) {
        twice(d.find(field), 0.5, 0.5);
        type(to);
        d.key(KeyCode.ENTER); // ends the word
        d.settle();
    }

    /** Opens a menu and chooses an item. */
    private void choose(String menu, String item) {
        actions += 2;
        d.choose(menu, item);
    }

    /** Sets the colour of a colour well. */
    private void ink(String well, Ink ink) {
        actions += 2; // one for the well, one for the colour
        Driver.run(() -> ((Button) d.find(well)).fire());
        Driver.run(
                () -> {
                    Node plain =
                            ((javafx.scene.Parent) d.inMenu(".ink-menu"))
                                    .lookupAll(".button").stream()
                                            .filter(b -> ink.hex().equals(b.getAccessibleText()))
                                            .findFirst()
                                            .orElseThrow();
                    ((Button) plain).fire();
                });
        d.settle();
    }

    private void export() {
        key(KeyCode.CONTROL, KeyCode.E);
        key(KeyCode.ENTER);
        Driver.until("the file is exported", () -> d.text("#export-text").startsWith("Exported"));
        try (var files = Files.list(folder)) {
            assertThat(files.map(Path::toString).filter(f -> f.contains("untitled"))).isNotEmpty();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private void done(String job, int most) {
        System.out.println(job + ": " + actions + " actions, no more than " + most);
        assertThat(actions).as(job).isLessThanOrEqualTo(most);
    }

    private Project project() {
        return d.window.session().project();
    }

    private Path still(String name) {
        return Material.still(folder, name + ".png", 0.4);
    }

    private Look first() {
        return Driver.on(() -> project().layers().getFirst().looks().getFirst().look());
    }

    /** A parameter of a channel in the first treatment at a frame; 0 if the treatment is absent. */
    private double number(long frame, int channel, String name) {
        List<StepPlan> steps =
                Planner.plan(Driver.on(this::project), frame)
                        .layers()
                        .getFirst()
                        .looks()
                        .getFirst()
                        .steps();
        Settings settings = steps.isEmpty() ? null : steps.getFirst().channels().get(channel);
        return settings == null ? 0 : settings.number(name);
    }

    private double x(long frame, int channel) {
        return number(frame, channel, "x");
    }

    @Test
    void aTitleSplitInBothDirections() {
        drop(still("title"));
        click("#follow-mirrored");
        key(KeyCode.SHIFT, KeyCode.RIGHT);
        export();
        assertThat(IntStream.range(0, 3).mapToObj(l -> x(0, l))).containsExactly(10.0, 0.0, -10.0);
        done("title split", 5);
    }

    @Test
    void stereoForTwoColourGlasses() {
        drop(still("view"));
        look("anaglyph");
        ink("#dial-pair-left", Ink.GREEN);
        number("#dial-depth", "8");
        export();
        assertThat(IntStream.range(0, 3).mapToObj(l -> x(0, l))).containsExactly(-4.0, 4.0, -4.0);
        done("stereo", 10);
    }

    @Test
    void fourPicturesInOne() {
        drop(still("a"), still("b"), still("c"), still("d"));
        key(KeyCode.N);
        click("#model-cmyk");
        choose("#magenta-picture", "b");
        choose("#yellow-picture", "c");
        choose("#key-picture", "d");
        export();
        assertThat(first().channels().stream().map(l -> l.channelSource().source()))
                .containsExactly("", "b", "c", "d");
        done("four pictures in one", 12);
    }

    @Test
    void theFringeOfALens() {
        drop(still("street"));
        look("chromatic-aberration");
        number("#dial-amount", "0.8");
        export();
        assertThat(number(0, 0, "k0")).isGreaterThan(0);
        done("lens fringe", 12);
    }

    @Test
    void inksOutOfRegister() {
        drop(still("poster"));
        key(KeyCode.N);
        click("#model-cmyk");
        key(KeyCode.DIGIT2);
        key(KeyCode.SHIFT, KeyCode.RIGHT);
        key(KeyCode.Y);
        ink("#cyan-ink", Ink.BLUE);
        export();
        assertThat(first().channels().getFirst().ink()).contains(Ink.BLUE);
        assertThat(x(0, 1)).isEqualTo(10);
        done("inks", 10);
    }

    @Test
    void aGlow() {
        drop(still("lamp"));
        look("colour-streak");
        export();
        assertThat(d.window.session().project().layers().getFirst().look().name())
                .isEqualTo("colour-streak");
        done("glow", 10);
    }

    @Test
    void channelsWarpedApartByPins() {
        drop(still("face"));
        look("ghost-warp");
        export();
        assertThat(first().name()).isEqualTo("ghost-warp");
        assertThat(first().steps().getFirst().treatment()).isEqualTo("pin-warp");
        done("pins", 6);
    }

    @Test
    void oneLookOverFiveClips() {
        drop(still("a"), still("b"), still("c"), still("d"), still("e"));
        look("rgb-split");
        export();
        assertThat(Driver.on(() -> project().layers().getFirst().clips())).hasSize(5);
        assertThat(first().name()).isEqualTo("rgb-split");
        done("one look over five clips", 4);
    }

    @Test
    void aGlitchOverACut() {
        drop(still("a"), still("b"));
        key(KeyCode.CONTROL, KeyCode.DOWN);
        key(KeyCode.SHIFT, KeyCode.K);
        key(KeyCode.PERIOD);
        export();
        assertThat(x(95, 0)).isNotZero();
        assertThat(x(96, 0)).isEqualTo(x(95, 0));
        assertThat(Planner.plan(Driver.on(this::project), 40).layers().getFirst().isNeutral())
                .isTrue();
        done("glitch over a cut", 12);
    }

    /** A burst has three uneven phases on each side of a cut. Then only the mildest phase is weakened. */
    @Test
    void aTransitionWithUnevenPhases() {
        drop(still("a"), still("b"));
        actions = 0;
        key(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
        key(KeyCode.SHIFT, KeyCode.K);
        number("#burst-phases", "2");
        click("#burst-in-1-frames");
        for (String value : "5 50 -50 3 110 -110 2 190 -200".split(" ")) {
            type(value);
            d.key(KeyCode.TAB); // ends the word
            d.settle();
        }
        assertThat(x(96, 0)).isEqualTo(190);
        assertThat(x(96, 2)).isEqualTo(-200);
        assertThat(x(93, 0)).isEqualTo(110, within(1e-9));
        assertThat(x(88, 2)).isEqualTo(-50, within(1e-9));
        assertThat(x(85, 0)).isZero();
        assertThat(x(105, 0)).isEqualTo(50, within(1e-9));
        number("#burst-in-1-strength", "13");
        assertThat(x(88, 0)).isLessThan(25);
        assertThat(x(93, 0)).isEqualTo(110, within(1e-9));
        done("uneven phases", 16);
    }

    /** The position of a frame, of 96, across the time view. */
    private double at(long frame) {
        double w = d.window.time().getWidth();
        return (12 + (frame + 0.5) / 96 * (w - 24)) / w;
    }

    /**
     * Red and blue jitter increases between two frames and then stops; green is fixed. The look is saved and
     * applied to a clip of another project.
     */
    @Test
    void aShakeThatIncreasesAndStops() throws IOException {
        drop(still("one"));
        look("rgb-split");
        click("#green-fixed");
        actions++; // a click on the number shows its graph
        Driver.run(() -> d.find("#dial-shake").requestFocus());
        d.settle();
        Node time = d.window.time();
        double middle = 51 / d.window.time().getHeight();
        for (long frame : new long[] {10, 30, 50}) {
            twice(time, at(frame), middle);
        }
        actions++;
        d.drag(time, at(30), middle, 0, -12);
        d.settle();
        key(KeyCode.CONTROL, KeyCode.SPACE);
        type("save look");
        key(KeyCode.ENTER);
        type("shake it");
        click("#save-movement");
        click("#save-own");
        Driver.until("the state is kept", () -> d.look("#look-shake-it") != null);
        key(KeyCode.CONTROL, KeyCode.N);
        click("#choice-1"); // discard
        Driver.until("the list is empty", () -> project().layers().isEmpty());
        drop(bright("two"));
        look("shake-it");
        export();
        Dial shake =
                first().dials().stream().filter(l -> l.name().equals("shake")).findFirst().get();
        double most = shake.value().at(30);
        assertThat(most).isGreaterThan(0);
        assertThat(shake.value().at(20)).isEqualTo(most / 2, within(1e-9));
        assertThat(x(55, 0)).as("at rest again").isEqualTo(x(5, 0));
        assertThat(x(55, 2)).isEqualTo(x(5, 2));
        assertThat(most(0)).isBetween(most / 4, most * 1.1);
        assertThat(most(2)).isBetween(most / 4, most * 1.1).isNotEqualTo(most(0));
        assertThat(most(1)).as("green is fixed").isZero();
        assertThat(darkest(28, 29, 30, 31, 32)).as("no edge shows").isGreaterThan(0.4f);
        done("shake", 20);
    }

    /** Asserts that no sample of an exported picture is below one half. */
    private Path bright(String name) throws IOException {
        Plane plane = Plane.of(96, 64);
        for (int i = 0; i < plane.data().length; i++) {
            plane.data()[i] = 0.5f + i % 96 / 240f;
        }
        Path file = folder.resolve(name + ".png");
        StillWriter.write(Frame.opaque(plane, plane, plane), file, Depth.INT8, Workers.shared());
        return file;
    }

    /** The smallest sample of some exported frames. */
    private float darkest(long... frames) throws IOException {
        Path out;
        try (var files = Files.list(folder)) {
            out = files.filter(f -> f.toString().contains("untitled")).findFirst().orElseThrow();
        }
        float least = 1;
        try (MovieReader movie = new MovieReader(out, Workers.shared())) {
            for (long frame : frames) {
                for (Plane plane : movie.frame(frame).colour()) {
                    for (float value : plane.data()) {
                        least = Math.min(least, value);
                    }
                }
            }
        }
        return least;
    }

    /** The largest jitter of a channel over the clip, in pixels. */
    private double most(int channel) {
        return LongStream.range(10, 51)
                .mapToDouble(f -> Math.abs(x(f, channel) - x(5, channel)))
                .max()
                .orElse(0);
    }
}
