package ivrik.core.rejoin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;
import ivrik.core.separation.Rgb;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.List;

class CompositeTest {
    private final Workers workers = Workers.shared();

    @ParameterizedTest
    @EnumSource
    void untouchedInksRejoinToTheSourceInEveryWay(Rejoin rejoin) {
        Frame frame = Pictured.frame(19, 5);
        List<Plane> back =
                rejoin.join(new Rgb(), new Rgb().separate(frame.colour(), workers), workers);
        for (int c = 0; c < 3; c++) {
            assertThat(back.get(c).sameSamples(frame.colour().get(c))).isTrue();
        }
    }

    @ParameterizedTest
    @EnumSource
    void theGeneralFormulaOfTheStandardHolds(Blend blend) {
        for (double ab : new double[] {0, 0.3, 1}) {
            for (double as : new double[] {0, 0.6, 1}) {
                for (double amount : new double[] {0.5, 1}) {
                    double cb = 0.8;
                    double cs = 0.35;
                    double a = as * amount;
                    double expected =
                            (1 - a) * ab * cb + (1 - ab) * a * cs + a * ab * formula(blend, cb, cs);
                    Frame out = Composite.of(flat(cb, ab), flat(cs, as), blend, amount, workers);
                    assertThat((double) out.premultiplied(workers).colour().get(1).at(0, 0))
                            .isCloseTo(expected, within(1e-6));
                    assertThat((double) out.unionAlpha(workers).at(0, 0))
                            .isCloseTo(a + ab * (1 - a), within(1e-6));
                }
            }
        }
    }

    @Test
    void opaquePicturesBlendByAmount() {
        Frame under =
                Frame.opaque(Plane.of(1, 1, 0.2f), Plane.of(1, 1, 0.4f), Plane.of(1, 1, 0.9f));
        Frame over = Frame.opaque(Plane.of(1, 1, 0.5f), Plane.of(1, 1, 0.5f), Plane.of(1, 1, 0.5f));
        Frame added = Composite.of(under, over, Blend.ADD, 0.5, workers);
        assertThat(added.colour().get(0).at(0, 0)).isCloseTo(0.45f, within(1e-6f));
        Frame lighter = Composite.of(under, over, Blend.LIGHTEN, 1, workers);
        assertThat(lighter.colour().get(2).at(0, 0)).isEqualTo(0.9f);
        assertThat(Composite.of(under, over, Blend.SCREEN, 0, workers)).isSameAs(under);
    }

    @Test
    void mixingGoesAllTheWayExactly() {
        Frame a = Pictured.frame(3, 3);
        Frame b = flat(0.5, 0.5);
        assertThat(Composite.mix(a, b, 1, workers)).isSameAs(b);
        assertThat(Composite.mix(a, b, 0, workers)).isSameAs(a);
    }

    private static double formula(Blend blend, double b, double s) {
        return switch (blend) {
            case NORMAL -> s;
            case ADD -> b + s;
            case SCREEN -> 1 - (1 - b) * (1 - s);
            case LIGHTEN -> Math.max(b, s);
        };
    }

    private static Frame flat(double colour, double alpha) {
        Plane c = Plane.of(1, 1, (float) colour);
        return Frame.straight(c, c, c, Plane.of(1, 1, (float) alpha));
    }
}
