package ivrik.core.rejoin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;

class CompositeTest {
    private final Workers workers = Workers.shared();

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
    void aFullMixIsExact() {
        Frame a = Pictured.frame(3, 3);
        Frame b = flat(0.5, 0.5);
        assertThat(Composite.mix(a, b, 1, workers)).isSameAs(b);
        assertThat(Composite.mix(a, b, 0, workers)).isSameAs(a);
    }

    private static Frame flat(double colour, double alpha) {
        Plane c = Plane.of(1, 1, (float) colour);
        return Frame.straight(c, c, c, Plane.of(1, 1, (float) alpha));
    }
}
