package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.IvrikException;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.file.LookLibrary;
import ivrik.media.file.ProjectFile;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Files made to do harm, and files that are only large: each is read, or refused with a word that says which and why. */
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
    void aGraphicOfFarTooManyIsRefusedAsThat() throws IOException {
        assertRefused(
                file("many.svg", SVG + RECT.repeat(60_000) + "</svg>"), "50000", "simplify it");
        assertRefused(
                file("deep.svg", SVG + "<g>".repeat(5000) + "</g>".repeat(5000) + "</svg>"),
                "within each other");
    }

    /** Each level uses the one before eight times: eight to the eleventh rectangles. */
    @Test
    void aGraphicThatUsesItselfManyTimesIsRefusedAtOnce() throws IOException {
        StringBuilder bomb = new StringBuilder(SVG + "<defs><rect id='u0' width='1' height='1'/>");
        for (int level = 1; level < 12; level++) {
            bomb.append("<g id='u").append(level).append("'>");
            bomb.append(("<use href='#u" + (level - 1) + "'/>").repeat(8)).append("</g>");
        }
        assertRefused(
                file("bomb.svg", bomb + "</defs><use href='#u11'/></svg>"), "used several times");
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
    void whatIsOnlyTextIsNoMovie(String name) throws IOException {
        String text =
                name.endsWith("m3u8")
                        ? "#EXTM3U\n#EXTINF:10,\nhttp://127.0.0.1:9/x.ts\n"
                        : "1, 2, 3 and some words\n".repeat(500);
        assertRefused(file(name, text), "cannot be read as a picture or movie");
    }

    @Test
    @EnabledOnOs({OS.LINUX, OS.MAC})
    void aPipeOrAFolderIsNeitherWaitedForNorCalledMissing()
            throws IOException, InterruptedException {
        Path pipe = folder.resolve("pipe.png");
        assertThat(new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor()).isZero();
        assertRefused(pipe, "no ordinary file");
        assertRefused(Files.createDirectory(folder.resolve("folder.png")), "no ordinary file");
    }

    @Test
    void whatIsNoProjectOrLookIsRefusedByItsName() throws IOException {
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
