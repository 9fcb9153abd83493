package ivrik.app.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.json.ForeignFileException;
import ivrik.core.json.ProjectJson;
import ivrik.core.project.Project;
import ivrik.media.file.ProjectFile;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

class ProjectPreloadTest {
    @TempDir Path folder;
    private Path file;

    @BeforeEach
    void write() throws IOException {
        file = folder.toRealPath().resolve("tram.ivrik");
        ProjectFile.save(file, Project.empty("tram"));
    }

    private ProjectJson.Reading opened() {
        return ProjectPreload.of(ProjectFile.text(file), file);
    }

    @Test
    void aPreloadedProjectIsUsedOnceAndEqualsALoadedOne() {
        ProjectJson.Reading early = ProjectPreload.begin(file).join().orElseThrow();
        assertThat(opened()).isSameAs(early);
        assertThat(early.project()).isEqualTo(ProjectFile.open(file).project());
        assertThat(opened()).isNotSameAs(early).isEqualTo(early);
    }

    @Test
    void aChangedFileIsReadAgain() {
        ProjectPreload.begin(file).join();
        ProjectFile.save(file, Project.empty("lanterns"));
        assertThat(opened().project().name()).isEqualTo("lanterns");
    }

    @Test
    void anotherFileOfEqualContentIsReadAgain() throws IOException {
        ProjectJson.Reading early = ProjectPreload.begin(file).join().orElseThrow();
        Path copy = Files.copy(file, folder.toRealPath().resolve("copy.ivrik"));
        assertThat(ProjectPreload.of(ProjectFile.text(copy), copy)).isNotSameAs(early);
    }

    @Test
    void anUnreadableFileIsReportedWhenOpened() throws IOException {
        Files.writeString(file, "{\"form\": \"of something else\"}");
        ProjectPreload.begin(file);
        assertThatThrownBy(this::opened).isInstanceOf(ForeignFileException.class);
        assertThat(ProjectPreload.begin(folder.resolve("gone.ivrik")).join()).isEmpty();
        ProjectFile.save(file, Project.empty("there"));
        assertThat(opened().project().name()).isEqualTo("there");
    }
}
