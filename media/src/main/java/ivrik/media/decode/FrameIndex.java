package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;

import java.util.Arrays;

/**
 * The timestamps of all frames in the order of showing, and which of them can be decoded on their
 * own. Read off the packets once, so that neither the container's index nor a constant rate has to
 * be trusted.
 */
final class FrameIndex {
    private final long[] times;
    private final long[] keys;

    private final boolean timed;

    private FrameIndex(long[] times, long[] keys, boolean timed) {
        this.times = times;
        this.keys = keys;
        this.timed = timed;
    }

    static FrameIndex of(AVFormatContext format, AVStream stream, AVPacket packet) {
        long[] times = new long[256];
        long[] keys = new long[16];
        int n = 0;
        int k = 0;
        boolean timed = true;
        while (av_read_frame(format, packet) >= 0) {
            boolean shown =
                    packet.stream_index() == stream.index()
                            && (packet.flags() & AV_PKT_FLAG_DISCARD) == 0;
            if (shown) {
                if (n == times.length) {
                    times = Arrays.copyOf(times, n * 2);
                }
                long time = packet.pts() != AV_NOPTS_VALUE ? packet.pts() : packet.dts();
                timed &= packet.pts() != AV_NOPTS_VALUE;
                times[n++] = time;
                if ((packet.flags() & AV_PKT_FLAG_KEY) != 0) {
                    if (k == keys.length) {
                        keys = Arrays.copyOf(keys, k * 2);
                    }
                    keys[k++] = time;
                }
            }
            av_packet_unref(packet);
        }
        times = Arrays.copyOf(times, n);
        keys = Arrays.copyOf(keys, k);
        Arrays.sort(times);
        Arrays.sort(keys);
        return new FrameIndex(times, keys, timed);
    }

    /**
     * Whether every packet says when it is shown. Where one does not (AVI with B-frames, raw
     * streams) frames have to be counted from the beginning.
     */
    boolean isTimed() {
        return timed;
    }

    int size() {
        return times.length;
    }

    long first() {
        return times[0];
    }

    long time(long n) {
        return times[(int) n];
    }

    /** The number of the frame with a timestamp; of the one before it if none has it. */
    long number(long time) {
        int at = Arrays.binarySearch(times, time);
        return at >= 0 ? at : -at - 2;
    }

    /** The time of the last frame at or before {@code n} that decoding can begin with. */
    long keyBefore(long n) {
        int at = Arrays.binarySearch(keys, times[(int) n]);
        int key = at >= 0 ? at : -at - 2;
        return key < 0 ? times[0] : keys[key];
    }
}
