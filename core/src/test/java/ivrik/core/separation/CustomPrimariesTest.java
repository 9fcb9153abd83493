package ivrik.core.separation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;

class CustomPrimariesTest {
    private static final int N = 4096;

    private final Workers workers = Workers.shared();
    private final Random random = new Random(31);

    private List<Ink> randomInks() {
        List<Ink> inks = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            inks.add(Ink.parse(String.format("%06x", random.nextInt(1 << 24))));
        }
        return inks;
    }

    /** Two random colours and a third close to a mixture of both. */
    private List<Ink> nearlyPlanar() {
        List<Ink> inks = randomInks();
        float t = random.nextFloat();
        float off = random.nextFloat() * 0.05f;
        Ink a = inks.get(0);
        Ink b = inks.get(1);
        inks.set(
                2,
                new Ink(
                        a.red() + t * (b.red() - a.red()),
                        Math.min(1, a.green() + t * (b.green() - a.green()) + off),
                        a.blue() + t * (b.blue() - a.blue())));
        return inks;
    }

    private int wrongCodes(CustomPrimaries customPrimaries, int steps) {
        float[][] c = new float[3][N];
        for (int i = 0; i < N; i++) {
            for (int k = 0; k < 3; k++) {
                int code = i % 3 == 0 ? random.nextInt(40) : random.nextInt(steps + 1);
                c[k][i] = (i % 3 == 0 && k == i % 2 ? steps : code) / (float) steps;
            }
        }
        List<Plane> source = Stream.of(c).map(a -> Plane.of(64, 64, a)).toList();
        List<Plane> back =
                customPrimaries.rejoin(customPrimaries.separateFully(source, workers), workers);
        int wrong = 0;
        for (int k = 0; k < 3; k++) {
            for (int i = 0; i < N; i++) {
                wrong +=
                        Math.round(back.get(k).data()[i] * steps) == Math.round(c[k][i] * steps)
                                ? 0
                                : 1;
            }
        }
        return wrong;
    }

    @Test
    void acceptedPrimariesRoundTripExactly() {
        int tried = 0;
        int bad = 0;
        while (tried < 120) {
            List<Ink> inks = tried % 2 == 0 ? randomInks() : nearlyPlanar();
            double condition = CustomPrimaries.condition(inks, false);
            if (condition > CustomPrimaries.WORST_CONDITION) {
                continue;
            }
            tried++;
            bad += condition > 200 ? 1 : 0;
            assertThat(wrongCodes(new CustomPrimaries(inks, false), 65535))
                    .as("%s of condition %f", inks, condition)
                    .isZero();
        }
        assertThat(bad).as("some are badly conditioned").isGreaterThan(10);
    }

    @Test
    void acceptedPrimariesRoundTripInLinearLight() {
        int bad = 0;
        for (int i = 0; i < 120; ) {
            List<Ink> inks = i % 2 == 0 ? randomInks() : nearlyPlanar();
            double condition = CustomPrimaries.condition(inks, true);
            if (condition <= CustomPrimaries.WORST_CONDITION) {
                i++;
                bad += condition > 200 ? 1 : 0;
                assertThat(wrongCodes(new CustomPrimaries(inks, true), 65535))
                        .as("%s of condition %f", inks, condition)
                        .isZero();
            }
        }
        assertThat(bad).as("some are badly conditioned").isGreaterThan(10);
    }

    @Test
    void coplanarColoursAreRefusedAndTheNearestOffered() {
        List<Ink> planar = List.of(Ink.RED, Ink.GREEN, new Ink(0.6f, 0.4f, 0));
        PlanarPrimariesException refusal =
                catchThrowableOfType(
                        PlanarPrimariesException.class, () -> new CustomPrimaries(planar, false));
        assertThat(refusal).hasMessageContaining("infinite").hasMessageContaining("996600");
        assertThat(CustomPrimaries.condition(refusal.nearest(), false)).isLessThan(101);
        assertThat(new CustomPrimaries(refusal.nearest(), false).inks())
                .isEqualTo(refusal.nearest());
        assertThat(refusal.oneLine()).contains("nearest valid primaries");
        assertThatThrownBy(() -> new CustomPrimaries(List.of(Ink.BLACK, Ink.RED, Ink.BLUE), true))
                .isInstanceOf(PlanarPrimariesException.class);
        List<Ink> greys = List.of(new Ink(0.2f, 0.2f, 0.2f), Ink.WHITE, Ink.BLACK);
        assertThat(CustomPrimaries.condition(CustomPrimaries.nearest(greys, false), false))
                .isLessThan(101);
    }

    @Test
    void customPrimariesOfRedGreenAndBlueAreRgb() {
        Plane a = Plane.of(2, 1, 0.25f, -1f);
        Plane b = Plane.of(2, 1, 0.5f, 3f);
        CustomPrimaries customPrimaries =
                new CustomPrimaries(List.of(Ink.RED, Ink.GREEN, Ink.BLUE), false);
        List<Plane> channels = customPrimaries.separate(List.of(a, b, a), workers);
        assertThat(channels.get(0).data()).containsExactly(0.25f, -1f);
        assertThat(channels.get(1).data()).containsExactly(0.5f, 3f);
    }
}
