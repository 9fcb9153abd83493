package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.look.Look;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.ChannelTreatment;
import ivrik.core.treatment.MedianFilter;
import ivrik.core.treatment.MinimumMaximum;
import ivrik.core.treatment.UnsharpMask;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.stream.Stream;

/**
 * Detail treatments extend a layer's colour beyond its edge: a flat colour stays flat up to the edge.
 */
class EdgeOfCoverageTest {
    private static final int W = 64;
    private static final int H = 48;

    record Case(ChannelTreatment treatment, String number, double value, String model) {}

    static Stream<Case> cases() {
        return Stream.of("rgb", "ycbcr-709", "lab", "cmyk")
                .flatMap(
                        model ->
                                Stream.of(
                                        new Case(new UnsharpMask(), "strength", 300, model),
                                        new Case(new MedianFilter(), "radius", 4, model),
                                        new Case(new MinimumMaximum(), "radius", 5, model)));
    }

    @ParameterizedTest
    @MethodSource("cases")
    void aFlatColourStaysFlatUpToTheEdge(Case c) {
        Plane flat = Plane.flat(W, H, 0.5f);
        Plane cover = Pictured.disc(W, H, 16);
        Scene title = new Scene(Frame.straight(flat, flat, flat, cover));
        Look look = Look.atRest("l", Separations.named(c.model), c.treatment);
        for (int channel = 0; channel < look.channels().size(); channel++) {
            look = look.withSettings(0, channel, a -> a.with(c.number, Value.of(c.value)));
        }
        Frame out = title.render(title.project(look), 0).premultiplied(Workers.shared());
        List<Plane> colour = out.colour();
        int seen = 0;
        for (int i = 0; i < W * H; i++) {
            float alpha = out.coverage().getFirst().data()[i];
            if (cover.data()[i] > 0.05f && alpha > 0.05f) {
                seen++;
                for (Plane plane : colour) {
                    assertThat(plane.data()[i] / alpha).isCloseTo(0.5f, within(2e-3f));
                }
            }
        }
        assertThat(seen).isGreaterThan(500);
    }
}
