package ivrik.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.Made;
import ivrik.core.Pictured;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;

import java.util.Arrays;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;

class ColourRowsTest {
    private static final int WIDTH = 19;
    private static final int HEIGHT = 40;
    private static final Workers WORKERS = Workers.shared();

    private final AtomicInteger made = new AtomicInteger();
    private final List<Plane> planes = List.of(plane(0), plane(1), plane(2));
    private final Plane other = plane(7);

    private static Plane plane(int seed) {
        return Pictured.smooth(WIDTH, HEIGHT, seed);
    }

    private void areWithTheOther(List<Plane> colour) {
        assertThat(colour.get(0).sameSamples(planes.get(0))).isTrue();
        assertThat(colour.get(1).sameSamples(other)).isTrue();
        assertThat(colour.get(2).sameSamples(planes.get(2))).isTrue();
    }

    @Test
    void channelsCanBeReplaced() {
        List<Rows> others = Arrays.asList(null, Rows.of(other), null);
        for (ColourRows rows : List.of(Made.stored(planes, made), Made.dear(planes, made))) {
            ColourRows changed = rows.with(others);
            areWithTheOther(changed.toPlanes(WORKERS));
            float[][] rgb = new float[3][WIDTH];
            changed.reader().row(5, rgb);
            assertThat(rgb[0]).containsExactly(row(planes.get(0), 5));
            assertThat(rgb[1]).containsExactly(row(other, 5));
        }
    }

    private static float[] row(Plane plane, int y) {
        return Arrays.copyOfRange(plane.data(), plane.row(y), plane.row(y) + WIDTH);
    }

    /** A channel that is expensive to compute must not be computed again for each consumer. */
    @Test
    void onlyStoredRowsOfferSingleChannels() {
        assertThat(Made.stored(planes, made).channels()).isPresent();
        assertThat(ColourRows.ofPlanes(planes).channels()).isPresent();
        assertThat(Made.dear(planes, made).channels()).isEmpty();
        Rows dear = Made.rows(other, made);
        assertThat(Made.stored(planes, made).with(Arrays.asList(null, dear, null)).channels())
                .isEmpty();
    }

    @Test
    void unchangedChannelsShareTheirPlanes() {
        ColourRows changed =
                ColourRows.ofPlanes(planes).with(Arrays.asList(null, Rows.of(other), null));
        assertThat(changed.toPlanes(WORKERS)).containsExactly(planes.get(0), other, planes.get(2));
    }

    @Test
    void replacedChannelsAreNotComputed() {
        ColourRows changed = Made.dear(planes, made).with(planes.stream().map(Rows::of).toList());
        assertThat(changed.toPlanes(WORKERS)).containsExactlyElementsOf(planes);
        assertThat(made.get()).isZero();
    }
}
