package ivrik.app.picture;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.media.file.ProjectFile;
import ivrik.media.sound.SoundMix;

import org.junit.jupiter.api.Test;

import java.io.ByteArrayOutputStream;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;

/** The demo's sound into a speaker that writes down what it is given. */
class SoundTrackPlayerTest {
    private static final Path FILE =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/lantern-week.ivrik");

    private final ByteArrayOutputStream heard = new ByteArrayOutputStream();
    private final CountDownLatch closed = new CountDownLatch(1);
    private final Project project =
            ProjectFile.open(FILE).project().withPlayRange(Optional.of(new FrameRange(10, 13)));

    private Speaker tape(int most, Runnable full) {
        return new Speaker() {
            private int frames;

            @Override
            public void play(byte[] samples) {
                heard.writeBytes(samples);
                if (++frames == most) {
                    full.run();
                }
            }

            @Override
            public void close() {
                closed.countDown();
            }
        };
    }

    private byte[] expected(long... frames) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (SoundMix mix = new SoundMix(project)) {
            for (long n : frames) {
                bytes.writeBytes(SoundTrackPlayer.bytes(mix.frame(n)));
            }
        }
        return bytes.toByteArray();
    }

    private void play(Speaker speaker, long from, boolean around, SoundTrackPlayer[] player)
            throws InterruptedException {
        player[0] = new SoundTrackPlayer(() -> Optional.of(speaker));
        player[0].start(project, from, around);
        assertThat(closed.await(30, TimeUnit.SECONDS)).isTrue();
    }

    @Test
    void theSoundRunsFromTheFrameToTheEndOfThePlayRange() throws InterruptedException {
        play(tape(99, () -> {}), 11, false, new SoundTrackPlayer[1]);
        assertThat(heard.toByteArray()).isEqualTo(expected(11, 12, 13)).hasSize(3 * 2000 * 4);
        assertThat(heard.toByteArray()).isNotEqualTo(new byte[3 * 2000 * 4]);
    }

    @Test
    void roundAndRoundItBeginsAgainUntilStopped() throws InterruptedException {
        SoundTrackPlayer[] player = new SoundTrackPlayer[1];
        play(tape(6, () -> player[0].stop()), 12, true, player);
        assertThat(heard.toByteArray()).isEqualTo(expected(12, 13, 10, 11, 12, 13));
    }

    @Test
    void floatsBecomeLittleEndianIntegersCutOffAtFull() {
        assertThat(SoundTrackPlayer.bytes(new float[] {0, 1, -1, 0.5f, 7, -7}))
                .containsExactly(0, 0, 0xff, 0x7f, 0x01, 0x80, 0, 0x40, 0xff, 0x7f, 0x01, 0x80);
    }
}
