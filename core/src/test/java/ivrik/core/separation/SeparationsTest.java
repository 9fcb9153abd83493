package ivrik.core.separation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.UnknownNameException;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;

/** Every colour model against published numbers; untouched channels rejoin to the source. */
class SeparationsTest {
    private static final int N = 1 << 16;

    private final Workers workers = Workers.shared();

    static Stream<Separation> models() {
        return Stream.concat(
                Separations.all().stream(),
                Stream.of(
                                "cmyk:0",
                                "cmyk:0.6",
                                "primaries:ff8020,20ff60,4040ff",
                                "primaries:ff8020,20ff60,4040ff,linear")
                        .map(Separations::named));
    }

    private List<Plane> roundTrip(Separation model, List<Plane> colour) {
        return model.rejoin(model.separate(colour, workers), workers);
    }

    /** Random codes with a number of steps, including all corners and greys. */
    private static List<Plane> codes(int steps, long seed) {
        Random random = new Random(seed);
        float[][] c = new float[3][N];
        for (int i = 0; i < N; i++) {
            for (int k = 0; k < 3; k++) {
                c[k][i] =
                        i < 8
                                ? i >> k & 1
                                : i < N / 4
                                        ? (i % (steps + 1)) / (float) steps
                                        : random.nextInt(steps + 1) / (float) steps;
            }
        }
        return Stream.of(c).map(a -> Plane.of(256, 256, a)).toList();
    }

    @ParameterizedTest
    @MethodSource("models")
    void untouchedChannelsRejoinToTheSourceAtEightAndSixteenBit(Separation model) {
        for (int steps : new int[] {255, 65535}) {
            List<Plane> source = codes(steps, steps);
            List<Plane> back = roundTrip(model, source);
            for (int c = 0; c < 3; c++) {
                for (int i = 0; i < N; i++) {
                    assertThat(Math.round(back.get(c).data()[i] * steps))
                            .as("channel %d of %s", c, colour(source, i))
                            .isEqualTo(Math.round(source.get(c).data()[i] * steps));
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("models")
    void colourOutsideTheRangeRoundTrips(Separation model) {
        Random random = new Random(23);
        float[][] c = new float[3][N];
        for (int i = 0; i < N; i++) {
            for (int k = 0; k < 3; k++) {
                c[k][i] = random.nextFloat() * 2 - 0.5f;
            }
        }
        List<Plane> source = Stream.of(c).map(a -> Plane.of(256, 256, a)).toList();
        List<Plane> back = roundTrip(model, source);
        for (int k = 0; k < 3; k++) {
            for (int i = 0; i < N; i++) {
                assertThat(back.get(k).data()[i])
                        .as("channel %d of %s", k, colour(source, i))
                        .isCloseTo(c[k][i], within(2e-5f));
            }
        }
    }

    @ParameterizedTest
    @MethodSource("models")
    void aSmoothRampDoesNotBand(Separation model) {
        float[] ramp = new float[N];
        for (int i = 0; i < N; i++) {
            ramp[i] = i / 65535f;
        }
        Plane p = Plane.of(N, 1, ramp);
        List<Plane> back = roundTrip(model, List.of(p, p, p));
        for (Plane channel : back) {
            for (int i = 0; i < N; i++) {
                assertThat(Math.round(channel.data()[i] * 65535)).isEqualTo(i);
            }
        }
    }

    private static List<Float> colour(List<Plane> planes, int i) {
        return planes.stream().map(p -> p.data()[i]).toList();
    }

    @ParameterizedTest
    @CsvSource({
        // model, colour, channels: from the examples of the standards or computed by hand
        "cmy, 1 0.25 0, 0 0.75 1",
        "cmyk, 0.5 0.25 0, 0 0.5 1 0.5",
        "cmyk, 0 0 0, 0 0 0 1",
        "cmyk:0.5, 0.5 0.25 0, 0.333333 0.666667 1 0.25",
        "ycbcr-601, 1 0 0, 0.299 -0.168736 0.5",
        "ycbcr-709, 0 0 1, 0.0722 0.5 -0.0458471",
        "ycbcr-2020, 0 1 0, 0.678 -0.360369 -0.459786",
        "ycocg, 1 0 0, 0.25 0.5 -0.25",
        "ycocg, 0.2 0.6 0.4, 0.45 -0.1 0.15",
        "xyz, 1 1 1, 0.95046 1 1.08906",
        "xyz, 1 0 0, 0.41239 0.21264 0.01933",
        "lms, 1 1 1, 1 1 1",
        "lab, 1 0 0, 0.53240 0.80094 0.67203",
        "lab, 1 1 1, 1 0 0",
        "lab, 0 0 1, 0.32297 0.79188 -1.07860",
        "oklab, 1 0 0, 0.62796 0.22486 0.12585",
        "oklab, 1 1 1, 1 0 0",
        "oklab, 0 0 1, 0.45201 -0.03246 -0.31153",
        "hsv, 0.5 0.25 0.25, 0 0.25 0.5",
        "hsv, 0 1 1, 0.5 1 1",
        "hsv, 0.2 0.1 0.4, 0.722222 0.3 0.4",
        "'primaries:ff0000,00ff00,0000ff', 0.1 0.2 0.3, 0.1 0.2 0.3",
        "'primaries:ffff00,00ffff,ff00ff', 1 1 1, 0.5 0.5 0.5"
    })
    void channelsMatchPublishedValues(String model, String colour, String channels) {
        List<Plane> in = planes(colour);
        List<Plane> out = Separations.named(model).separate(in, workers);
        double[] expected = numbers(channels);
        assertThat(out).hasSameSizeAs(Separations.named(model).channels());
        for (int i = 0; i < expected.length; i++) {
            assertThat((double) out.get(i).at(0, 0)).isCloseTo(expected[i], within(2e-4));
        }
    }

    private static double[] numbers(String text) {
        return Stream.of(text.split(" ")).mapToDouble(Double::parseDouble).toArray();
    }

    private static List<Plane> planes(String text) {
        List<Plane> planes = new ArrayList<>();
        for (double v : numbers(text)) {
            planes.add(Plane.of(1, 1, (float) v));
        }
        return planes;
    }

    @ParameterizedTest
    @MethodSource("models")
    void modelNamesRoundTripAndListTheirChannels(Separation model) {
        assertThat(Separations.named(model.id()).id()).isEqualTo(model.id());
        assertThat(model.channels().stream().map(ChannelKind::id)).doesNotHaveDuplicates();
        assertThat(model.channels().stream().map(ChannelKind::letter)).doesNotHaveDuplicates();
        assertThat(model.channels().stream().map(ChannelKind::role)).doesNotHaveDuplicates();
    }

    @Test
    void unknownModelsAreExplained() {
        assertThatThrownBy(() -> Separations.named("cmky"))
                .isInstanceOf(UnknownNameException.class);
        assertThatThrownBy(() -> Separations.named("cmyk:2"))
                .isInstanceOf(SeparationArgumentException.class)
                .hasMessageContaining("between 0 and 1");
        assertThatThrownBy(() -> Separations.named("primaries:ff0000,00ff00"))
                .isInstanceOf(SeparationArgumentException.class);
        assertThatThrownBy(() -> Separations.named("primaries:ff0000,00ff00,blue"))
                .isInstanceOf(SeparationArgumentException.class)
                .hasMessageContaining("blue");
    }
}
