package ivrik.app.picture;

import ivrik.core.IvrikException;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.media.sound.SoundMix;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import java.util.function.LongSupplier;
import java.util.function.Supplier;

/**
 * Plays a project's sound on its own thread and reports the audible frame, which the pictures follow. Each
 * frame's sound is mixed from the project's state at that moment. Without sound output nothing is reported,
 * and the pictures follow the clock.
 */
final class SoundTrackPlayer {
    private static final Logger LOG = LoggerFactory.getLogger(SoundTrackPlayer.class);

    /** Time without progress after which the output has failed. */
    private static final long STALLED_NANOS = 1_000_000_000;

    private final Supplier<Optional<Speaker>> speakers;
    private final LongSupplier clock;
    private final Consumer<String> fault;
    private volatile Track playing;

    /**
     * @param clock time in nanoseconds
     * @param fault receives the reason when sound stops; called by any thread
     */
    SoundTrackPlayer(
            Supplier<Optional<Speaker>> speakers, LongSupplier clock, Consumer<String> fault) {
        this.speakers = speakers;
        this.clock = clock;
        this.fault = fault;
    }

    /**
     * Starts if there is any sound.
     *
     * @param loop whether to continue from the start at the end of the play range
     */
    void start(Project project, long frame, boolean loop) {
        stop();
        if (SoundMix.hasSound(project)) {
            Track track = new Track(frame);
            track.project = project;
            track.loop = loop;
            playing = track;
            Thread.ofPlatform().name("ivrik-sound").daemon().start(track::play);
        }
    }

    /** Switches to a changed project; starts at this frame if there was no sound before. */
    void follow(Project project, long frame, boolean loop) {
        Track track = playing;
        if (track == null) {
            start(project, frame, loop);
        } else {
            track.project = project;
            track.loop = loop;
        }
    }

    void stop() {
        playing = null;
    }

    /**
     * The audible frame; the frame after the last at the end, the first frame before the first sound; empty
     * without sound.
     */
    OptionalLong now() {
        Track track = playing;
        return track == null ? OptionalLong.empty() : track.now();
    }

    /** One run from a frame on. */
    private final class Track {
        private final Deque<Stretch> sent = new ArrayDeque<>();
        private final long first;
        private volatile Project project;
        private volatile boolean loop;
        private Speaker speaker;
        private boolean silent;
        private boolean ended;
        private long sentSamples;
        private long heardBefore = -1;
        private long heardAt;

        /** End position of a frame's samples, and the frame. */
        private record Stretch(long end, long frame) {}

        Track(long first) {
            this.first = first;
        }

        void play() {
            Speaker opened = speakers.get().orElse(null);
            synchronized (this) {
                speaker = opened;
                silent = opened == null;
                heardAt = clock.getAsLong();
            }
            if (opened == null) {
                return;
            }
            try (opened;
                    SoundMix mix = new SoundMix(project)) {
                send(mix, opened);
                waitUntilHeard();
            } catch (IvrikException e) {
                LOG.warn("the sound stopped", e);
                fault.accept("Sound stopped: " + e.oneLine());
            } finally {
                synchronized (this) {
                    silent |= !ended;
                    speaker = null;
                }
            }
        }

        private void send(SoundMix mix, Speaker to) {
            long frame = first;
            while (playing == this) {
                Project now = project;
                FrameRange range = now.played();
                if (frame > range.last()) {
                    if (!loop) {
                        return;
                    }
                    frame = range.first();
                }
                mix.follow(now);
                float[] samples = mix.frame(frame);
                synchronized (this) {
                    sentSamples += samples.length / 2;
                    sent.add(new Stretch(sentSamples, frame));
                }
                to.play(bytes(samples));
                frame++;
            }
        }

        /** Waits until the last samples are audible. */
        private void waitUntilHeard() {
            while (playing == this && !isOver()) {
                LockSupport.parkNanos(2_000_000);
            }
        }

        private synchronized boolean isOver() {
            long heard = heard();
            ended = heard >= sentSamples;
            return ended || silent;
        }

        /** Audible position in samples; a stalled output is treated as silent. */
        private long heard() {
            long heard = speaker.heard();
            long at = clock.getAsLong();
            if (heard != heardBefore) {
                heardBefore = heard;
                heardAt = at;
            } else if (!silent && at - heardAt > STALLED_NANOS) {
                silent = true;
                fault.accept("The sound device does not respond. Playback continues without sound");
            }
            return heard;
        }

        synchronized OptionalLong now() {
            if (ended) {
                return OptionalLong.of(sent.isEmpty() ? first : sent.getLast().frame() + 1);
            }
            if (!silent && speaker == null) {
                return OptionalLong.of(first);
            }
            long heard = silent ? 0 : heard();
            if (silent) {
                return OptionalLong.empty();
            }
            while (sent.size() > 1 && sent.getFirst().end() <= heard) {
                sent.removeFirst();
            }
            return OptionalLong.of(sent.isEmpty() ? first : sent.getFirst().frame());
        }
    }

    /** Converts floats of -1..1 to 16-bit little-endian integers, with clipping. */
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
