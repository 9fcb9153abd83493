package ivrik.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

import java.util.ArrayList;
import java.util.List;

/** Active runs found in blocks of 64. */
class ActiveRunsTest {
    private static List<String> worked(float[] row, float least) {
        List<String> worked = new ArrayList<>();
        ActiveRuns.of(
                row.length,
                (from, to) -> ActiveRuns.any(row, least, from, to),
                (from, to) -> worked.add(from + " to " + to));
        return worked;
    }

    @Test
    void adjacentBlocksAreOneRun() {
        float[] row = new float[300];
        assertThat(worked(row, 0.1f)).isEmpty();
        row[70] = 1;
        row[130] = -1;
        row[299] = 0.2f;
        assertThat(worked(row, 0.1f)).containsExactly("64 to 192", "256 to 300");
        assertThat(worked(row, 0.5f)).containsExactly("64 to 192");
    }

    @Test
    void theThresholdIsInclusive() {
        float[] row = {0, 0.4999f, 0};
        assertThat(worked(row, 0.5f)).isEmpty();
        row[1] = -0.5f;
        assertThat(worked(row, 0.5f)).containsExactly("0 to 3");
        row[1] = Float.POSITIVE_INFINITY;
        assertThat(worked(row, 0.5f)).containsExactly("0 to 3");
    }
}
