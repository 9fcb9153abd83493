package ivrik.app.picture;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class PlaybackSizeTest {
    private static final double FRAME = 1 / 24.0;

    private final PlaybackSize pace = new PlaybackSize(FRAME);

    private void late(int frames) {
        for (int i = 0; i < frames; i++) {
            pace.shown(false);
        }
    }

    private void render(int frames, double seconds) {
        for (int i = 0; i < frames; i++) {
            pace.rendered(pace.scale(), seconds);
        }
    }

    @Test
    void aFewLateFramesChangeNothing() {
        late(6);
        assertThat(pace.scale()).isEqualTo(1);
    }

    @Test
    void repeatedLateFramesHalveTheSizeDownToAQuarter() {
        late(7);
        assertThat(pace.scale()).isEqualTo(0.5);
        late(12 + 6);
        assertThat(pace.scale()).as("the first frames of the new size are pending").isEqualTo(0.5);
        late(1);
        assertThat(pace.scale()).isEqualTo(0.25);
        late(70);
        assertThat(pace.scale()).isEqualTo(0.25);
    }

    @Test
    void framesInTimeOffsetLateFrames() {
        for (int i = 0; i < 50; i++) {
            pace.shown(i % 2 == 0);
        }
        assertThat(pace.scale()).isEqualTo(1);
    }

    @Test
    void theSizeDoublesAgainWhenALargerFrameIsLikelyToBeInTime() {
        late(7 + 12 + 7);
        render(60, FRAME * 0.7 / 2.5 * 1.05);
        assertThat(pace.scale()).isEqualTo(0.25);
        render(20, FRAME * 0.7 / 2.5 * 0.9);
        assertThat(pace.scale()).isEqualTo(0.5);
    }

    @Test
    void aSizeIsHeldBeforeALargerOneIsTried() {
        late(7);
        render(23, FRAME / 100);
        assertThat(pace.scale()).isEqualTo(0.5);
        render(1, FRAME / 100);
        assertThat(pace.scale()).isEqualTo(1);
    }

    @Test
    void aSizeThatWasTooLargeIsTriedAgainAfterTwiceAsLong() {
        late(7);
        render(24, FRAME / 100);
        assertThat(pace.scale()).isEqualTo(1);
        late(12 + 7);
        render(47, FRAME / 100);
        assertThat(pace.scale()).isEqualTo(0.5);
        render(1, FRAME / 100);
        assertThat(pace.scale()).isEqualTo(1);
    }

    @Test
    void aFrameThatWasBegunAtAnotherSizeDoesNotCount() {
        late(7);
        for (int i = 0; i < 100; i++) {
            pace.rendered(1, 0);
        }
        assertThat(pace.scale()).isEqualTo(0.5);
    }
}
