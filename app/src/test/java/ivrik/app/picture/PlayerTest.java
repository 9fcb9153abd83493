package ivrik.app.picture;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.InterfaceThread;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.project.FrameRange;
import ivrik.media.file.ProjectFile;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

import java.nio.file.Path;
import java.util.Optional;

/** Playing follows the position of the sound. */
class PlayerTest {
    private static final Path FILE =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/lantern-week.ivrik");

    /** A speaker that accepts all samples at once; the test sets the playback position. */
    private static final class Held implements Speaker {
        private volatile long heard;

        @Override
        public void play(byte[] samples) {
            Thread.yield();
        }

        @Override
        public long heard() {
            return heard;
        }

        @Override
        public void close() {
            heard = Long.MAX_VALUE;
        }
    }

    private final Session session = new Session();
    private final View view = new View();
    private final Held speaker = new Held();
    private PictureService service;
    private Player player;

    @BeforeEach
    void aDemoThatIsPlayed() {
        InterfaceThread.start();
        InterfaceThread.run(
                () -> {
                    session.open(
                            ProjectFile.open(FILE)
                                    .project()
                                    .withPlayRange(Optional.of(new FrameRange(10, 60))));
                    service = new PictureService(answer -> {});
                    service.reread();
                    player =
                            new Player(
                                    session,
                                    view,
                                    service,
                                    shown -> {},
                                    () -> Optional.of(speaker));
                    view.loop.set(false);
                    view.frame.set(20);
                    view.playing.set(true);
                });
    }

    @AfterEach
    void close() {
        InterfaceThread.run(
                () -> {
                    view.playing.set(false);
                    player.close();
                });
        service.close();
    }

    private long frame() {
        return InterfaceThread.on(() -> view.frame.get());
    }

    @Test
    void theFrameFollowsTheSoundUntilTheOutputFails() throws InterruptedException {
        Thread.sleep(300); // seven frames by the clock
        assertThat(frame()).isEqualTo(20);
        speaker.heard = 5 * 2000 + 1;
        InterfaceThread.until("the frame follows the sound", () -> view.frame.get() == 25);
        speaker.heard = 12 * 2000;
        InterfaceThread.until("the value has followed", () -> view.frame.get() == 32);
        // From here the output makes no progress; after one second the clock takes over.
        InterfaceThread.until("the clock continues", () -> view.frame.get() > 36);
        assertThat(InterfaceThread.on(() -> view.notice.get())).contains("does not respond");
        InterfaceThread.until("playback ends with the range", () -> !view.playing.get());
        assertThat(frame()).isEqualTo(60);
    }
}
