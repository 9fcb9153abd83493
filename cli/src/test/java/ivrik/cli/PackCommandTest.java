package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.media.decode.Import;
import ivrik.media.file.ProjectFile;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** A project packed, moved and unpacked. */
class PackCommandTest extends Commanded {
    private Path project;
    private Path zip;

    /**
     * Writes a project of a picture, a second picture of the same name, a numbered sequence and a graphic
     * that links a picture.
     */
    @BeforeEach
    void project() throws IOException {
        Path here = Files.createDirectory(folder.resolve("here"));
        Path a = Files.createDirectories(here.resolve("a/b")).resolve("picture.png");
        Path b = Files.createDirectory(here.resolve("ä ö")).resolve("picture.png");
        Files.move(picture8("one.png", true), a);
        Files.move(picture16("two.png"), b);
        for (int i = 3; i < 6; i++) {
            Files.copy(b, here.resolve("shot-000" + i + ".png"));
        }
        Path graphic = here.resolve("graphic.svg");
        Files.copy(a, Files.createDirectory(here.resolve("pictures")).resolve("linked.png"));
        Files.writeString(
                graphic,
                "<svg xmlns='http://www.w3.org/2000/svg' width='40' height='30'>"
                        + "<image href='pictures/linked.png' width='20' height='15'/></svg>");
        List<Source> sources =
                Stream.of(a, b, here.resolve("shot-%04d.png"), graphic)
                        .map(
                                f ->
                                        Import.source(
                                                f,
                                                f.getParent().getFileName()
                                                        + "-"
                                                        + f.getFileName()))
                        .toList();
        Look look = BuiltInLooks.named("rgb-split").withDial("red-x", 3);
        project = here.resolve("four.ivrik");
        ProjectFile.save(
                project,
                Project.empty("four")
                        .withSequence(new Sequence(new Size(40, 30), Rational.of(24)))
                        .withSources(sources)
                        .withLayers(
                                IntStream.range(0, 4)
                                        .mapToObj(
                                                i ->
                                                        Layer.of(
                                                                "layer-" + i,
                                                                "layer",
                                                                look,
                                                                new Clip(
                                                                        sources.get(i).id(),
                                                                        i,
                                                                        1,
                                                                        0)))
                                        .toList()));
        zip = folder.resolve("four.zip");
    }

    private void render(Path from, String to) {
        assertThat(ivrik("render", from.toString(), "-o", folder + "/" + to + "-%d.png"))
                .as(err)
                .isZero();
    }

    @Test
    void aPackageRendersTheSamePicturesElsewhere() throws IOException {
        render(project, "before");
        assertThat(ivrik("pack", project.toString(), "-o", zip.toString())).as(err).isZero();
        Files.move(folder.resolve("here"), folder.resolve("gone"));
        Path there = folder.resolve("far/away");
        assertThat(ivrik("unpack", zip.toString(), "-o", there.toString())).as(err).isZero();
        assertThat(out.strip()).isEqualTo(there.resolve("four.ivrik").toString());
        render(there.resolve("four.ivrik"), "after");
        for (int i = 0; i < 4; i++) {
            assertThat(folder.resolve("after-" + i + ".png"))
                    .hasSameBinaryContentAs(folder.resolve("before-" + i + ".png"));
        }
        try (Stream<Path> files = Files.list(folder.resolve("far"))) {
            assertThat(files).containsExactly(there);
        }
    }

    @Test
    void packingIsDeterministicAndReplacesNothingUnasked() throws IOException {
        ivrik("pack", project.toString(), "-o", zip.toString());
        byte[] first = Files.readAllBytes(zip);
        assertThat(ivrik("pack", project.toString(), "-o", zip.toString())).isEqualTo(1);
        assertThat(err).contains("--overwrite");
        Path again = folder.resolve("again.zip");
        ivrik("pack", project.toString(), "-o", again.toString());
        assertThat(Files.readAllBytes(again)).isEqualTo(first);
    }

    @Test
    void missingMediaAreNamedAndNothingIsWritten() throws IOException {
        Files.delete(folder.resolve("here/a/b/picture.png"));
        assertThat(ivrik("pack", project.toString(), "-o", zip.toString())).isEqualTo(1);
        assertThat(err).contains("a/b/picture.png", "missing");
        assertThat(zip).doesNotExist();
    }

    private void zip(String... names) throws IOException {
        try (OutputStream to = Files.newOutputStream(zip);
                ZipOutputStream out = new ZipOutputStream(to)) {
            for (String name : names) {
                out.putNextEntry(new ZipEntry(name));
                out.write("{}".getBytes());
            }
        }
    }

    private void refused(String word) {
        assertThat(ivrik("unpack", zip.toString(), "-o", folder.resolve("to").toString()))
                .isEqualTo(1);
        assertThat(err).contains(word, zip.toString());
        assertThat(folder.resolve("to")).doesNotExist();
        assertThat(folder.resolve(".to.part")).doesNotExist();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "../out.png",
                "/etc/out.png",
                "media/../../out.png",
                "a\\..\\out.png",
                "C:out"
            })
    void entriesOutsideTheFolderAreRefused(String name) throws IOException {
        zip("a.ivrik", name);
        refused("outside");
        assertThat(folder.resolve("out.png")).doesNotExist();
    }

    @Test
    void aFileThatIsNoPackageIsRefused() throws IOException {
        zip("deep/a.ivrik");
        refused("no project at the top level");
        zip("a.ivrik", "media/A.png", "media/a.png");
        refused("twice");
        Files.writeString(zip, "no zip file");
        refused("damaged");
        ivrik("pack", project.toString(), "-o", zip.toString(), "--overwrite");
        byte[] whole = Files.readAllBytes(zip);
        whole[whole.length / 2] ^= 0x55;
        Files.write(zip, whole);
        refused("");
    }

    @Test
    void aZipBombIsRefused() throws IOException {
        try (OutputStream to = Files.newOutputStream(zip);
                ZipOutputStream out = new ZipOutputStream(to)) {
            out.putNextEntry(new ZipEntry("a.ivrik"));
            out.putNextEntry(new ZipEntry("media/zeros.png"));
            out.write(new byte[64 << 20]);
        }
        refused("expands to an unreasonable size");
    }

    @Test
    void aFolderWithFilesIsNotUnpackedInto() throws IOException {
        ivrik("pack", project.toString(), "-o", zip.toString());
        Path to = Files.createDirectory(folder.resolve("to"));
        Path kept = Files.writeString(to.resolve("kept.txt"), "kept");
        assertThat(ivrik("unpack", zip.toString(), "-o", to.toString())).isEqualTo(1);
        assertThat(err).contains("is not empty");
        try (Stream<Path> files = Files.list(to)) {
            assertThat(files).containsExactly(kept);
        }
        Files.delete(kept);
        assertThat(ivrik("unpack", zip.toString(), "-o", to.toString())).as(err).isZero();
    }
}
