package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.cache.FrameCache;
import ivrik.core.picture.ColourRows;
import ivrik.core.project.Source;
import ivrik.core.render.Plan;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.MediaPictures;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.nio.file.Path;
import java.util.List;

/** Stepping back through dependent frames does not decode them again each time. */
class SteppingBackTest {
    private static final int FRAMES = 75;

    @TempDir Path folder;

    private static ColourRows rows(Footage footage, long n) {
        return footage.read(n, footage.size()).rows().orElseThrow();
    }

    /** The times in a raw H.264 file are unreliable, so its frames are counted from the start. */
    @ParameterizedTest
    @CsvSource({
        "a.mp4,  libopenh264, -b 4000000 -g 75",
        "b.webm, libvpx-vp9,  -crf 4 -b 0 -g 75 -lag-in-frames 16 -auto-alt-ref 1",
        "c.mkv,  mpeg2video,  -flags qscale -global_quality 118 -bf 2 -g 75",
        "d.h264, libopenh264, -b 4000000 -g 75"
    })
    void passedFramesAreKept(String name, String encoder, String options) {
        Path file = TestMedia.counting(folder.resolve(name), FRAMES, encoder, options);
        try (Footage footage = Footage.open(file, Workers.shared())) {
            rows(footage, FRAMES - 1);
            rows(footage, FRAMES - 2);
            assertThat(footage.keptBytes()).isPositive();
            for (int n = FRAMES - 3; n > FRAMES - 20; n--) {
                ColourRows back = rows(footage, n);
                assertThat(rows(footage, n)).as("the frame passed before").isSameAs(back);
                float[][] rgb = new float[3][back.width()];
                back.reader().row(20, rgb);
                assertThat((rgb[0][30] + rgb[1][30] + rgb[2][30]) / 3)
                        .as("frame %d", n)
                        .isCloseTo(2 * n / 219f, within(0.0045f));
            }
        }
    }

    @Test
    void forwardReadsAndJumpsKeepNothing() {
        Path file =
                TestMedia.counting(
                        folder.resolve("a.mp4"), FRAMES, "libopenh264", "-b 4000000 -g 75");
        try (Footage footage = Footage.open(file, Workers.shared())) {
            for (int n : new int[] {0, 3, 6, 40, 74, 20, 70, 2}) {
                rows(footage, n);
            }
            assertThat(footage.keptBytes()).isZero();
        }
    }

    @Test
    void keptFramesCountAgainstTheBudget() {
        Path file =
                TestMedia.counting(
                        folder.resolve("a.mp4"), FRAMES, "libopenh264", "-b 4000000 -g 75");
        Source source;
        long one;
        long kept;
        try (Footage footage = Footage.open(file, Workers.shared())) {
            source = footage.source("a", "a", file.toString());
            rows(footage, FRAMES - 1);
            one = footage.read(FRAMES - 2, footage.size()).bytes();
            kept = footage.keptBytes();
        }
        FrameCache cache = new FrameCache(1 << 26);
        try (MediaPictures pictures = new MediaPictures(Workers.shared(), cache)) {
            pictures.frame(new Plan.Picture(source, FRAMES - 1), source.size());
            pictures.frame(new Plan.Picture(source, FRAMES - 2), source.size());
            assertThat(cache.held()).isEqualTo(2 * one + kept);
            pictures.closeOthers(List.of());
            assertThat(cache.held()).isZero();
        }
    }
}
