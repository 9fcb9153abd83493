package ivrik.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.Pictured;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;

import java.util.List;

class FrameTest {
    private final Workers workers = Workers.shared();

    @Test
    void multiplyingByCoverageAndBackKeepsEveryCodeOfACoveredPixel() {
        Plane colour = Plane.of(256, 1);
        for (int i = 0; i < 256; i++) {
            colour.data()[i] = Depth.INT8.toFloat(i);
        }
        for (int a = 1; a < 256; a++) {
            Plane cover = Plane.flat(256, 1, Depth.INT8.toFloat(a));
            Frame back =
                    Frame.straight(colour, colour, colour, cover)
                            .premultiplied(workers)
                            .straight(workers);
            for (int i = 0; i < 256; i++) {
                assertThat(Depth.INT8.toCode(back.colour().getFirst().at(i, 0))).isEqualTo(i);
            }
        }
    }

    @Test
    void theAlphaOfAFileIsTheUnionOfTheChannelsCoverage() {
        Plane none = Plane.of(3, 1);
        Frame parted =
                new Frame(
                        List.of(none, none, none),
                        Alpha.PREMULTIPLIED,
                        List.of(
                                Plane.of(3, 1, 1, 0, 0),
                                Plane.of(3, 1, 0, 0.5f, 0),
                                Plane.of(3, 1, 0, 0.25f, 0)));
        assertThat(parted.unionAlpha(workers).data()).containsExactly(1f, 0.5f, 0f);
    }

    @Test
    void aCropSharesSamplesAndReadsTheRightOnes() {
        Plane plane = Pictured.noise(9, 7, 3);
        Plane part = plane.crop(new Region(2, 3, 4, 2));
        assertThat(part.data()).isSameAs(plane.data());
        assertThat(part.at(3, 1)).isEqualTo(plane.at(5, 4));
    }

    @Test
    void anOpaqueFrameHasNoAlpha() {
        Frame frame = Pictured.frame(2, 2);
        assertThatThrownBy(() -> frame.unionAlpha(workers))
                .isInstanceOf(IllegalStateException.class);
        assertThat(frame.premultiplied(workers)).isSameAs(frame);
    }

    @Test
    void aFailureInABandIsThrownToTheCaller() {
        try (Workers two = new Workers(2)) {
            assertThatThrownBy(
                            () ->
                                    two.rows(
                                            500,
                                            (from, to) -> {
                                                if (from >= 256) {
                                                    throw new IllegalStateException("band " + from);
                                                }
                                            }))
                    .hasMessageStartingWith("band");
        }
    }

    @Test
    void aFrameOfOneCoverageKeepsItsPremultipliedColour() {
        Plane full = Plane.flat(2, 1, 1);
        Plane none = Plane.of(2, 1);
        Frame parted =
                new Frame(
                        List.of(full, none, none), Alpha.PREMULTIPLIED, List.of(full, none, none));
        Frame united = parted.united(workers);
        assertThat(united.coverage()).allMatch(p -> p.at(0, 0) == 1);
        assertThat(united.colour().get(0).at(0, 0)).isEqualTo(1f);
        assertThat(united.colour().get(1).at(0, 0)).isZero();
        Frame equal = Frame.straight(full, full, full, none);
        assertThat(equal.united(workers)).isSameAs(equal);
        Frame opaque = Frame.opaque(full, full, full);
        assertThat(opaque.united(workers)).isSameAs(opaque);
    }
}
