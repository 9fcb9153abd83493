package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.motion.Rational;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Source.FootageSettings;
import ivrik.core.sampling.Resample;
import ivrik.core.threads.Workers;
import ivrik.media.UnreadableMediaException;
import ivrik.media.ffmpeg.Ffmpeg;
import ivrik.media.pixel.PixelReader;
import ivrik.media.pixel.StoredPicture;

import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Pictures of one movie or still, by frame number. A variable frame rate is presented as a constant one.
 * Frames are read by one thread at a time; all other methods are thread-safe.
 */
public final class MovieReader implements AutoCloseable {
    /** Largest number of frames decoded to check seeking. */
    private static final int CHECKED = 240;

    private final Path path;
    private final Workers workers;
    private final Demuxer demuxer;
    private final Decoder decoder;
    private final AVPacket packet = av_packet_alloc();
    private final AVFrame decoded = av_frame_alloc();
    private final FrameIndex index;
    private final FrameTimes times;
    private final AVFrame first;
    private final Orientation orientation;
    private final FootageColours colours;
    private final MovieFacts facts;

    /** Frames decoded on the way to a requested one. */
    private final PassedFrames passed = new PassedFrames();

    /** Index of the next decoded frame in display order; -1 if unknown. */
    private long next = -1;

    private boolean closed;

    /** Opens a file with default options. */
    public MovieReader(Path path, Workers workers) {
        this(path, FootageSettings.AUTOMATIC, workers);
    }

    /**
     * Opens a file and indexes its frames.
     *
     * @throws UnreadableMediaException if the file is not a readable movie or image
     */
    public MovieReader(Path path, FootageSettings reading, Workers workers) {
        this.path = path;
        this.workers = workers;
        this.demuxer = new Demuxer(path, AVMEDIA_TYPE_VIDEO, Demuxer.BEST);
        Decoder opened = null;
        try {
            AVStream stream = demuxer.stream();
            boolean sized = stream.codecpar().width() > 0 && stream.codecpar().height() > 0;
            if (!sized && !demuxer.isStill()) {
                throw demuxer.unreadable(
                        "its codec, "
                                + MovieFacts.compression(stream)
                                + ", is not supported, or the file is truncated before the first"
                                + " frame");
            }
            opened = new Decoder(demuxer);
            this.decoder = opened;
            if (sized) {
                MemoryCheck.check(
                        new Size(stream.codecpar().width(), stream.codecpar().height()), path);
            }
            this.index = FrameIndex.of(demuxer, decoder, packet, decoded, reading.countFrames());
            this.next = demuxer.isStill() ? 0 : -1;
            if (index.size() == 0) {
                throw demuxer.unreadable("the file contains no frames");
            }
            this.times =
                    FrameTimes.of(index, Ffmpeg.rational(stream().time_base()), demuxer.saidRate());
            this.first = firstPicture();
            this.facts = MovieFacts.of(demuxer, first);
            this.orientation = Orientation.of(first, stream());
            this.colours = FrameColourTags.of(first, stream(), path);
        } catch (RuntimeException e) {
            av_packet_free(packet);
            av_frame_free(decoded);
            if (opened != null) {
                opened.close();
            }
            demuxer.close();
            throw e;
        }
    }

    /** The first picture; if it is damaged, the properties that the file declares. */
    private AVFrame firstPicture() {
        try {
            decode(0);
            return av_frame_clone(decoded);
        } catch (UnreadableMediaException e) {
            if (demuxer.isStill() || decoder.format() == AV_PIX_FMT_NONE) {
                throw e;
            }
            AVFrame none = av_frame_alloc();
            none.format(decoder.format());
            none.color_primaries(stream().codecpar().color_primaries());
            none.color_trc(stream().codecpar().color_trc());
            return none;
        }
    }

    /** Number of frames at the constant rate. */
    public long frames() {
        return times.frames();
    }

    /** Whether there is a sound track. */
    public boolean hasSound() {
        return facts.sound();
    }

    /** Frames per second. */
    public Rational rate() {
        return times.rate();
    }

    /** Whether the stored frame rate is variable. */
    public boolean isUneven() {
        return times.varies();
    }

    /** Whether frames are found by counting, because time stamps are unreliable. */
    public boolean isCounted() {
        return index.isCounted() && !demuxer.isStill();
    }

    /**
     * Whether seeking to the first, middle and last frame (of the first part of a long movie) gives the same
     * pictures as decoding from the start. If not, the file should be opened with frame counting. True if
     * there is no keyframe but the first.
     */
    public boolean isSoughtRightly() {
        if (index.size() == 1 || index.isCounted()) {
            return true;
        }
        long last = Math.min(index.size(), CHECKED) - 1;
        if (index.keyBefore(last) == 0) {
            return true;
        }
        List<Long> probes = List.of(0L, last / 2, last);
        Map<Long, Integer> through = new HashMap<>();
        rewind();
        for (long n = 0; n <= last && decoder.receive(decoded, packet); n++) {
            if (probes.contains(n)) {
                through.put(n, fingerprint());
            }
        }
        boolean same = true;
        for (long n : probes.reversed()) {
            next = -1;
            try {
                decode(n);
                same &= through.containsKey(n) && through.get(n) == fingerprint();
            } catch (UnreadableMediaException e) {
                same &= !through.containsKey(n); // damaged either way
            }
        }
        next = -1;
        return same;
    }

    private int fingerprint() {
        int hash = 1;
        for (Plane plane : PixelReader.read(decoded, workers).colour()) {
            hash = 31 * hash + Arrays.hashCode(plane.data());
        }
        return hash;
    }

    /** Whether the file is an image, not a movie with a single frame. */
    public boolean isStill() {
        return demuxer.isStill() || index.size() == 1 && !hasSound() && facts.isAnimatedPicture();
    }

    /** Displayed size: rotated, with square pixels. */
    public Size size() {
        return orientation.shown(facts.squared());
    }

    /** FFmpeg's name of the container. */
    public String container() {
        return facts.container();
    }

    /** Colour interpretation by the file's tags. */
    public FootageColours colours() {
        return colours;
    }

    /** Depth of a stored sample. */
    public Depth depth() {
        return facts.depth();
    }

    /** Name of the compression, such as {@code vp9}. */
    public String compression() {
        return facts.compression();
    }

    /**
     * Frame {@code n} of the constant rate, from 0, at displayed size, in its own colour space.
     *
     * @throws UnreadableMediaException if the file is damaged or has no such frame
     */
    public Frame frame(long n) {
        return read(n).frame(workers);
    }

    /** The same frame as stored data, if it is displayed that way. */
    ReadFrame read(long n) {
        long number = numberStored(n);
        Optional<StoredPicture> known = passed.asked(number);
        if (known.isEmpty()) {
            decode(number);
            known = asStored();
        }
        return known.map(ReadFrame::of).orElseGet(() -> ReadFrame.of(shown()));
    }

    /** Bytes of frames that were decoded on the way to others. */
    long passedBytes() {
        return passed.bytes();
    }

    /** The decoded picture as stored data; empty if it needs conversion. */
    private Optional<StoredPicture> asStored() {
        boolean asShown =
                orientation == Orientation.UPRIGHT
                        && facts.squared().equals(new Size(decoded.width(), decoded.height()));
        return asShown ? PixelReader.stored(decoded) : Optional.empty();
    }

    /** Stored frame for a frame of the constant rate. */
    private long numberStored(long n) {
        if (n < 0 || n >= frames()) {
            throw new UnreadableMediaException(
                    path.getFileName() + " has no frame " + n,
                    "available frames: 0 to " + (frames() - 1));
        }
        return times.stored(n);
    }

    /** The decoded picture at displayed size. */
    private Frame shown() {
        Frame stored = PixelReader.read(decoded, workers);
        // a picture may change its size within a stream; the movie keeps the first size
        return orientation.upright(Resample.to(stored, facts.squared(), workers));
    }

    /** Stored frame {@code n} without rotation, scaling or conversion. */
    public Frame stored(long n) {
        decode(n);
        return PixelReader.read(decoded, workers);
    }

    private AVStream stream() {
        return demuxer.stream();
    }

    /** Decodes stored frame {@code n}. */
    private void decode(long n) {
        if (n == 0 && first != null && first.width() > 0) {
            av_frame_unref(decoded);
            av_frame_ref(decoded, first);
            return;
        }
        if (index.size() == 1 || index.isCounted()) {
            count(n);
            return;
        }
        int key = index.keyBefore(n);
        boolean within =
                next >= 0 && next <= n && (key < 0 || index.number(index.key(key).time()) <= next);
        if (within && found(n, next)) {
            return;
        }
        // a seek may land behind the target: retry one keyframe earlier
        for (int attempt = 0; attempt < 2 && key - attempt >= 0; attempt++) {
            FrameIndex.Key from = index.key(key - attempt);
            if (demuxer.seek(from)) {
                decoder.flush();
                if (found(n, index.number(from.time()))) {
                    return;
                }
            }
        }
        rewind();
        if (!found(n, 0)) {
            throw damaged(n);
        }
    }

    /**
     * Decodes up to frame {@code n}; returns false and loses the position if it does not appear.
     *
     * @param from frames before this one may be incomplete
     */
    private boolean found(long n, long from) {
        while (decoder.receive(decoded, packet)) {
            long number = index.number(decoded.best_effort_timestamp());
            if (number == n) {
                next = n + 1;
                return true;
            }
            if (number > n) {
                break;
            }
            if (number >= from) {
                pass(number, n);
            }
        }
        next = -1;
        return false;
    }

    private void count(long n) {
        if (next < 0 || next > n) {
            rewind();
        }
        while (decoder.receive(decoded, packet)) {
            long number = next++;
            if (number == n) {
                return;
            }
            pass(number, n);
        }
        next = -1;
        throw damaged(n);
    }

    private void pass(long number, long to) {
        if (passed.wants(number, to)) {
            asStored().ifPresent(picture -> passed.keep(number, picture));
        }
    }

    private void rewind() {
        demuxer.rewind();
        decoder.flush();
        next = 0;
    }

    private UnreadableMediaException damaged(long n) {
        if (demuxer.isStill()) {
            return new UnreadableMediaException(
                    path.getFileName()
                            + " cannot be read: it is damaged or has the wrong extension",
                    "export the file again or replace it");
        }
        return new UnreadableMediaException(
                "frame " + n + " of " + path.getFileName() + " is damaged or truncated",
                "replace the file, or shorten the clip to the frames before it");
    }

    @Override
    public void close() {
        if (!closed) {
            closed = true;
            decoder.close();
            demuxer.close();
            av_frame_free(decoded);
            av_frame_free(first);
            av_packet_free(packet);
        }
    }
}
