package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;

class OutputDitherTest {
    private final Workers workers = Workers.shared();

    private Plane dithered(Plane p, long number) {
        return OutputDither.of(Frame.opaque(p, p, p), Depth.INT8, number, workers)
                .colour()
                .getFirst();
    }

    @Test
    void exactCodesStayUndithered() {
        Plane codes = Plane.of(256, 40);
        for (int i = 0; i < codes.data().length; i++) {
            codes.data()[i] = Depth.INT8.toFloat(i % 256);
        }
        Plane out = dithered(codes, 3);
        for (int i = 0; i < codes.data().length; i++) {
            assertThat(Depth.INT8.toCode(out.data()[i])).isEqualTo(i % 256);
        }
    }

    @Test
    void ditherKeepsTheMean() {
        for (double part : new double[] {0.1, 0.25, 0.5, 0.8}) {
            Plane flat = Plane.flat(400, 400, (float) ((100 + part) / 255));
            double sum = 0;
            for (float v : dithered(flat, 1).data()) {
                sum += Depth.INT8.toCode(v);
            }
            assertThat(sum / 160_000).isCloseTo(100 + part, within(0.01));
        }
    }

    @Test
    void ditherIsRepeatableAndChangesPerFrame() {
        Plane noise = Pictured.noise(64, 64, 1);
        Frame frame = Frame.opaque(noise, noise, noise);
        Frame one = OutputDither.of(frame, Depth.INT8, 5, new Workers(1));
        Frame many = OutputDither.of(frame, Depth.INT8, 5, workers);
        assertThat(one.colour().get(2).sameSamples(many.colour().get(2))).isTrue();
        assertThat(one.colour().get(2).sameSamples(one.colour().get(1))).isFalse();
        assertThat(dithered(noise, 6).sameSamples(dithered(noise, 5))).isFalse();
    }
}
