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
 * Time stamps of all frames in display order, in the stream's time base, and its keyframes. Read from the
 * packets if they are complete; otherwise from decoding everything once, in which case frames can only be
 * found by counting.
 */
final class FrameIndex {
    /** Number of frames that are decoded to check display order. */
    private static final int LOOK = 12;

    private final long[] times;
    private final List<Key> keys;
    private final boolean counted;
    private final long lastDuration;

    /**
     * A frame that decodes independently.
     *
     * @param position byte position of its packet; -1 if unknown
     */
    record Key(long time, long position) {}

    private FrameIndex(long[] times, List<Key> keys, boolean counted, long lastDuration) {
        this.times = times;
        this.keys = keys;
        this.counted = counted;
        this.lastDuration = lastDuration;
    }

    /** From the packets if time stamps are reliable, otherwise from decoding. */
    static FrameIndex of(
            Demuxer demuxer, Decoder decoder, AVPacket packet, AVFrame decoded, boolean counted) {
        if (demuxer.isStill()) {
            return ofDecoding(new long[1], 0);
        }
        if (!counted) {
            var reported = ofPackets(demuxer, packet);
            if (reported.isPresent()
                    && (demuxer.isTrusted()
                            || reported.get().comesOut(demuxer, decoder, packet, decoded))) {
                return reported.get();
            }
        }
        return ofDecoding(
                decodedTimes(demuxer, decoder, packet, decoded, Integer.MAX_VALUE),
                decoded.duration());
    }

    /** Whether the first frames are decoded in the order of their time stamps. */
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

    /** From the packets; empty if a time stamp is missing or repeated. */
    private static Optional<FrameIndex> ofPackets(Demuxer demuxer, AVPacket packet) {
        long[] times = new long[256];
        List<Key> keys = new ArrayList<>();
        int n = 0;
        boolean reported = true;
        long lastTime = Long.MIN_VALUE;
        long lastDuration = 0;
        while (demuxer.next(packet)) {
            if ((packet.flags() & AV_PKT_FLAG_DISCARD) == 0) {
                if (n == times.length) {
                    times = Arrays.copyOf(times, n * 2);
                }
                reported &= packet.pts() != AV_NOPTS_VALUE || demuxer.isStill();
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
        return reported && differ && n > 0
                ? Optional.of(new FrameIndex(times, keys, false, lastDuration))
                : Optional.empty();
    }

    /**
     * From decoding.
     *
     * @param times time stamps in decoding order; ignored if they do not increase
     */
    static FrameIndex ofDecoding(long[] times, long lastDuration) {
        boolean grow = times.length == 0 || times[0] != AV_NOPTS_VALUE;
        for (int i = 1; i < times.length; i++) {
            grow &= times[i] > times[i - 1];
        }
        return new FrameIndex(grow ? times : new long[times.length], List.of(), true, lastDuration);
    }

    /** Whether frames are found by counting from the start. */
    boolean isCounted() {
        return counted;
    }

    int size() {
        return times.length;
    }

    long[] times() {
        return times;
    }

    /** Duration of the last frame; 0 if unknown. */
    long lastDuration() {
        return lastDuration;
    }

    /** Index of the frame with a time stamp; -1 if there is none. */
    long number(long time) {
        int at = Arrays.binarySearch(times, time);
        return at >= 0 ? at : -1;
    }

    /** Index of the last keyframe at or before frame {@code n}; -1 if there is none. */
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
