package ivrik.media.encode;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.project.Project;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;

class UnfinishedTest {
    @TempDir Path folder;

    @Test
    void onlyTheSameIvrikGoesOnWithWhatAnotherHasBegun() {
        Export.Order order =
                Export.Order.of(Project.empty("p"), folder.resolve("out.mkv"), Forms.FFV1);
        assertThat(Unfinished.of(order, "one").begin()).isEmpty();
        assertThat(Unfinished.of(order, "one").begin()).isPresent();
        assertThat(Unfinished.of(order, "another").begin()).isEmpty();
        assertThat(Unfinished.of(order, "one").begin()).isEmpty();
        assertThat(Unfinished.of(order).begin()).isEmpty();
        assertThat(Unfinished.of(order).begin()).isPresent();
    }
}
