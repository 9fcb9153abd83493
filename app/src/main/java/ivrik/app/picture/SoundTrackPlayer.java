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
 * Plays the sound of a project in a thread of its own, and says which frame is heard, which pictures are to
 * follow. Each frame's sound is that of the project as it is when it is mixed. Where no sound comes out it
 * says nothing, and pictures go by the clock.
 */
final class SoundTrackPlayer {
    private static final Logger LOG = LoggerFactory.getLogger(SoundTrackPlayer.class);

    /** An output that stands still for so long has failed. */
    private static final long STALLED_NANOS = 1_000_000_000;

    private final Supplier<Optional<Speaker>> speakers;
    private final LongSupplier clock;
    private final Consumer<String> fault;
    private volatile Track playing;

    /**
     * @param clock in nanoseconds
     * @param fault told why there is no sound any more, by any thread
     */
    SoundTrackPlayer(
            Supplier<Optional<Speaker>> speakers, LongSupplier clock, Consumer<String> fault) {
        this.speakers = speakers;
        this.clock = clock;
        this.fault = fault;
    }

    /**
     * Begins, if there is anything to hear.
     *
     * @param around whether to begin again at the end of the play range
     */
    void start(Project project, long frame, boolean around) {
        stop();
        if (SoundMix.hasSound(project)) {
            Track track = new Track(frame);
            track.project = project;
            track.around = around;
            playing = track;
            Thread.ofPlatform().name("ivrik-sound").daemon().start(track::play);
        }
    }

    /** Goes on with the project as it is now; begins at this frame if there was nothing to hear before. */
    void follow(Project project, long frame, boolean around) {
        Track track = playing;
        if (track == null) {
            start(project, frame, around);
        } else {
            track.project = project;
            track.around = around;
        }
    }

    void stop() {
        playing = null;
    }

    /**
     * The frame that is heard now; the one after the last when all has been heard. Before the first sound
     * comes out it is the first frame. Empty where nothing is heard.
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
        private volatile boolean around;
        private Speaker speaker;
        private boolean silent;
        private boolean ended;
        private long sentSamples;
        private long heardBefore = -1;
        private long heardAt;

        /** The samples of one frame: up to which one of all, and of which frame. */
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
                fault.accept("The sound has stopped: " + e.oneLine());
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
                    if (!around) {
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

        /** What was sent last is still to come out. */
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

        /** How much has been heard; an output that stands still is silent from then on. */
        private long heard() {
            long heard = speaker.heard();
            long at = clock.getAsLong();
            if (heard != heardBefore) {
                heardBefore = heard;
                heardAt = at;
            } else if (!silent && at - heardAt > STALLED_NANOS) {
                silent = true;
                fault.accept("The sound output stands still; the pictures go on by the clock");
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
