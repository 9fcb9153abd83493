package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.motion.Rational;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Source.Reading;
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
 * The pictures of one movie or still, by number. Frames that come unevenly are seen at a constant rate.
 * Frames are asked for by one thread at a time, everything else by any.
 */
public final class MovieReader implements AutoCloseable {
    /** Of a long movie only so many frames are decoded to see whether seeking finds them. */
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
    private final Colours colours;
    private final MovieFacts facts;

    /** Frames that came on the way to one that was asked for. */
    private final PassedFrames passed = new PassedFrames();

    /** The number of the frame that comes next, in the order of showing; -1 if that is not known. */
    private long next = -1;

    private boolean closed;

    /** Opens a file as it is usually read. */
    public MovieReader(Path path, Workers workers) {
        this(path, Reading.USUAL, workers);
    }

    /**
     * Opens a file and lists its frames.
     *
     * @throws UnreadableMediaException if it is not a movie or picture that can be read
     */
    public MovieReader(Path path, Reading reading, Workers workers) {
        this.path = path;
        this.workers = workers;
        this.demuxer = new Demuxer(path, AVMEDIA_TYPE_VIDEO, Demuxer.BEST);
        Decoder opened = null;
        try {
            AVStream stream = demuxer.stream();
            boolean sized = stream.codecpar().width() > 0 && stream.codecpar().height() > 0;
            if (!sized && !demuxer.isStill()) {
                throw demuxer.unreadable(
                        "its compression, "
                                + MovieFacts.compression(stream)
                                + ", is not supported, or it is cut off before its first picture");
            }
            opened = new Decoder(demuxer);
            this.decoder = opened;
            if (sized) {
                Memory.check(new Size(stream.codecpar().width(), stream.codecpar().height()), path);
            }
            this.index = FrameIndex.of(demuxer, decoder, packet, decoded, reading.counted());
            this.next = demuxer.isStill() ? 0 : -1;
            if (index.size() == 0) {
                throw demuxer.unreadable("there is not one frame in it");
            }
            this.times =
                    FrameTimes.of(index, Ffmpeg.rational(stream().time_base()), demuxer.saidRate());
            this.first = firstPicture();
            this.facts = MovieFacts.of(demuxer, first);
            this.orientation = Orientation.of(first, stream());
            this.colours = Tags.of(first, stream(), path);
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

    /** The first picture, which says more than the file; of a movie that is damaged there, what the file says. */
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

    /** How many frames there are at the constant rate. */
    public long frames() {
        return times.frames();
    }

    /** Whether there is a sound track. */
    public boolean hasSound() {
        return facts.sound();
    }

    /** Frames a second. */
    public Rational rate() {
        return times.rate();
    }

    /** Whether the stored frames come unevenly. */
    public boolean isUneven() {
        return times.varies();
    }

    /** Whether frames are found by counting them, because their times cannot be believed. */
    public boolean isCounted() {
        return index.isCounted() && !demuxer.isStill();
    }

    /**
     * Whether the first, middle and last frame (of a long movie, of its first part) are the same when
     * they are sought as when all is decoded up to them. Where they are not, it is to be opened as one
     * to be counted. Where there is no key among them but the first, none is sought.
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
                same &= !through.containsKey(n); // it is damaged either way
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

    /** Whether it is a file of one picture, not a movie that happens to have one. */
    public boolean isStill() {
        return demuxer.isStill() || index.size() == 1 && !hasSound() && facts.isAnimatedPicture();
    }

    /** The size as shown: turned upright, with square pixels. */
    public Size size() {
        return orientation.shown(facts.squared());
    }

    /** FFmpeg's name of the container. */
    public String container() {
        return facts.container();
    }

    /** What its numbers mean, by its tags. */
    public Colours colours() {
        return colours;
    }

    /** The depth of one stored sample. */
    public Depth depth() {
        return facts.depth();
    }

    /** The name of the compression, such as {@code vp9}. */
    public String compression() {
        return facts.compression();
    }

    /**
     * Frame {@code n} of the constant rate, 0 the first, at the size as shown, in its own colours.
     *
     * @throws UnreadableMediaException if it is damaged or there is no such frame
     */
    public Frame frame(long n) {
        return read(n).frame(workers);
    }

    /** The same, left as it is stored where that is how it is shown. */
    ReadFrame read(long n) {
        long number = numberStored(n);
        Optional<StoredPicture> known = passed.asked(number);
        if (known.isEmpty()) {
            decode(number);
            known = asStored();
        }
        return known.map(ReadFrame::of).orElseGet(() -> ReadFrame.of(shown()));
    }

    /** The memory that is taken by frames which were decoded on the way to others. */
    long passedBytes() {
        return passed.bytes();
    }

    /** What is decoded in the bytes that it came in; empty where it is not shown like that. */
    private Optional<StoredPicture> asStored() {
        boolean asShown =
                orientation == Orientation.UPRIGHT
                        && facts.squared().equals(new Size(decoded.width(), decoded.height()));
        return asShown ? PixelReader.stored(decoded) : Optional.empty();
    }

    /** The number of the stored frame that stands for one of the constant rate. */
    private long numberStored(long n) {
        if (n < 0 || n >= frames()) {
            throw new UnreadableMediaException(
                    "there is no frame " + n + " in " + path.getFileName(),
                    "it has frames 0 to " + (frames() - 1));
        }
        return times.stored(n);
    }

    /** What is decoded, at the size as shown. */
    private Frame shown() {
        Frame stored = PixelReader.read(decoded, workers);
        // A picture may change its size in the middle of a stream; the movie keeps its own.
        return orientation.upright(Resample.to(stored, facts.squared(), workers));
    }

    /** Stored frame {@code n} as it is: not turned, not squared, its values as they stand. */
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
        // A place that was sought may lie behind what was meant: then one key earlier.
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
     * Decodes on until frame {@code n} has come; false if it does not, and then the place is lost.
     *
     * @param from those that come before this one are not whole
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
                            + " cannot be read: it is damaged, or not what its name says",
                    "save it anew from the program that made it, or replace it");
        }
        return new UnreadableMediaException(
                "frame " + n + " of " + path.getFileName() + " is damaged or cut off",
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
