package ivrik.app.desk;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.From;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RulerTicksTest {
    /** At 25 fps over 800 px: labels at divisors of a second, or at whole seconds. */
    @ParameterizedTest
    @CsvSource({"25, 5", "100, 25", "150, 25", "250, 25", "1000, 125", "20000, 1500"})
    void labelsAreRoundTimes(int frames, long every) {
        assertThat(RulerTicks.of(800.0 / frames, 25).every()).isEqualTo(every);
    }

    @Provide
    Arbitrary<Double> rates() {
        return Arbitraries.of(23.976, 24.0, 25.0, 29.97, 30.0, 48.0, 50.0, 59.94, 60.0, 12.0);
    }

    @Property
    void severalLabelsAreVisibleAndEveryLabelIsOnATick(
            @ForAll @IntRange(min = 12, max = 1_000_000) int frames,
            @ForAll @IntRange(min = 400, max = 2400) int width,
            @ForAll @From("rates") double rate) {
        double frameWidth = (double) width / frames;
        RulerTicks ticks = RulerTicks.of(frameWidth, rate);
        assertThat(ticks.every() % ticks.small()).isZero();
        assertThat(ticks.every() * frameWidth).as("labels do not overlap").isGreaterThan(50);
        assertThat(frames / ticks.every()).as("labels after 0").isPositive();
    }
}
