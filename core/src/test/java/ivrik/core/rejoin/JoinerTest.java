package ivrik.core.rejoin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.picture.Plane;
import ivrik.core.separation.Ink;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

class JoinerTest {
    private final Workers workers = Workers.shared();

    private static List<Plane> flat(double... values) {
        List<Plane> planes = new ArrayList<>();
        for (double v : values) {
            planes.add(Plane.of(1, 1, (float) v));
        }
        return planes;
    }

    private static List<Plate> plates(Separation model) {
        List<Plate> plates = new ArrayList<>();
        for (LaneKind kind : model.lanes()) {
            plates.add(Plate.plain(plates.size(), kind));
        }
        return plates;
    }

    private double[] join(String model, List<Plate> plates, Rejoin rejoin, double... colour) {
        Separation separation = Separations.named(model);
        List<Plane> lanes = separation.separate(flat(colour), workers);
        return Joiner.join(separation, lanes, plates, rejoin, workers).stream()
                .mapToDouble(p -> p.at(0, 0))
                .toArray();
    }

    private static Plate with(Plate p, Ink ink, double strength) {
        return new Plate(p.lane(), p.shown(), ink, p.blend(), strength);
    }

    @Test
    void eachRgbLaneContributesToOneChannelSoThatSeveralWaysAgree() {
        List<Plate> plates = plates(Separations.named("rgb"));
        for (String way : List.of("exact", "add", "screen", "lighten", "exclusion", "difference")) {
            assertThat(join("rgb", plates, Rejoin.named(way), 0.2, 0.5, 0.9))
                    .as(way)
                    .containsExactly(new double[] {0.2, 0.5, 0.9}, within(1e-7));
        }
    }

    @Test
    void subtractiveInksMultiplyToThePicture() {
        List<Plate> plates = plates(Separations.named("cmyk"));
        assertThat(join("cmyk", plates, Rejoin.by(Blend.MULTIPLY), 0.2, 0.5, 0.9))
                .containsExactly(new double[] {0.2, 0.5, 0.9}, within(1e-6));
    }

    @Test
    void aRecolouredLightTakesThePlaceOfItsOwn() {
        List<Plate> plates = plates(Separations.named("rgb"));
        plates.set(0, with(plates.get(0), new Ink(1, 0.5f, 0), 1));
        assertThat(join("rgb", plates, Rejoin.EXACT, 0.4, 0.1, 0.3))
                .containsExactly(new double[] {0.4, 0.1 + 0.2, 0.3}, within(1e-6));
        assertThat(join("rgb", plates, Rejoin.by(Blend.ADD), 0.4, 0.1, 0.3))
                .containsExactly(new double[] {0.4, 0.3, 0.3}, within(1e-6));
    }

    @Test
    void aRecolouredInkMultipliesAsInkDoes() {
        List<Plate> plates = plates(Separations.named("cmy"));
        plates.set(2, with(plates.get(2), new Ink(1, 0.5f, 0), 1));
        // yellow 0.7 of an orange: takes 0.7 * 0.5 of green and 0.7 of blue
        assertThat(join("cmy", plates, Rejoin.EXACT, 0.9, 0.8, 0.3))
                .containsExactly(new double[] {0.9, 0.8 * (1 - 0.7 * 0.5), 0.3}, within(1e-6));
    }

    @Test
    void aWeakLaneGivesLessAndAHiddenOneNothing() {
        List<Plate> plates = plates(Separations.named("rgb"));
        plates.set(1, with(plates.get(1), Ink.GREEN, 0.25));
        plates.set(2, new Plate(2, false, Ink.BLUE, Optional.empty(), 1));
        assertThat(join("rgb", plates, Rejoin.EXACT, 0.4, 0.8, 0.3))
                .containsExactly(new double[] {0.4, 0.2, 0}, within(1e-6));
        assertThat(join("rgb", plates, Rejoin.by(Blend.SCREEN), 0.4, 0.8, 0.3))
                .containsExactly(new double[] {0.4, 0.2, 0}, within(1e-6));
    }

    @Test
    void theOrderAndALanesOwnModeDecide() {
        List<Plate> plates = plates(Separations.named("rgb"));
        List<Plate> redLast =
                List.of(
                        plates.get(1),
                        plates.get(2),
                        new Plate(0, true, Ink.RED, Optional.of(Blend.NORMAL), 1));
        assertThat(join("rgb", redLast, Rejoin.by(Blend.ADD), 0.4, 0.8, 0.3))
                .containsExactly(new double[] {0.4, 0, 0}, within(1e-7));
        List<Plate> redFirst = List.of(redLast.get(2), redLast.get(0), redLast.get(1));
        assertThat(join("rgb", redFirst, Rejoin.by(Blend.ADD), 0.4, 0.8, 0.3))
                .containsExactly(new double[] {0.4, 0.8, 0.3}, within(1e-7));
    }

    @Test
    void colourDifferencesAreSeenAroundGrey() {
        Separation model = Separations.named("ycbcr-709");
        LaneKind cr = model.lanes().get(2);
        List<Plane> neutral = Joiner.picture(Plane.of(1, 1, 0f), cr, cr.ink(), workers);
        assertThat(neutral.stream().mapToDouble(p -> p.at(0, 0)).toArray())
                .containsExactly(0.5, 0.5, 0.5);
        List<Plane> full = Joiner.picture(Plane.of(1, 1, 0.5f), cr, cr.ink(), workers);
        assertThat(full.get(0).at(0, 0)).isEqualTo(cr.ink().red());
    }

    @Test
    void nothingShownIsBlack() {
        Plate hidden = new Plate(0, false, Ink.RED, Optional.empty(), 1);
        assertThat(join("rgb", List.of(hidden), Rejoin.by(Blend.ADD), 1, 1, 1))
                .containsExactly(0, 0, 0);
    }
}
