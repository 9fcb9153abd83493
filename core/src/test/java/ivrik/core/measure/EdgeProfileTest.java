package ivrik.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

import org.junit.jupiter.api.Test;

class EdgeProfileTest {
    /** A soft edge with its middle at a position, as a lens gives. */
    private static Plane edge(double at, boolean across) {
        float[] samples = new float[60 * 40];
        for (int y = 0; y < 40; y++) {
            for (int x = 0; x < 60; x++) {
                double t = (across ? x : y) - at;
                samples[y * 60 + x] = (float) (0.5 + 0.4 * Math.tanh(t / 1.5));
            }
        }
        return Plane.of(60, 40, samples);
    }

    @Property(tries = 100)
    void channelOffsetsAreMeasuredToAHundredth(
            @ForAll @DoubleRange(min = -4, max = 4) double red,
            @ForAll @DoubleRange(min = -4, max = 4) double blue,
            @ForAll boolean across) {
        Frame frame =
                Frame.opaque(edge(20 + red, across), edge(20, across), edge(20 + blue, across));
        EdgeProfile profile = EdgeProfile.at(frame, 20, 20, 12);
        assertThat(profile.across()).isEqualTo(across);
        assertThat(profile.apart(0, 1).orElseThrow()).isCloseTo(red, within(0.02));
        assertThat(profile.apart(2, 1).orElseThrow()).isCloseTo(blue, within(0.02));
    }

    @Test
    void aFlatPictureHasNoEdge() {
        Plane flat = Plane.flat(60, 40, 0.3f);
        EdgeProfile profile = EdgeProfile.at(Frame.opaque(flat, edge(20, true), flat), 20, 5, 10);
        assertThat(profile.edge(0)).isEmpty();
        assertThat(profile.apart(0, 1)).isEmpty();
        assertThat(profile.edge(1)).isPresent();
    }

    @Test
    void anEdgeWiderThanTheWindowIsReported() {
        Frame frame = Frame.opaque(edge(20, true), edge(20, true), edge(20, true));
        assertThat(EdgeProfile.at(frame, 20, 20, 12).isCutOff(0)).isFalse();
        assertThat(EdgeProfile.at(frame, 20, 20, 2).isCutOff(0)).isTrue();
    }

    @Test
    void profilesExtendBeyondTheBorder() {
        EdgeProfile profile = EdgeProfile.at(Pictured.frame(8, 6), 0, 0, 12);
        assertThat(profile.values().getFirst()).hasSize(25);
        assertThat(profile.values().getFirst()[0]).isEqualTo(profile.values().getFirst()[11]);
    }
}
