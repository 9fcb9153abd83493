package ivrik.media.decode;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.cache.FrameCache;
import ivrik.media.pixel.StoredPicture;

import org.junit.jupiter.api.Test;

import java.util.List;

class PassedFramesTest {
    private final PassedFrames passed = new PassedFrames();

    private static StoredPicture picture(long bytes) {
        return new StoredPicture(null, List.of(new byte[Math.toIntExact(bytes)]));
    }

    private void stepTo(long number) {
        passed.asked(number + 1);
        passed.asked(number);
    }

    @Test
    void distantFramesAreEvicted() {
        StoredPicture small = picture(10);
        stepTo(100);
        for (long n = 0; n < 100; n++) {
            passed.keep(n, small);
        }
        assertThat(passed.asked(30)).containsSame(small);
        assertThat(passed.bytes())
                .isEqualTo((30 + PassedFrames.MAX_DISTANCE) * FrameCache.bytes(small));
        assertThat(passed.asked(90)).isEmpty();
        assertThat(passed.asked(1000)).isEmpty();
        assertThat(passed.bytes()).isZero();
    }

    @Test
    void largeFramesKeepTheLatest() {
        StoredPicture large = picture(PassedFrames.MAX_BYTES / 5);
        stepTo(9);
        for (long n = 0; n < 9; n++) {
            passed.keep(n, large);
        }
        assertThat(passed.bytes()).isLessThanOrEqualTo(PassedFrames.MAX_BYTES);
        assertThat(passed.asked(5)).isPresent();
        assertThat(passed.asked(4)).isEmpty();
        assertThat(passed.bytes()).as("space for the earlier frames").isZero();
    }

    @Test
    void onlyFramesThatStayAreKept() {
        stepTo(60);
        assertThat(passed.wants(60 - PassedFrames.MAX_DISTANCE, 60)).isTrue();
        assertThat(passed.wants(59 - PassedFrames.MAX_DISTANCE, 60)).isFalse();
        passed.keep(59, picture(PassedFrames.MAX_BYTES / 3));
        assertThat(passed.wants(58, 60)).isTrue();
        assertThat(passed.wants(56, 60)).as("four of this size exceed the budget").isFalse();
    }

    @Test
    void theReadingPatternIsDetected() {
        passed.asked(10);
        passed.asked(200);
        assertThat(passed.wants(199, 200)).isFalse();
        passed.asked(200 - PassedFrames.MAX_DISTANCE);
        assertThat(passed.wants(199 - PassedFrames.MAX_DISTANCE, 200 - PassedFrames.MAX_DISTANCE))
                .isFalse();
    }
}
