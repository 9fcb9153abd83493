package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.media.UnreadableMediaException;

import org.bytedeco.ffmpeg.avcodec.AVPacket;

import java.nio.file.Path;

/** Start time of a file's first picture on the clock of its sound. */
public final class PictureStart {
    /**
     * Number of packets searched for the first displayed picture, because packets are not in display order.
     */
    private static final int AMONG = 40;

    private PictureStart() {}

    /**
     * Start time in seconds.
     *
     * @param sound the sound; its start is used if there is no picture
     */
    public static double seconds(Path path, Demuxer sound) {
        AVPacket packet = av_packet_alloc();
        try (Demuxer pictures = new Demuxer(path, AVMEDIA_TYPE_VIDEO, Demuxer.BEST)) {
            long shown = Long.MAX_VALUE;
            long decoded = Long.MAX_VALUE;
            for (int i = 0; i < AMONG && pictures.next(packet); i++) {
                if ((packet.flags() & AV_PKT_FLAG_DISCARD) == 0) {
                    shown = least(shown, packet.pts());
                    decoded = least(decoded, packet.dts());
                }
                av_packet_unref(packet);
            }
            // AVI stores the order of pictures, not their times
            boolean stored = shown == Long.MAX_VALUE || pictures.name().equals("avi");
            long first = stored ? decoded : shown;
            if (first != Long.MAX_VALUE) {
                return first * av_q2d(pictures.stream().time_base());
            }
        } catch (UnreadableMediaException e) {
            // sound only: starts at its first sample
        } finally {
            av_packet_free(packet);
        }
        long begins = sound.stream().start_time();
        return begins == AV_NOPTS_VALUE ? 0 : begins * av_q2d(sound.stream().time_base());
    }

    private static long least(long sofar, long time) {
        return time == AV_NOPTS_VALUE ? sofar : Math.min(sofar, time);
    }
}
