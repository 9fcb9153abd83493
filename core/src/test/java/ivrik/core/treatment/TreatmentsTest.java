package ivrik.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Made;
import ivrik.core.Pictured;
import ivrik.core.motion.RandomKey;
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

/** Laws of every treatment. */
class TreatmentsTest {
    static List<ChannelTreatment> all() {
        return Treatments.ofChannels();
    }

    /** The example settings of the first channel, with members of a series. */
    static Settings withExampleSettings(Treatment treatment, EdgeFill fill) {
        Map<String, Double> numbers = new HashMap<>();
        treatment.description().parameters().forEach(p -> numbers.put(p.name(), p.exampleFirst()));
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
                new Moment(1, 7, new RandomKey(3, RandomKey.ANYWHERE)));
    }

    private static Plane done(
            ChannelTreatment t, Plane in, Settings s, double scale, Workers workers) {
        return t.apply(in, s, context(scale, workers)).toPlane(workers);
    }

    private static Context context(double scale, Workers workers) {
        return new Context(
                scale, Treating.channel(0), Optional.of(Pictured.smooth(50, 40, 1.5)), workers);
    }

    @Test
    void namesAreUniqueAndRangesContainTheExamples() {
        assertThat(Treatments.all().stream().map(t -> t.description().id()))
                .doesNotHaveDuplicates();
        for (Treatment t : Treatments.all()) {
            Description d = t.description();
            assertThat(d.help()).endsWith(".");
            assertThat(d.parameters().stream().map(Parameter::name)).doesNotHaveDuplicates();
            for (Parameter p : d.parameters()) {
                assertThat(p.rest()).isBetween(p.min(), p.max());
                assertThat(p.exampleFirst()).isBetween(p.min(), p.max());
                assertThat(p.exampleLast()).isBetween(p.min(), p.max());
            }
        }
    }

    @ParameterizedTest
    @MethodSource("all")
    void aTreatmentIsNeutralAtRestOnly(ChannelTreatment treatment) {
        assertThat(treatment.isNeutral(Treating.settings(treatment, Map.of()))).isTrue();
        Settings shown = withExampleSettings(treatment, EdgeFill.REPEAT);
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
    void anyNumberOfThreadsGivesTheSameBitsAndKeepsTheInput(ChannelTreatment treatment) {
        Plane in = Pictured.noise(201, 157, 6);
        Plane before = Plane.of(201, 157, in.data().clone());
        Settings shown = withExampleSettings(treatment, EdgeFill.MIRROR);
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
    void treatedRowsEqualTheTreatedPlane(ChannelTreatment treatment) {
        Plane in = Pictured.noise(201, 157, 6);
        Workers workers = Workers.shared();
        for (EdgeFill fill : EdgeFill.values()) {
            Settings shown = withExampleSettings(treatment, fill);
            Plane made =
                    treatment
                            .apply(Made.rows(in, new AtomicInteger()), shown, context(1, workers))
                            .toPlane(workers);
            assertThat(made.sameSamples(done(treatment, in, shown, 1, workers))).isTrue();
        }
    }

    /**
     * On a picture that is smooth at both sizes. {@code NoiseTest} compares random treatments; blocks and
     * posterised steps have hard edges between pixels, so only most of the picture is compared.
     */
    @ParameterizedTest
    @MethodSource("all")
    void aSmallPreviewIsTheSmallVersionOfTheFullRender(ChannelTreatment treatment) {
        if (treatment instanceof Grain || treatment instanceof AddedNoise) {
            return;
        }
        Plane in = Pictured.smooth(192, 128, 0.3);
        Size half = new Size(96, 64);
        Settings shown = withExampleSettings(treatment, EdgeFill.REPEAT);
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
                treatment instanceof ScreenPattern
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
    void aPictureOfOnePixelIsTreated(ChannelTreatment treatment) {
        for (EdgeFill fill : EdgeFill.values()) {
            Plane one =
                    done(
                            treatment,
                            Plane.flat(1, 1, 0.4f),
                            withExampleSettings(treatment, fill),
                            1,
                            Workers.shared());
            assertThat(one.at(0, 0)).isFinite();
        }
    }

    /**
     * A treatment with the pointwise trait gives equal results for equal values at every position.
     */
    @Test
    void pointwiseTreatmentsGiveEqualResultsEverywhere() {
        List<Plane> flat = Whole.flat(70, 50, 0.3);
        for (Treatment t : Treatments.all()) {
            Description d = t.description();
            if (!d.is(Trait.POINTWISE)
                    || d.is(Trait.PLACED)
                    || d.is(Trait.LIVE)
                    || d.is(Trait.PICTURE)) {
                continue;
            }
            Settings settings = withExampleSettings(t, EdgeFill.REPEAT);
            List<Plane> made =
                    t instanceof PictureTreatment p
                            ? Whole.done(p, flat, settings, Optional.empty())
                            : List.of(
                                    done(
                                            (ChannelTreatment) t,
                                            flat.getFirst(),
                                            settings,
                                            1,
                                            Workers.shared()));
            for (Plane plane : made) {
                assertThat(plane.isFlat(plane.at(0, 0))).as(d.id()).isTrue();
            }
        }
    }

    /** Blurs and spectral spreads preserve the mean. */
    @Test
    void blursKeepAFlatPictureFlat() {
        Plane flat = Plane.flat(70, 50, 0.3f);
        for (ChannelTreatment t : Treatments.ofChannels()) {
            TreatmentGroup group = t.description().group();
            if (group == TreatmentGroup.MOVES
                    || group == TreatmentGroup.BLUR
                    || group == TreatmentGroup.DETAIL) {
                if (t instanceof ConvolutionKernel) {
                    continue;
                }
                Plane out =
                        done(t, flat, withExampleSettings(t, EdgeFill.REPEAT), 1, Workers.shared());
                for (float v : out.data()) {
                    assertThat(v).as(t.description().id()).isCloseTo(0.3f, within(1e-6f));
                }
            }
        }
    }

    @Test
    void dispersionKeepsAFlatPictureExact() {
        Plane flat = Plane.flat(70, 50, 0.3f);
        Dispersion d = new Dispersion();
        for (int channel = 0; channel < 3; channel++) {
            Context context =
                    new Context(1, Treating.channel(channel), Optional.empty(), Workers.shared());
            assertThat(
                            d.apply(flat, withExampleSettings(d, EdgeFill.WRAP), context)
                                    .toPlane(Workers.shared())
                                    .sameSamples(flat))
                    .isTrue();
        }
    }
}
