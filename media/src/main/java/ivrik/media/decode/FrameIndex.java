package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The times of all frames in the order of showing, in the stream's time base, and where decoding can
 * begin. Read off the packets where they say it all; else found by decoding everything once, and then
 * frames can only be counted from the beginning.
 */
final class FrameIndex {
    /** So many frames show whether they come out in the order that their times say. */
    private static final int LOOK = 12;

    private final long[] times;
    private final List<Key> keys;
    private final boolean counted;
    private final long lastDuration;

    /**
     * A frame that can be decoded on its own.
     *
     * @param position of its packet in the file in bytes, -1 if not known
     */
    record Key(long time, long position) {}

    private FrameIndex(long[] times, List<Key> keys, boolean counted, long lastDuration) {
        this.times = times;
        this.keys = keys;
        this.counted = counted;
        this.lastDuration = lastDuration;
    }

    /** By the times of the packets where these can be believed, else by decoding all. */
    static FrameIndex of(
            Demuxer demuxer, Decoder decoder, AVPacket packet, AVFrame decoded, boolean counted) {
        if (demuxer.isStill()) {
            return ofDecoding(new long[1], 0);
        }
        if (!counted) {
            var told = ofPackets(demuxer, packet);
            if (told.isPresent()
                    && (demuxer.isTrusted()
                            || told.get().comesOut(demuxer, decoder, packet, decoded))) {
                return told.get();
            }
        }
        return ofDecoding(
                decodedTimes(demuxer, decoder, packet, decoded, Integer.MAX_VALUE),
                decoded.duration());
    }

    /** Whether the first frames come out in the order that their times say. */
    private boolean comesOut(Demuxer demuxer, Decoder decoder, AVPacket packet, AVFrame decoded) {
        int look = Math.min(LOOK, size());
        return Arrays.equals(
                decodedTimes(demuxer, decoder, packet, decoded, look), 0, look, times, 0, look);
    }

    private static long[] decodedTimes(
            Demuxer demuxer, Decoder decoder, AVPacket packet, AVFrame decoded, int most) {
        long[] times = new long[Math.min(most, 256)];
        int n = 0;
        demuxer.rewind();
        decoder.flush();
        while (n < most && decoder.receive(decoded, packet)) {
            if (n == times.length) {
                times = Arrays.copyOf(times, Math.min(most, 2 * n));
            }
            times[n++] = decoded.best_effort_timestamp();
        }
        return Arrays.copyOf(times, n);
    }

    /** Read off the packets; empty if one of them does not say its time, or two say the same. */
    private static Optional<FrameIndex> ofPackets(Demuxer demuxer, AVPacket packet) {
        long[] times = new long[256];
        List<Key> keys = new ArrayList<>();
        int n = 0;
        boolean told = true;
        long lastTime = Long.MIN_VALUE;
        long lastDuration = 0;
        while (demuxer.next(packet)) {
            if ((packet.flags() & AV_PKT_FLAG_DISCARD) == 0) {
                if (n == times.length) {
                    times = Arrays.copyOf(times, n * 2);
                }
                told &= packet.pts() != AV_NOPTS_VALUE || demuxer.isStill();
                times[n++] = packet.pts();
                if (packet.pts() > lastTime) {
                    lastTime = packet.pts();
                    lastDuration = packet.duration();
                }
                if ((packet.flags() & AV_PKT_FLAG_KEY) != 0) {
                    keys.add(new Key(packet.pts(), packet.pos()));
                }
            }
            av_packet_unref(packet);
        }
        times = Arrays.copyOf(times, n);
        Arrays.sort(times);
        keys.sort((a, b) -> Long.compare(a.time(), b.time()));
        boolean differ = true;
        for (int i = 1; i < n; i++) {
            differ &= times[i] > times[i - 1];
        }
        return told && differ && n > 0
                ? Optional.of(new FrameIndex(times, keys, false, lastDuration))
                : Optional.empty();
    }

    /**
     * What came out when everything was decoded.
     *
     * @param times of the frames as they came; where they do not grow they mean nothing and are let go
     */
    static FrameIndex ofDecoding(long[] times, long lastDuration) {
        boolean grow = times.length == 0 || times[0] != AV_NOPTS_VALUE;
        for (int i = 1; i < times.length; i++) {
            grow &= times[i] > times[i - 1];
        }
        return new FrameIndex(grow ? times : new long[times.length], List.of(), true, lastDuration);
    }

    /** Whether frames have to be counted from the beginning. */
    boolean isCounted() {
        return counted;
    }

    int size() {
        return times.length;
    }

    long[] times() {
        return times;
    }

    /** How long the last frame is shown, 0 if that is not known. */
    long lastDuration() {
        return lastDuration;
    }

    /** The number of the frame of a time; -1 if none has it. */
    long number(long time) {
        int at = Arrays.binarySearch(times, time);
        return at >= 0 ? at : -1;
    }

    /** Which of the keys is the last at or before frame {@code n}; -1 if none is. */
    int keyBefore(long n) {
        int low = 0;
        int high = keys.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (keys.get(middle).time() <= times[(int) n]) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low - 1;
    }

    Key key(int k) {
        return keys.get(k);
    }
}
