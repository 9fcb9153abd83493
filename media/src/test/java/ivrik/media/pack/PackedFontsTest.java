package ivrik.media.pack;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.media.file.ProjectFile;
import ivrik.media.vector.FontFiles;
import ivrik.media.vector.ShippedFonts;
import ivrik.media.vector.TitleGraphic;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.ZipFile;

/** A package of a project includes the fonts installed on this machine that its titles use. */
class PackedFontsTest {
    private static final String KNOWN = "IBM Plex Mono";

    /** Has the length of the original name, which it replaces in the font file. */
    private static final String FAMILY = "Lantern Serif";

    private static final Size BOX = new Size(400, 120);

    @TempDir Path folder;
    private final String home = System.getProperty("user.home");

    @BeforeEach
    void aFontIsInstalled() throws IOException {
        System.setProperty("user.home", folder.resolve("home").toString());
        Path fonts = Files.createDirectories(folder.resolve("home/.fonts/more"));
        byte[] font;
        try (InputStream in =
                ShippedFonts.class.getResourceAsStream("/ivrik/fonts/IBMPlexMono-Regular.ttf")) {
            font = in.readAllBytes();
        }
        rename(font, StandardCharsets.UTF_16BE);
        rename(font, StandardCharsets.ISO_8859_1);
        Files.write(fonts.resolve("lantern.ttf"), font);
        Files.writeString(fonts.resolve("broken.ttf"), "no font");
    }

    @AfterEach
    void homeAgain() {
        System.setProperty("user.home", home);
    }

    private static void rename(byte[] font, Charset encoding) {
        byte[] from = KNOWN.getBytes(encoding);
        byte[] to = FAMILY.getBytes(encoding);
        for (int i = 0; i + from.length <= font.length; i++) {
            if (java.util.Arrays.equals(font, i, i + from.length, from, 0, from.length)) {
                System.arraycopy(to, 0, font, i, to.length);
            }
        }
    }

    private static Frame drawn(String family) {
        Title title = Title.EMPTY.withText("QUILL").withFamily(family).withWeight(400);
        return TitleGraphic.draw(title, BOX, BOX);
    }

    private static boolean same(Frame a, Frame b) {
        return a.coverage().getFirst().sameSamples(b.coverage().getFirst());
    }

    @Test
    void aFontIsPackedAndUsedAfterUnpacking() throws IOException {
        assertThat(ShippedFonts.has(FAMILY)).isFalse();
        assertThat(same(drawn(FAMILY), drawn(KNOWN)))
                .as("another item replaces the first")
                .isFalse();
        Title title = Title.EMPTY.withText("QUILL").withFamily(FAMILY);
        Project project =
                Project.empty("night").withSources(List.of(Source.of("title", title, BOX)));
        Path zip = folder.resolve("night.zip");
        ProjectPackage.write(project, "night", zip);
        try (ZipFile read = new ZipFile(zip.toFile())) {
            assertThat(read.stream().map(e -> e.getName()))
                    .containsExactlyInAnyOrder("night.ivrik", FontFiles.FOLDER + "/lantern.ttf");
        }
        Path there = folder.resolve("there");
        Unpacking.into(zip, there);
        assertThat(ProjectFile.open(there.resolve("night.ivrik")).problems()).isEmpty();
        assertThat(ShippedFonts.has(FAMILY)).isTrue();
        assertThat(same(drawn(FAMILY), drawn(KNOWN))).as("the outlines are equal").isTrue();
    }
}
