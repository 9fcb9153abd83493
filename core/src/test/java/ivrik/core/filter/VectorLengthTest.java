package ivrik.core.filter;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.Pictured;
import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;

import jdk.incubator.vector.FloatVector;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;

/** Pictures are independent of the vector length of the machine. */
class VectorLengthTest {
    private static final Workers WORKERS = new Workers(1);

    @ParameterizedTest
    @ValueSource(ints = {16, 32})
    void filtersGiveTheSameBitsAtEveryVectorLength(int bytes)
            throws IOException, InterruptedException {
        Process other =
                new ProcessBuilder(
                                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                                "-XX:MaxVectorSize=" + bytes,
                                "--add-modules=jdk.incubator.vector",
                                "-cp",
                                System.getProperty("java.class.path"),
                                VectorLengthTest.class.getName())
                        .redirectError(ProcessBuilder.Redirect.DISCARD)
                        .start();
        String said = new String(other.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(other.waitFor()).isZero();
        assertThat(said.lines()).first().isEqualTo("vectors of " + bytes);
        assertThat(said.lines().skip(1)).containsExactlyElementsOf(results().toList());
    }

    /** Prints the results, for comparison with a machine of another vector length. */
    public static void main(String[] args) {
        System.out.println("vectors of " + FloatVector.SPECIES_PREFERRED.vectorByteSize());
        results().forEach(System.out::println);
    }

    private static Stream<String> results() {
        Plane in = Pictured.noise(117, 71, 9);
        Map<String, Function<EdgeFill, Rows>> filters = new LinkedHashMap<>();
        filters.put("box 5", f -> BoxFilter.of(in, 5, 4.5, f));
        filters.put("box 31", f -> BoxFilter.of(in, 31, 22.5, f));
        filters.put("greatest", f -> Morphology.DILATION.of(in, 6, false, f, WORKERS));
        filters.put("least of discs", f -> Morphology.EROSION.of(in, 5, true, f, WORKERS));
        filters.put("median 3", f -> new Median(in, 1, f));
        filters.put("median 5", f -> new Median(in, 2, f));
        filters.put("Gaussian", f -> Gaussian.of(in, 2.2, 1.4, f, WORKERS));
        filters.put("wide Gaussian", f -> Gaussian.of(in, 14, 9, f, WORKERS));
        filters.put("to light", f -> applied(in, TransferTable.toLinear(Transfer.SRGB)));
        filters.put("from light", f -> applied(in, TransferTable.fromLinear(Transfer.SRGB)));
        for (Sampler sampler : Sampler.values()) {
            filters.put("lens " + sampler, f -> WarpedPlane.of(in, List.of(lens()), f, sampler));
            filters.put("pins " + sampler, f -> WarpedPlane.of(in, List.of(pins(in)), f, sampler));
        }
        for (double scale : new double[] {1, 0.5}) {
            for (double size : new double[] {1, 2.5, 12}) {
                Noise.Origin origin = new Noise.Origin(3, 4, 0.4, Noise.Spread.GAUSSIAN);
                filters.put(
                        "grain of " + size + " at " + scale,
                        f -> new Noise(in.size(), size, scale, origin));
            }
        }
        return filters.entrySet().stream()
                .flatMap(
                        e ->
                                Arrays.stream(EdgeFill.values())
                                        .map(
                                                f ->
                                                        e.getKey()
                                                                + ", "
                                                                + f
                                                                + ": "
                                                                + bits(e.getValue().apply(f))));
    }

    private static Rows applied(Plane in, TransferTable table) {
        float[] values = in.data().clone();
        table.apply(values, values.length);
        return Rows.of(Plane.of(in.width(), in.height(), values));
    }

    private static Warp lens() {
        return new RadialWarp(60, 33, 68, 1.2, 0.04, -0.1, 0.03);
    }

    private static Warp pins(Plane in) {
        List<MovingLeastSquares.Pin> pins =
                List.of(
                        new MovingLeastSquares.Pin(30, 20, 9, -4),
                        new MovingLeastSquares.Pin(80, 50, -6, 8));
        return MovingLeastSquares.of(pins, 20, MovingLeastSquares.Kind.RIGID, in.size());
    }

    private static int bits(Rows rows) {
        return Arrays.hashCode(rows.toPlane(WORKERS).data());
    }
}
