package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.filter.Warp;
import ivrik.core.filter.WarpedPlane;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

import org.junit.jupiter.api.Test;

import java.util.List;

class TurnedTest {
    private final Workers workers = Workers.shared();

    private Plane turned(Plane in, Size size, double degrees, double x, double y) {
        List<Warp> laid = PlacementTransform.laid(in.size(), size, degrees, x, y);
        return WarpedPlane.of(in, size, laid, EdgeFill.EMPTY, Sampler.CUBIC).toPlane(workers);
    }

    @Property(tries = 60)
    void wholePixelsAndQuartersAreExact(
            @ForAll @IntRange(min = -3, max = 3) int dx,
            @ForAll @IntRange(min = -3, max = 3) int dy,
            @ForAll @IntRange(min = -8, max = 8) int quarters) {
        Plane in = Pictured.noise(11, 11, 3);
        Plane out = turned(in, in.size(), 90 * quarters, dx, dy);
        for (int y = 0; y < 11; y++) {
            for (int x = 0; x < 11; x++) {
                int u = x - dx - 5;
                int v = y - dy - 5;
                int[] back =
                        switch (Math.floorMod(quarters, 4)) {
                            case 0 -> new int[] {u, v};
                            case 1 -> new int[] {v, -u};
                            case 2 -> new int[] {-u, -v};
                            default -> new int[] {-v, u};
                        };
                int i = back[0] + 5;
                int j = back[1] + 5;
                float expected = i < 0 || j < 0 || i > 10 || j > 10 ? 0 : in.at(i, j);
                assertThat(out.at(x, y)).isEqualTo(expected);
            }
        }
    }

    @Test
    void rotationRoundTripKeepsASmoothPicture() {
        Plane in = Pictured.smooth(60, 60, 0.3);
        Plane there = turned(in, new Size(90, 90), 33, 0, 0);
        Plane back = turned(there, new Size(60, 60), -33, 0, 0);
        for (int y = 8; y < 52; y++) {
            for (int x = 8; x < 52; x++) {
                assertThat(back.at(x, y)).isCloseTo(in.at(x, y), within(2e-3f));
            }
        }
    }

    @Test
    void aRotatedRampRunsAlongItsNewDirection() {
        Plane ramp = Plane.of(61, 61);
        for (int i = 0; i < ramp.data().length; i++) {
            ramp.data()[i] = i % 61;
        }
        Plane out = turned(ramp, ramp.size(), 30, 0, 0);
        double cos = Math.cos(Math.toRadians(30));
        double sin = Math.sin(Math.toRadians(30));
        for (int y = 22; y < 39; y++) {
            for (int x = 22; x < 39; x++) {
                double expected = 30 + cos * (x - 30) + sin * (y - 30);
                assertThat((double) out.at(x, y)).isCloseTo(expected, within(1e-3));
            }
        }
    }
}
