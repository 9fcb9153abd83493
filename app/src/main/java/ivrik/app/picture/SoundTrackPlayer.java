package ivrik.app.picture;

import ivrik.core.IvrikException;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.media.sound.SoundMix;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.Optional;
import java.util.function.Supplier;

/** Plays the sound of a project from a frame on, in a thread of its own, until it is stopped. */
final class SoundTrackPlayer {
    private static final Logger LOG = LoggerFactory.getLogger(SoundTrackPlayer.class);

    private final Supplier<Optional<Speaker>> speakers;
    private volatile Thread playing;

    SoundTrackPlayer(Supplier<Optional<Speaker>> speakers) {
        this.speakers = speakers;
    }

    /**
     * @param around whether to begin again at the end of the play range
     */
    void start(Project project, long frame, boolean around) {
        stop();
        if (SoundMix.hasSound(project)) {
            playing =
                    Thread.ofPlatform()
                            .name("ivrik-sound")
                            .daemon()
                            .unstarted(() -> play(project, frame, around));
            playing.start();
        }
    }

    void stop() {
        playing = null;
    }

    private void play(Project project, long from, boolean around) {
        Speaker speaker = speakers.get().orElse(null);
        if (speaker == null) {
            return;
        }
        try (speaker;
                SoundMix mix = new SoundMix(project)) {
            FrameRange range = project.played();
            long frame = from;
            while (playing == Thread.currentThread() && frame <= range.last()) {
                speaker.play(bytes(mix.frame(frame)));
                frame = frame == range.last() && around ? range.first() : frame + 1;
            }
        } catch (IvrikException e) {
            LOG.warn("the sound stopped: {}", e.oneLine(), e);
        }
    }

    /** Floats of -1..1 as 16-bit little-endian integers; louder ones are cut off. */
    static byte[] bytes(float[] samples) {
        byte[] bytes = new byte[2 * samples.length];
        for (int i = 0; i < samples.length; i++) {
            int s = Math.round(Math.clamp(samples[i], -1f, 1f) * Short.MAX_VALUE);
            bytes[2 * i] = (byte) s;
            bytes[2 * i + 1] = (byte) (s >> 8);
        }
        return bytes;
    }
}
