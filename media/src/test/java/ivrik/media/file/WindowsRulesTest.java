package ivrik.media.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.google.common.jimfs.Configuration;
import com.google.common.jimfs.Jimfs;

import ivrik.core.project.Project;
import ivrik.media.UnwritableTargetException;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.FileSystem;
import java.nio.file.Files;
import java.nio.file.Path;

/** File names and writing on an in-memory file system with the rules of Windows. */
class WindowsRulesTest {
    private FileSystem windows;
    private Path folder;

    @BeforeEach
    void twoDisks() throws IOException {
        windows =
                Jimfs.newFileSystem(
                        Configuration.windows().toBuilder().setRoots("C:\\", "D:\\").build());
        folder = Files.createDirectories(windows.getPath("C:\\Shows\\Lantern Wéek"));
    }

    @AfterEach
    void close() throws IOException {
        windows.close();
    }

    @Test
    void pathsInAProjectHaveForwardSlashesWhereverItIsSaved() {
        assertThat(ProjectFile.relative(folder, folder.resolve("media\\tram.webm")))
                .isEqualTo("media/tram.webm");
        assertThat(ProjectFile.relative(folder, windows.getPath("C:\\Stock\\a b.png")))
                .isEqualTo("../../Stock/a b.png");
        assertThat(ProjectFile.relative(folder, windows.getPath("D:\\Stock\\a.png")))
                .as("another disk")
                .isEqualTo("D:\\Stock\\a.png");
        Path here = Path.of("/shows/p");
        assertThat(ProjectFile.relative(here, here.resolve("back\\slash.png")))
                .as("elsewhere the letter is typed")
                .isEqualTo("back\\slash.png");
    }

    @Test
    void filesAreReplacedWithoutPermissions() throws IOException {
        Path file = folder.resolve("look.json");
        SafeFile.write(file, "first");
        SafeFile.write(windows.getPath("c:\\shows\\LANTERN WéEK\\LOOK.JSON"), "second");
        assertThat(Files.readString(file)).isEqualTo("second");
        SafeFile.writePrivately(file, "third");
        assertThat(Files.readString(file)).isEqualTo("third");
        try (var left = Files.list(folder)) {
            assertThat(left).hasSize(1);
        }
        assertThatThrownBy(() -> SafeFile.write(windows.getPath("D:\\none\\a.json"), ""))
                .isInstanceOf(UnwritableTargetException.class)
                .hasMessageContaining("D:\\none");
    }

    @Test
    void unsavedWorkIsBackedUp() throws IOException {
        Path project = folder.resolve("night tram.ivrik");
        Journal journal = Journal.beside(project);
        journal.write(Project.empty("night"));
        assertThat(Files.readString(journal.file())).contains("ivrik-project");
        assertThat(journal.file().getFileName().toString()).startsWith(".night tram.ivrik.");
    }

    @Test
    void namesLeaveSpaceForPrefixesAndSuffixes() {
        String umlauts = "ü".repeat(120);
        assertThat(SafeFile.shortened(umlauts)).startsWith("ü".repeat(60)).hasSizeLessThan(72);
        assertThat(SafeFile.shortened("🏮".repeat(60))).startsWith("🏮".repeat(30)).isNotBlank();
        assertThat(SafeFile.shortened(umlauts + "1"))
                .isNotEqualTo(SafeFile.shortened(umlauts + "2"));
        assertThat(SafeFile.shortened("tram.ivrik")).isEqualTo("tram.ivrik");
    }
}
