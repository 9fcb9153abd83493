package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.IvrikException;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.Import;
import ivrik.media.encode.StillWriter;
import ivrik.media.file.LookLibrary;
import ivrik.media.file.ProjectFile;
import ivrik.media.grade.GradeFile;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.zip.CRC32;
import java.util.zip.Deflater;

/**
 * Malicious files and very large files are read, or refused with a message that names the file and the
 * reason.
 */
class HostileFilesTest {
    private static final String SVG =
            "<svg xmlns='http://www.w3.org/2000/svg' width='40' height='20'>";
    private static final String RECT = "<rect width='3' height='3'/>";

    @TempDir Path folder;

    private Path file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text);
    }

    private static void open(Path file) {
        try (Footage footage = Footage.open(file, Workers.shared())) {
            footage.delivered(0, new Size(40, 20));
        }
    }

    private static void assertRefused(Path file, String... words) {
        assertThatThrownBy(() -> open(file))
                .isInstanceOf(IvrikException.class)
                .hasMessageContaining(file.getFileName().toString())
                .satisfies(
                        e ->
                                assertThat(((IvrikException) e).oneLine())
                                        .contains(words)
                                        .doesNotContain("Exception"));
    }

    @Test
    void aGraphicOfManyElementsOrLevelsIsDrawn() throws IOException {
        open(file("many.svg", SVG + RECT.repeat(5000) + "</svg>"));
        open(file("deep.svg", SVG + "<g>".repeat(150) + RECT + "</g>".repeat(150) + "</svg>"));
    }

    @Test
    void aGraphicOfTooManyElementsIsRefused() throws IOException {
        assertRefused(
                file("many.svg", SVG + RECT.repeat(60_000) + "</svg>"), "50000", "simplify it");
        assertRefused(
                file("deep.svg", SVG + "<g>".repeat(5000) + "</g>".repeat(5000) + "</svg>"),
                "nested elements");
    }

    @Test
    void anEndlessPathIsRefused() throws IOException {
        String path = SVG + "<path d='M1 1L9 1L9 9%s'/></svg>";
        open(file("good.svg", path.formatted("Z M2 2L3 3 z m1 1l2 2z ")));
        assertRefused(
                file("damaged.svg", path.formatted("Z.59 646.08L4 4Z")), "no command follows a Z");
    }

    /** Files found by random changes to the bytes of valid files. */
    @Test
    void damagedHeadersDoNoHarm() throws IOException {
        Path cut = folder.resolve("cut.mp4");
        Files.write(cut, "\0\0\0\u0020ftypiso".getBytes(StandardCharsets.ISO_8859_1));
        assertRefused(cut, "cannot be read");
        Path flat = folder.resolve("flat.png");
        ByteBuffer header = ByteBuffer.allocate(13).putInt(8).putInt(4);
        header.put(new byte[] {8, 0, 0, 0, 0});
        ByteBuffer pixels = ByteBuffer.allocate(9).putInt(2_000_000_000).putInt(1);
        ByteBuffer png = ByteBuffer.allocate(200).putLong(0x89504e470d0a1a0aL);
        chunk(png, "IHDR", header.array());
        chunk(png, "pHYs", pixels.array());
        Deflater deflater = new Deflater();
        deflater.setInput(new byte[4 * 9]);
        deflater.finish();
        byte[] data = new byte[64];
        chunk(png, "IDAT", Arrays.copyOf(data, deflater.deflate(data)));
        chunk(png, "IEND", new byte[0]);
        Files.write(flat, Arrays.copyOf(png.array(), png.position()));
        try (Footage footage = Footage.open(flat, Workers.shared())) {
            assertThat(footage.size()).as("the pixel aspect ratio").isEqualTo(new Size(8, 4));
        }
    }

    @Test
    void aGraphicReadsNoOtherFilesAndExpandsNoEntities() throws IOException {
        file("secret.txt", "very secret");
        String head = "<!DOCTYPE svg [<!ENTITY a SYSTEM 'secret.txt'>]>";
        String text = "<text y='12' font-size='12'>&a;</text></svg>";
        assertOpensOrIsRefused(file("outside.svg", head + SVG + text));
        StringBuilder laughs = new StringBuilder("<!DOCTYPE svg [<!ENTITY e0 'ha'>");
        for (int n = 1; n < 12; n++) {
            laughs.append("<!ENTITY e" + n + " '" + ("&e" + (n - 1) + ";").repeat(10) + "'>");
        }
        assertOpensOrIsRefused(
                file("laughs.svg", laughs + "]>" + SVG + text.replace("&a;", "&e11;")));
        assertOpensOrIsRefused(
                file("image.svg", SVG + "<image href='http://127.0.0.1:9/x.png'/></svg>"));
        assertOpensOrIsRefused(
                file("far.svg", SVG.replace(">", " viewBox='0 0 1e30 1e-30'>") + RECT + "</svg>"));
    }

    private static void assertOpensOrIsRefused(Path file) {
        try {
            open(file);
        } catch (IvrikException e) {
            assertThat(e.oneLine()).contains(file.getFileName().toString());
        }
    }

    @Test
    void aHugePictureIsRefusedBeforeAllocation() throws IOException {
        ByteBuffer header = ByteBuffer.allocate(13).putInt(32_000).putInt(32_000);
        header.put(new byte[] {8, 2, 0, 0, 0});
        ByteBuffer png = ByteBuffer.allocate(100).putLong(0x89504e470d0a1a0aL);
        chunk(png, "IHDR", header.array());
        chunk(png, "IDAT", new byte[11]);
        Path file = Files.write(folder.resolve("huge.png"), png.array());
        assertRefused(file, "cannot be read");
    }

    private static void chunk(ByteBuffer png, String name, byte[] data) {
        CRC32 sum = new CRC32();
        sum.update(name.getBytes(StandardCharsets.US_ASCII));
        sum.update(data);
        png.putInt(data.length).put(name.getBytes(StandardCharsets.US_ASCII)).put(data);
        png.putInt((int) sum.getValue());
    }

    @Test
    void hugeProjectAndTableFilesAreNotRead() throws IOException {
        for (String name : new String[] {"large.ivrik", "large.look.json", "large.cube"}) {
            Path file = folder.resolve(name);
            try (RandomAccessFile sparse = new RandomAccessFile(file.toFile(), "rw")) {
                sparse.setLength(300L << 20);
            }
            assertThatThrownBy(
                            () -> {
                                if (name.endsWith("cube")) {
                                    GradeFile.look(file);
                                } else {
                                    ProjectFile.open(file);
                                }
                            })
                    .isInstanceOf(IvrikException.class)
                    .hasMessageContainingAll(name, "too large");
        }
    }

    @Test
    void aPictureFileLargerThanAnArrayIsRefused() throws IOException {
        for (String name : new String[] {"large.exr", "large.webp"}) {
            Path file = folder.resolve(name);
            try (RandomAccessFile sparse = new RandomAccessFile(file.toFile(), "rw")) {
                sparse.write(
                        name.endsWith("exr")
                                ? new byte[] {0x76, 0x2f, 0x31, 0x01, 2, 0, 0, 0}
                                : "RIFF____WEBPVP8X____\2___________ANIM".getBytes());
                sparse.setLength(5L << 30);
            }
            assertRefused(file, "5120 MB", "too large");
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "-o",
                "a\"b'c",
                "a\nb",
                "$(touch x)",
                "%n%s",
                "\u00fcml\u00e4ut \ud83c\udfee",
                ""
            })
    void unusualNamesStayOneName(String stem) throws IOException {
        String name = stem.isEmpty() ? "l".repeat(240) : stem;
        Path picture = folder.resolve(name + ".png");
        StillWriter.write(
                Frame.opaque(Plane.of(4, 3), Plane.of(4, 3), Plane.of(4, 3)),
                picture,
                Depth.INT8,
                Workers.shared());
        Project project =
                Import.project(Import.source(picture, "a"), BuiltInLooks.named("rgb-split"));
        Path file = folder.resolve(name + ".ivrik");
        ProjectFile.save(file, project);
        assertThat(ProjectFile.open(file).project()).isEqualTo(project);
        open(picture);
        try (var there = Files.list(folder)) {
            assertThat(there).hasSize(2);
        }
    }

    /** Each level uses the previous one eight times: 8^11 rectangles. */
    @Test
    void anExponentialGraphicIsRefusedAtOnce() throws IOException {
        StringBuilder bomb = new StringBuilder(SVG + "<defs><rect id='u0' width='1' height='1'/>");
        for (int level = 1; level < 12; level++) {
            bomb.append("<g id='u").append(level).append("'>");
            bomb.append(("<use href='#u" + (level - 1) + "'/>").repeat(8)).append("</g>");
        }
        assertRefused(
                file("bomb.svg", bomb + "</defs><use href='#u11'/></svg>"),
                "including repeated uses");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "notes.txt",
                "notes.mov",
                "list.m3u8",
                "page.html",
                "empty.json",
                "numbers.csv"
            })
    void textFilesAreNoMovies(String name) throws IOException {
        String text =
                name.endsWith("m3u8")
                        ? "#EXTM3U\n#EXTINF:10,\nhttp://127.0.0.1:9/x.ts\n"
                        : "1, 2, 3 and some words\n".repeat(500);
        assertRefused(file(name, text), "cannot be read as a picture or movie");
    }

    @Test
    @EnabledOnOs({OS.LINUX, OS.MAC})
    void pipesAndFoldersAreRefusedAtOnce() throws IOException, InterruptedException {
        Path pipe = folder.resolve("pipe.png");
        assertThat(new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor()).isZero();
        assertRefused(pipe, "not a regular file");
        assertRefused(Files.createDirectory(folder.resolve("folder.png")), "not a regular file");
    }

    @Test
    void otherFilesAreRefusedByName() throws IOException {
        for (String text : new String[] {"[".repeat(100_000), "", "3", "{}", "\u0000\u0000"}) {
            assertThatThrownBy(() -> ProjectFile.open(file("a b.ivrik", text)))
                    .isInstanceOf(IvrikException.class)
                    .hasMessageContaining("a b.ivrik");
            assertThatThrownBy(() -> LookLibrary.read(file("a b.look.json", text)))
                    .isInstanceOf(IvrikException.class)
                    .hasMessageContaining("a b.look.json");
        }
    }
}
