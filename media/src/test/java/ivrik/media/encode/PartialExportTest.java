package ivrik.media.encode;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.project.Project;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;

class PartialExportTest {
    @TempDir Path folder;

    @Test
    void onlyTheSameVersionContinuesAnExport() {
        Export.Order order =
                Export.Order.of(Project.empty("p"), folder.resolve("out.mkv"), ExportFormats.FFV1);
        assertThat(PartialExport.of(order, "one").begin()).isEmpty();
        assertThat(PartialExport.of(order, "one").begin()).isPresent();
        assertThat(PartialExport.of(order, "another").begin()).isEmpty();
        assertThat(PartialExport.of(order, "one").begin()).isEmpty();
        assertThat(PartialExport.of(order).begin()).isEmpty();
        assertThat(PartialExport.of(order).begin()).isPresent();
    }
}
