package ivrik.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The farm's formula against a simulation. */
class FarmModelTest {
    private static final FarmModel MODEL = new FarmModel(3, 0.1, 2, 1e4, 1e4, 1e9);

    @ParameterizedTest
    @CsvSource({"1000,1,1", "1000,4,4", "1000,8,4", "960,10,4", "96000,500,500", "96000,1000,500"})
    void equalNodesTakeTheTimeOfTheFormula(long frames, int parts, int nodes) {
        double played = new FarmSimulation(MODEL, 0, 0).run(frames, parts, nodes, 1);
        assertThat(played).isEqualTo(MODEL.all(frames, parts, nodes), within(1e-6 * played));
    }

    @Test
    void aSlowDiskSetsThePace() {
        FarmModel slow = new FarmModel(3, 0.1, 2, 1e6, 1e6, 1e8);
        double played = new FarmSimulation(slow, 0, 0).run(10_000, 400, 100, 1);
        assertThat(slow.parts(10_000, 400, 100)).isEqualTo(3 + 2e10 / 1e8);
        assertThat(played).isEqualTo(slow.all(10_000, 400, 100), within(0.05 * played));
    }

    @Test
    void theBestNumberOfPartsIsNearTheFormula() {
        FarmSimulation uneven = new FarmSimulation(MODEL, 0.2, 0.01);
        double best = MODEL.partsANode(480_000, 100);
        assertThat(best).isEqualTo(Math.sqrt(480 / 6.0), within(1e-9));
        double atBest = mean(uneven, (int) Math.round(100 * best));
        assertThat(atBest).isLessThan(mean(uneven, 100)).isLessThan(mean(uneven, 10_000));
    }

    private static double mean(FarmSimulation farm, int parts) {
        double sum = 0;
        for (int seed = 0; seed < 10; seed++) {
            sum += farm.run(480_000, parts, 100, seed);
        }
        return sum / 10;
    }
}
