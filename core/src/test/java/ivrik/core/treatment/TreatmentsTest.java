package ivrik.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Made;
import ivrik.core.Pictured;
import ivrik.core.motion.Draw;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Resample;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Settings.Moment;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;

/** What holds for every treatment. */
class TreatmentsTest {
    static List<LaneTreatment> all() {
        return Treatments.ofLanes();
    }

    /** As it is shown off in the first lane, things of a series included. */
    static Settings shownOff(Treatment treatment, EdgeFill fill) {
        Map<String, Double> numbers = new HashMap<>();
        treatment.description().parameters().forEach(p -> numbers.put(p.name(), p.shownFirst()));
        treatment
                .description()
                .series()
                .ifPresent(
                        s -> {
                            for (int i = 0; i < 3; i++) {
                                for (Parameter p : s.parameters()) {
                                    numbers.put(
                                            s.address(i, p.name()),
                                            10.0 + 17 * i + p.name().length() * 3);
                                }
                            }
                        });
        return new Settings(
                numbers,
                Map.of(),
                fill,
                Sampler.CUBIC,
                new Moment(1, 7, new Draw(3, Draw.ANYWHERE)));
    }

    private static Plane done(
            LaneTreatment t, Plane in, Settings s, double scale, Workers workers) {
        return t.apply(in, s, context(scale, workers)).toPlane(workers);
    }

    private static Context context(double scale, Workers workers) {
        return new Context(
                scale, Treating.lane(0), Optional.of(Pictured.smooth(50, 40, 1.5)), workers);
    }

    @Test
    void namesAreTheirOwnAndRangesHoldWhatIsShown() {
        assertThat(Treatments.all().stream().map(t -> t.description().id()))
                .doesNotHaveDuplicates();
        for (Treatment t : Treatments.all()) {
            Description d = t.description();
            assertThat(d.help()).endsWith(".");
            assertThat(d.parameters().stream().map(Parameter::name)).doesNotHaveDuplicates();
            for (Parameter p : d.parameters()) {
                assertThat(p.rest()).isBetween(p.min(), p.max());
                assertThat(p.shownFirst()).isBetween(p.min(), p.max());
                assertThat(p.shownLast()).isBetween(p.min(), p.max());
            }
        }
    }

    @ParameterizedTest
    @MethodSource("all")
    void atRestItIsNeutralAndShownOffItIsNot(LaneTreatment treatment) {
        assertThat(treatment.isNeutral(Treating.settings(treatment, Map.of()))).isTrue();
        Settings shown = shownOff(treatment, EdgeFill.REPEAT);
        assertThat(treatment.isNeutral(shown)).isFalse();
        Plane in = Pictured.noise(64, 48, 3);
        assertThat(done(treatment, in, shown, 1, Workers.shared()).sameSamples(in)).isFalse();
        Map<String, Double> none = new HashMap<>(shown.numbers());
        none.put(Parameter.AMOUNT, 0.0);
        assertThat(
                        treatment.isNeutral(
                                new Settings(
                                        none,
                                        Map.of(),
                                        EdgeFill.REPEAT,
                                        Sampler.CUBIC,
                                        Moment.ANY)))
                .isTrue();
    }

    @ParameterizedTest
    @MethodSource("all")
    void anyNumberOfThreadsGivesTheSameBitsAndTheLaneIsLeftAsItIs(LaneTreatment treatment) {
        Plane in = Pictured.noise(201, 157, 6);
        Plane before = Plane.of(201, 157, in.data().clone());
        Settings shown = shownOff(treatment, EdgeFill.MIRROR);
        Workers single = new Workers(1);
        Plane one = done(treatment, in, shown, 1, single);
        for (int threads : new int[] {2, 7}) {
            try (Workers workers = new Workers(threads)) {
                assertThat(done(treatment, in, shown, 1, workers).sameSamples(one)).isTrue();
            }
        }
        assertThat(in.sameSamples(before)).isTrue();
    }

    @ParameterizedTest
    @MethodSource("all")
    void rowsAsTheyAreMadeAreTreatedAsTheirPlaneIs(LaneTreatment treatment) {
        Plane in = Pictured.noise(201, 157, 6);
        Workers workers = Workers.shared();
        for (EdgeFill fill : EdgeFill.values()) {
            Settings shown = shownOff(treatment, fill);
            Plane made =
                    treatment
                            .apply(Made.rows(in, new AtomicInteger()), shown, context(1, workers))
                            .toPlane(workers);
            assertThat(made.sameSamples(done(treatment, in, shown, 1, workers))).isTrue();
        }
    }

    /**
     * On a picture that is smooth at both sizes. What is random is compared in {@code NoiseTest}; blocks
     * and posterised steps have hard edges that fall between pixels, so most of the picture is compared.
     */
    @ParameterizedTest
    @MethodSource("all")
    void aSmallPreviewIsTheSmallVersionOfTheFullRender(LaneTreatment treatment) {
        if (treatment instanceof Grain || treatment instanceof AddedNoise) {
            return;
        }
        Plane in = Pictured.smooth(192, 128, 0.3);
        Size half = new Size(96, 64);
        Settings shown = shownOff(treatment, EdgeFill.REPEAT);
        Workers w = Workers.shared();
        Plane small = done(treatment, Resample.to(in, half, w), shown, 0.5, w);
        Plane full = Resample.to(done(treatment, in, shown, 1, w), half, w);
        double sum = 0;
        int far = 0;
        for (int i = 0; i < small.data().length; i++) {
            double apart = Math.abs(small.data()[i] - full.data()[i]);
            sum += apart;
            far += apart > 0.02 ? 1 : 0;
        }
        int all = small.data().length;
        boolean hard = treatment instanceof Posterise;
        boolean tiled =
                treatment instanceof Mask
                        || treatment instanceof Texture
                        || treatment instanceof Halftone
                        || treatment instanceof Dither;
        if (!tiled) {
            assertThat(sum / all).isLessThan(hard ? 0.03 : 0.006);
            assertThat((double) far / all).isLessThan(hard ? 0.2 : 0.08);
        }
    }

    @ParameterizedTest
    @MethodSource("all")
    void aPictureOfOnePixelIsNoTrouble(LaneTreatment treatment) {
        for (EdgeFill fill : EdgeFill.values()) {
            Plane one =
                    done(
                            treatment,
                            Plane.flat(1, 1, 0.4f),
                            shownOff(treatment, fill),
                            1,
                            Workers.shared());
            assertThat(one.at(0, 0)).isFinite();
        }
    }

    /** What is said to treat each value by itself, and alike everywhere, makes one value of one. */
    @Test
    void whatTreatsValuesByThemselvesTreatsThemAlikeEverywhere() {
        List<Plane> flat = Whole.flat(70, 50, 0.3);
        for (Treatment t : Treatments.all()) {
            Description d = t.description();
            if (!d.is(Trait.POINTWISE)
                    || d.is(Trait.PLACED)
                    || d.is(Trait.LIVE)
                    || d.is(Trait.PICTURE)) {
                continue;
            }
            Settings settings = shownOff(t, EdgeFill.REPEAT);
            List<Plane> made =
                    t instanceof PictureTreatment p
                            ? Whole.done(p, flat, settings, Optional.empty())
                            : List.of(
                                    done(
                                            (LaneTreatment) t,
                                            flat.getFirst(),
                                            settings,
                                            1,
                                            Workers.shared()));
            for (Plane plane : made) {
                assertThat(plane.isFlat(plane.at(0, 0))).as(d.id()).isTrue();
            }
        }
    }

    /** Blurs and what spreads the spectrum keep the light. */
    @Test
    void whatIsFlatStaysFlat() {
        Plane flat = Plane.flat(70, 50, 0.3f);
        for (LaneTreatment t : Treatments.ofLanes()) {
            Group group = t.description().group();
            if (group == Group.MOVES || group == Group.BLUR || group == Group.DETAIL) {
                if (t instanceof KernelFilter) {
                    continue;
                }
                Plane out = done(t, flat, shownOff(t, EdgeFill.REPEAT), 1, Workers.shared());
                for (float v : out.data()) {
                    assertThat(v).as(t.description().id()).isCloseTo(0.3f, within(1e-6f));
                }
            }
        }
    }

    @Test
    void dispersionLeavesWhatIsFlatExactly() {
        Plane flat = Plane.flat(70, 50, 0.3f);
        Dispersion d = new Dispersion();
        for (int lane = 0; lane < 3; lane++) {
            Context context =
                    new Context(1, Treating.lane(lane), Optional.empty(), Workers.shared());
            assertThat(
                            d.apply(flat, shownOff(d, EdgeFill.WRAP), context)
                                    .toPlane(Workers.shared())
                                    .sameSamples(flat))
                    .isTrue();
        }
    }
}
