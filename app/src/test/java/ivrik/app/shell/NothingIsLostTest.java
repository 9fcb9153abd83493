package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Project;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Import;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.StillWriter;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.RecoverableWork;

import javafx.scene.control.ChoiceBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Killed processes, second windows and other programs, each of them real, lose no work. */
class NothingIsLostTest {
    @TempDir Path folder;

    private Path data;
    private Path picture;
    private Path project;

    @BeforeEach
    void aPictureAndAProjectOfIt() throws IOException {
        data = Files.createDirectories(folder.resolve("data"));
        picture = folder.resolve("lantern.png");
        Plane red = Plane.of(32, 24);
        red.data()[12 * 32 + 16] = 1;
        StillWriter.write(
                Frame.opaque(red, Plane.flat(32, 24, 0.5f), Plane.of(32, 24)),
                picture,
                Depth.INT8,
                Workers.shared());
        project = folder.resolve("night.ivrik");
        Project night =
                Import.project(Import.source(picture, "lantern"), BuiltInLooks.named("neutral"));
        ProjectFile.save(project, night);
    }

    private Driver window() {
        return new Driver(data);
    }

    /**
     * Starts the window with a copy of the demo, because the original may have a journal from another run.
     */
    private void firstStart(Driver d) {
        Driver.run(() -> d.window.firstStart(project));
    }

    private static boolean says(Driver d, String words) {
        return d.words().stream().anyMatch(w -> w.contains(words));
    }

    private static void open(Driver d, Path file) {
        Driver.run(() -> d.window.open(file));
        d.settle();
    }

    private static double red(Driver d) {
        return Driver.on(() -> OtherWindow.red(d.window.session().project()));
    }

    private static double red(Path file) {
        return OtherWindow.red(ProjectFile.open(file).project());
    }

    @Test
    void aKillLosesTwoSecondsOfWorkAtMost() throws IOException {
        try (OtherWindow other = new OtherWindow(data, project, 30, 300)) {
            other.nudged(14);
            long killed = other.kill();
            List<RecoverableWork> lost = RecoverableWork.of(project);
            assertThat(lost).hasSize(1);
            assertThat(OtherWindow.red(lost.getFirst().read().project()))
                    .isBetween((double) other.nudgesBefore(killed - 2000), 15.0);
            assertThat(other.nudgesBefore(killed - 2000)).isGreaterThan(3);
        }
    }

    @Test
    void lostWorkOnAProjectIsOfferedWhenItIsOpened() throws IOException {
        try (OtherWindow other = new OtherWindow(data, project, 2, 10)) {
            other.nudged(2);
            Driver.sleep(1500);
            other.kill();
        }
        try (Driver d = window()) {
            open(d, project);
            assertThat(red(d)).isZero();
            d.click("#take-0");
            Driver.until("the state is restored", () -> red(d) == 2);
            assertThat(red(project)).isZero();
            d.key(KeyCode.CONTROL, KeyCode.S);
            Driver.until("the project is saved", () -> d.window.session().isSaved());
            assertThat(red(project)).isEqualTo(2);
        }
        assertThat(RecoverableWork.of(project)).isEmpty();
    }

    @Test
    void unnamedWorkSurvivesLaterSessions() throws IOException {
        try (OtherWindow other = new OtherWindow(data, picture, 3, 10)) {
            other.nudged(3);
            Driver.sleep(1500);
            other.kill();
        }
        try (Driver d = window()) {
            firstStart(d);
            Driver.until("the offer appears", () -> says(d, "Recovered work"));
            d.key(KeyCode.ESCAPE);
            d.key(KeyCode.CONTROL, KeyCode.N);
            Driver.run(() -> d.window.take(List.of(picture)));
            Driver.until(
                    "another file is imported",
                    () -> !d.window.session().project().layers().isEmpty());
            d.key(KeyCode.LEFT);
            Driver.until(
                    "the second state is kept too", () -> says(d, "unsaved changes (backed up)"));
        }
        assertThat(RecoverableWork.unnamed(data))
                .singleElement()
                .satisfies(lost -> assertThat(OtherWindow.red(lost.read().project())).isEqualTo(3));
        try (Driver d = window()) {
            Driver.run(() -> d.window.startWith(List.of(picture)));
            Driver.until("the message mentions the file", () -> says(d, "Recovered work..."));
            Driver.run(() -> d.window.projects().showRecoveredWork());
            Driver.until("the list has the item", () -> d.look("#take-0") != null);
            Driver.pulses(2);
            d.key(KeyCode.ENTER); // the default button keeps the work
            Driver.until("the question appears", () -> says(d, "Save"));
            Driver.until("the picture is shown", () -> d.look("#choice-1") != null);
            d.click("#choice-1");
            Driver.until("the state is restored", () -> red(d) == 3);
            assertThat(Driver.on(() -> d.window.session().isSaved())).isFalse();
            Driver.until(
                    "this window owns the project", () -> says(d, "unsaved changes (backed up)"));
        }
    }

    @Test
    void recoveredWorkIsDeletedByNameOnly() throws IOException {
        try (OtherWindow other = new OtherWindow(data, picture, 1, 10)) {
            other.nudged(1);
            Driver.sleep(1500);
            other.kill();
        }
        try (Driver d = window()) {
            firstStart(d);
            Driver.until("the offer appears", () -> d.look("#discard-0") != null);
            d.click("#discard-0");
            assertThat(RecoverableWork.unnamed(data)).hasSize(1);
            assertThat(d.text("#discard-0")).contains("Discard lantern");
            d.click("#discard-0");
            Driver.until("the item is gone", () -> RecoverableWork.unnamed(data).isEmpty());
            assertThat(Driver.on(() -> d.window.sheets().isShowing())).isFalse();
        }
    }

    @Test
    void workOfARunningWindowIsNotOffered() throws IOException {
        try (OtherWindow other = new OtherWindow(data, picture, 2, 10)) {
            other.nudged(2);
            Driver.sleep(1500);
            try (Driver d = window()) {
                firstStart(d);
                Driver.until("the disk was checked", d.window::isSettled);
                assertThat(says(d, "Recovered work")).isFalse();
                d.key(KeyCode.CONTROL, KeyCode.N);
            }
            other.kill();
            assertThat(RecoverableWork.unnamed(data)).hasSize(1);
        }
    }

    @Test
    void aSecondWindowNamesTheFirstAndOpensReadOnlyOrACopy() throws IOException {
        try (OtherWindow other = new OtherWindow(data, project, 0, 10)) {
            try (Driver d = window()) {
                Driver.run(() -> d.window.open(project));
                Driver.until("the message appears", () -> says(d, "is already open"));
                assertThat(says(d, System.getProperty("user.name") + " in another window"))
                        .isTrue();
                d.click("#choice-0");
                Driver.until("the item is shown", () -> says(d, "read-only"));
                d.settle();
                d.key(KeyCode.RIGHT);
                d.files.project = project;
                d.key(KeyCode.CONTROL, KeyCode.S);
                Driver.until("saving there is refused", () -> says(d, "is already open"));
                assertThat(red(project)).isZero();
                d.click("#choice-0");
                d.files.project = folder.resolve("mine.ivrik");
                d.key(KeyCode.CONTROL, KeyCode.S);
                Driver.until("saved elsewhere", () -> Files.exists(folder.resolve("mine.ivrik")));
                d.settle();
                assertThat(red(folder.resolve("mine.ivrik"))).isEqualTo(1);
            }
            try (Driver d = window()) {
                Driver.run(() -> d.window.open(project));
                Driver.until("the message appears again", () -> d.look("#choice-1") != null);
                d.click("#choice-1");
                Driver.until("the copy appears", () -> says(d, "unsaved changes"));
                d.settle();
                assertThat(Driver.on(() -> d.window.session().project().layers())).hasSize(1);
            }
            other.kill();
            try (Driver d = window()) {
                open(d, project);
                assertThat(says(d, "is already open")).isFalse();
            }
        }
        try (var left = Files.list(folder)) {
            assertThat(left.map(f -> f.getFileName().toString()))
                    .containsExactlyInAnyOrder("data", "lantern.png", "night.ivrik", "mine.ivrik");
        }
    }

    @Test
    void externalChangesAreNotOverwritten() throws IOException {
        try (Driver d = window()) {
            open(d, project);
            d.key(KeyCode.RIGHT);
            String theirs = Files.readString(project).replace("\"lantern\"", "\"paper lantern\"");
            Files.writeString(project, theirs);
            d.key(KeyCode.CONTROL, KeyCode.S);
            Driver.until("the question appears", () -> says(d, "was changed by another program"));
            assertThat(project).hasContent(theirs);
            d.click("#choice-1");
            assertThat(d.words()).anyMatch(w -> w.contains("in the file") && w.contains("lantern"));
            d.key(KeyCode.ESCAPE);
            assertThat(project).hasContent(theirs);
            d.key(KeyCode.CONTROL, KeyCode.S);
            Driver.until("the question appears again", () -> d.look("#choice-2") != null);
            d.click("#choice-2");
            Driver.until("the project is saved", () -> d.window.session().isSaved());
            assertThat(red(project)).isEqualTo(1);
        }
    }

    @Test
    void aRenamedOrDeletedFileIsSavedAgainOnlyOnRequest() throws IOException {
        try (Driver d = window()) {
            open(d, project);
            d.key(KeyCode.RIGHT);
            Files.move(project, folder.resolve("renamed.ivrik"));
            d.key(KeyCode.CONTROL, KeyCode.S);
            Driver.until("the question appears", () -> says(d, "no longer exists"));
            assertThat(project).doesNotExist();
            d.click("#choice-1");
            Driver.until("the project is saved", () -> d.window.session().isSaved());
            assertThat(red(project)).isEqualTo(1);
            assertThat(red(folder.resolve("renamed.ivrik"))).isZero();
        }
    }

    @Test
    void workUndoneToTheSavedStateIsNotOffered() throws IOException {
        try (Driver d = window()) {
            open(d, project);
            d.key(KeyCode.RIGHT);
            Driver.until("the state is kept", () -> says(d, "unsaved changes (backed up)"));
            d.key(KeyCode.CONTROL, KeyCode.Z);
            assertThat(says(d, "saved")).isTrue();
            d.key(KeyCode.CONTROL, KeyCode.Q);
        }
        try (var left = Files.list(folder)) {
            assertThat(left.filter(f -> f.toString().endsWith(".journal"))).isEmpty();
        }
    }

    @Test
    void pathsFollowTheProjectFileAndIgnoreUndo() throws IOException {
        Path saved = Files.createDirectories(folder.resolve("deep/er")).resolve("new.ivrik");
        try (Driver d = window()) {
            Driver.run(() -> d.window.take(List.of(picture)));
            Driver.until(
                    "the file is imported", () -> !d.window.session().project().layers().isEmpty());
            d.key(KeyCode.RIGHT);
            d.files.project = saved;
            d.key(KeyCode.CONTROL, KeyCode.S);
            Driver.until("the project is saved", () -> d.window.session().isSaved());
            d.key(KeyCode.CONTROL, KeyCode.Z);
            d.settle();
            assertThat(says(d, "missing")).isFalse();
            d.key(KeyCode.CONTROL, KeyCode.S);
            Driver.until("the project is saved again", () -> d.window.session().isSaved());
            assertThat(saved).content().contains("\"../../lantern.png\"");
        }
    }

    @Test
    @SuppressWarnings("unchecked")
    void anExportSuggestsAFreeNameAndReplacesOnlyWhenAsked() throws IOException {
        Path taken = Files.writeString(folder.resolve("lantern.mkv"), "of yesterday");
        try (Driver d = window()) {
            open(d, project);
            d.key(KeyCode.RIGHT);
            d.key(KeyCode.CONTROL, KeyCode.E);
            Driver.run(
                    () ->
                            ((ChoiceBox<ExportFormat>) d.look("#export-format"))
                                    .setValue(ExportFormats.FFV1));
            assertThat(d.text("#export-target")).isEqualTo(folder + "/lantern-2.mkv");
            Driver.run(() -> ((TextField) d.look("#export-to")).setText("1"));
            Driver.run(() -> ((TextField) d.look("#export-target")).setText(taken.toString()));
            d.click("#export-start");
            Driver.until("the question appears", () -> says(d, "already exists"));
            assertThat(taken).hasContent("of yesterday");
            assertThat(d.text("#export-start")).isEqualTo("Replace");
            d.click("#export-start");
            Driver.until("the work is done", () -> says(d, "Exported: "));
            assertThat(Files.size(taken)).isGreaterThan(100);
            d.key(KeyCode.CONTROL, KeyCode.Z);
            assertThat(red(d)).as("keys have no effect behind a sheet").isEqualTo(1);
            d.key(KeyCode.ESCAPE);
            assertThat(Driver.on(() -> d.window.sheets().isShowing())).isFalse();
            d.key(KeyCode.CONTROL, KeyCode.Z);
            assertThat(red(d)).isZero();
            d.key(KeyCode.CONTROL, KeyCode.E);
            Driver.run(() -> ((TextField) d.look("#export-target")).setText(picture.toString()));
            Driver.run(
                    () ->
                            ((ChoiceBox<ExportFormat>) d.look("#export-format"))
                                    .setValue(ExportFormats.PNG));
            Driver.run(() -> ((TextField) d.look("#export-to")).setText("0"));
            Driver.run(() -> ((TextField) d.look("#export-target")).setText(picture.toString()));
            byte[] before = Files.readAllBytes(picture);
            d.click("#export-start");
            Driver.until("the input is refused", () -> says(d, "is a source of this export"));
            assertThat(picture).hasBinaryContent(before);
            d.key(KeyCode.ESCAPE);
        }
    }

    @Test
    void sheetsWaitForEachOther() {
        try (Driver d = window()) {
            Driver.run(() -> d.window.report("First", "one"));
            Driver.run(() -> d.window.report("Second", "two"));
            assertThat(d.words()).contains("First").doesNotContain("Second");
            d.key(KeyCode.ESCAPE);
            assertThat(d.words()).contains("Second").doesNotContain("First");
            d.key(KeyCode.ENTER);
            assertThat(Driver.on(() -> d.window.sheets().isShowing())).isFalse();
        }
    }
}
