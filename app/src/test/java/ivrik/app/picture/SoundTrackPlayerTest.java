package ivrik.app.picture;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.media.file.ProjectFile;
import ivrik.media.sound.SoundMix;

import org.junit.jupiter.api.Test;

import java.io.ByteArrayOutputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;

/** Playing the demo's sound into a speaker that records the samples. */
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
            public long heard() {
                return heard.size() / 4;
            }

            @Override
            public void close() {
                closed.countDown();
            }
        };
    }

    private static SoundTrackPlayer player(Speaker speaker, List<String> faults) {
        return new SoundTrackPlayer(() -> Optional.of(speaker), System::nanoTime, faults::add);
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
        player[0] = player(speaker, new ArrayList<>());
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
    void aLoopRestartsUntilStopped() throws InterruptedException {
        SoundTrackPlayer[] player = new SoundTrackPlayer[1];
        play(tape(6, () -> player[0].stop()), 12, true, player);
        assertThat(heard.toByteArray()).isEqualTo(expected(12, 13, 10, 11, 12, 13));
    }

    /** A speaker that plays as many blocks as the test permits. */
    private static final class Let implements Speaker {
        private final ByteArrayOutputStream taken = new ByteArrayOutputStream();
        private final Semaphore room = new Semaphore(0);
        private volatile long out;

        @Override
        public void play(byte[] samples) {
            room.acquireUninterruptibly();
            synchronized (taken) {
                taken.writeBytes(samples);
            }
        }

        byte[] taken() {
            synchronized (taken) {
                return taken.toByteArray();
            }
        }

        @Override
        public long heard() {
            return out;
        }

        @Override
        public void close() {
            room.release(1000);
        }
    }

    private static void until(BooleanSupplier so) throws InterruptedException {
        for (int i = 0; i < 3000 && !so.getAsBoolean(); i++) {
            Thread.sleep(10);
        }
        assertThat(so.getAsBoolean()).isTrue();
    }

    @Test
    void theFrameFollowsPlayedSamplesNotSentSamples() throws InterruptedException {
        Let speaker = new Let();
        SoundTrackPlayer player = player(speaker, new ArrayList<>());
        player.start(project, 11, false);
        assertThat(player.now()).hasValue(11);
        speaker.room.release(3);
        until(() -> speaker.taken().length == 3 * 2000 * 4);
        assertThat(player.now()).hasValue(11);
        speaker.out = 1999;
        assertThat(player.now()).hasValue(11);
        speaker.out = 2000;
        assertThat(player.now()).hasValue(12);
        speaker.out = 5999;
        assertThat(player.now()).hasValue(13);
        speaker.out = 6000;
        until(() -> player.now().orElse(0) == 14);
        player.stop();
        assertThat(player.now()).isEmpty();
    }

    @Test
    void anEditDuringPlaybackIsHeard() throws InterruptedException {
        Let speaker = new Let();
        SoundTrackPlayer player = player(speaker, new ArrayList<>());
        player.start(project, 10, true);
        speaker.room.release(2);
        until(() -> speaker.taken().length == 2 * 2000 * 4);
        Project mute =
                project.withLayers(
                        project.layers().stream().map(l -> l.withVisible(false)).toList());
        player.follow(mute, 12, true);
        speaker.room.release(3); // one block was mixed before the edit
        until(() -> speaker.taken().length == 5 * 2000 * 4);
        assertThat(Arrays.copyOf(speaker.taken(), 2 * 2000 * 4)).isEqualTo(expected(10, 11));
        assertThat(Arrays.copyOfRange(speaker.taken(), 3 * 2000 * 4, 5 * 2000 * 4))
                .isEqualTo(new byte[2 * 2000 * 4]);
        player.stop();
    }

    @Test
    void soundAddedByAnEditStartsAtTheShownFrame() throws InterruptedException {
        Let speaker = new Let();
        SoundTrackPlayer player = player(speaker, new ArrayList<>());
        Project none = project.withLayers(List.of());
        player.start(none, 10, true);
        assertThat(player.now()).isEmpty();
        player.follow(project, 12, true);
        speaker.room.release(2);
        until(() -> speaker.taken().length == 2 * 2000 * 4);
        assertThat(speaker.taken()).isEqualTo(expected(12, 13));
        player.stop();
    }

    @Test
    void withoutAWorkingOutputTheClockLeads() throws InterruptedException {
        SoundTrackPlayer none = new SoundTrackPlayer(Optional::empty, System::nanoTime, w -> {});
        none.start(project, 10, false);
        until(() -> none.now().isEmpty());
        Let speaker = new Let();
        AtomicLong time = new AtomicLong();
        List<String> faults = new CopyOnWriteArrayList<>();
        SoundTrackPlayer player =
                new SoundTrackPlayer(() -> Optional.of(speaker), time::get, faults::add);
        player.start(project, 10, false);
        speaker.room.release(1);
        until(() -> speaker.taken().length > 0);
        speaker.out = 100;
        assertThat(player.now()).hasValue(10);
        time.set(900_000_000);
        assertThat(player.now()).hasValue(10);
        time.set(1_100_000_000);
        assertThat(player.now()).isEmpty();
        assertThat(faults).singleElement().asString().contains("does not respond");
        player.stop();
    }

    @Test
    void floatsBecomeClippedLittleEndianIntegers() {
        assertThat(SoundTrackPlayer.bytes(new float[] {0, 1, -1, 0.5f, 7, -7}))
                .containsExactly(0, 0, 0xff, 0x7f, 0x01, 0x80, 0, 0x40, 0xff, 0x7f, 0x01, 0x80);
    }
}
