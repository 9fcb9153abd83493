package ivrik.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.Pictured;
import ivrik.core.motion.RandomKey;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Region;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Settings.Moment;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A treatment with an edge fill equals the treatment of a picture extended by the same fill, far enough that
 * the picture's own edges have no influence.
 */
class EdgesTest {
    private static final int WIDTH = 66;
    private static final int HEIGHT = 51;
    private static final int MARGIN = 180;

    /** The ratio of the diagonals of the extended and the original picture. */
    private static final double LARGER =
            Math.hypot(WIDTH + 2 * MARGIN, HEIGHT + 2 * MARGIN) / Math.hypot(WIDTH, HEIGHT);

    static Stream<Treatment> all() {
        List<TreatmentGroup> groups =
                List.of(TreatmentGroup.MOVES, TreatmentGroup.BLUR, TreatmentGroup.DETAIL);
        return Treatments.all().stream().filter(t -> groups.contains(t.description().group()));
    }

    @ParameterizedTest
    @MethodSource("all")
    void anEdgeFillExtendsThePicture(ChannelTreatment treatment) {
        Plane in = Pictured.noise(WIDTH, HEIGHT, 5);
        for (EdgeFill fill : EdgeFill.values()) {
            Plane asked = done(treatment, in, numbers(treatment, 1), fill);
            Plane large = done(treatment, continued(in, fill), numbers(treatment, LARGER), fill);
            Plane inner = large.crop(new Region(MARGIN, MARGIN, WIDTH, HEIGHT));
            double worst = 0;
            for (int y = 0; y < HEIGHT; y++) {
                for (int x = 0; x < WIDTH; x++) {
                    worst = Math.max(worst, Math.abs(asked.at(x, y) - inner.at(x, y)));
                }
            }
            assertThat(worst).as("%s", fill).isLessThan(tolerance(treatment));
        }
    }

    /**
     * Sums of copies use a number that depends on the picture size; pins use a grid within a twentieth of a
     * pixel.
     */
    private static double tolerance(ChannelTreatment treatment) {
        return switch (treatment) {
            case ZoomBlur z -> 0.1;
            case SpinBlur s -> 0.1;
            case Dispersion d -> 0.1;
            case PinWarp p -> 0.05;
            default -> 2e-3;
        };
    }

    private static Plane done(
            ChannelTreatment treatment, Plane in, Map<String, Double> numbers, EdgeFill fill) {
        Settings settings =
                new Settings(
                        numbers,
                        Map.of(),
                        fill,
                        Sampler.CUBIC,
                        new Moment(1, 7, new RandomKey(3, RandomKey.ANYWHERE)));
        Workers workers = Workers.shared();
        Context context = new Context(1, Treating.channel(0), Optional.empty(), workers);
        return treatment.apply(in, settings, context).toPlane(workers);
    }

    /** The example settings; corner values are scaled to the position of the original corner. */
    private static Map<String, Double> numbers(ChannelTreatment treatment, double larger) {
        Map<String, Double> numbers =
                new HashMap<>(
                        TreatmentsTest.withExampleSettings(treatment, EdgeFill.EMPTY).numbers());
        if (treatment instanceof LensDistortion) {
            numbers.merge("k1", larger * larger, (a, b) -> a * b);
            numbers.merge("k2", larger * larger * larger * larger, (a, b) -> a * b);
        }
        if (treatment instanceof Dispersion || treatment instanceof ZoomBlur) {
            numbers.merge("length", larger, (a, b) -> a * b);
        }
        if (treatment instanceof TiledScroll && larger > 1) {
            numbers.merge("x", (double) WIDTH / (WIDTH + 2 * MARGIN), (a, b) -> a * b);
        }
        if (treatment instanceof Displacement) {
            numbers.put("size", 4000.0); // blocks start at the corner; one block covers all
            numbers.put("affected", 100.0);
        }
        if (treatment instanceof TimeBaseError) {
            numbers.put("line-height", 1000.0); // lines start at the top
            numbers.put("head-switching", 0.0);
        }
        if (treatment instanceof BandwidthLimit && larger > 1) {
            numbers.merge("resolution", (HEIGHT + 2.0 * MARGIN) / HEIGHT, (a, b) -> a * b);
        }
        if (treatment instanceof PinWarp) {
            numbers.put("border-spacing", 0.0);
        }
        return numbers;
    }

    private static Plane continued(Plane in, EdgeFill fill) {
        Size size = new Size(in.width() + 2 * MARGIN, in.height() + 2 * MARGIN);
        float[] samples = new float[size.width() * size.height()];
        for (int y = 0; y < size.height(); y++) {
            for (int x = 0; x < size.width(); x++) {
                int i = fill.inside(x - MARGIN, in.width());
                int j = fill.inside(y - MARGIN, in.height());
                samples[y * size.width() + x] = i < 0 || j < 0 ? 0 : in.at(i, j);
            }
        }
        return Plane.of(size.width(), size.height(), samples);
    }
}
