package ivrik.media.sound;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.media.UnreadableMediaException;
import ivrik.media.decode.Demuxer;
import ivrik.media.decode.PictureStart;
import ivrik.media.ffmpeg.Ffmpeg;

import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;

/**
 * The sound of a file as stereo floats at {@link #RATE}, positioned relative to its first picture. Not
 * thread-safe.
 */
public final class SoundReader implements AutoCloseable {
    /** Sample rate inside Ivrik. */
    public static final int RATE = 48_000;

    /**
     * Distance up to which sound is decoded instead of sought; a seek is only as exact as the file's time
     * stamps.
     */
    private static final long FAR = 120L * RATE;

    /** Tolerance of time stamps; larger differences are gaps or overlaps. */
    private static final int ROUNDING = RATE / 100;

    /** Samples decoded before the target of a seek, for the decoder to settle. */
    private static final int BEFORE = RATE / 2;

    private final Path path;
    private final Demuxer demuxer;
    private final AVCodecContext codec;
    private final AVPacket packet = av_packet_alloc();
    private final AVFrame decoded = av_frame_alloc();
    private final long origin;
    private StereoConverter converter = StereoConverter.NONE;

    /** Decoded samples that were not requested yet, and the position of the first. */
    private float[] ready = new float[0];

    private long readyAt;
    private boolean placed;
    private boolean ended;

    /** Samples to skip because they overlap earlier ones. */
    private int twice;

    public SoundReader(Path path) {
        this(path, Optional.empty());
    }

    /**
     * @param track stream index; empty for the default
     * @throws UnreadableMediaException if the file has no such sound, or it cannot be read
     */
    public SoundReader(Path path, Optional<Integer> track) {
        this.path = path;
        this.demuxer = new Demuxer(path, AVMEDIA_TYPE_AUDIO, track.orElse(Demuxer.BEST));
        AVCodecContext opened = null;
        try {
            AVCodec decoder = avcodec_find_decoder(demuxer.stream().codecpar().codec_id());
            if (decoder == null || decoder.isNull()) {
                throw unreadable("its codec is not supported");
            }
            opened = avcodec_alloc_context3(decoder);
            avcodec_parameters_to_context(opened, demuxer.stream().codecpar());
            opened.pkt_timebase(demuxer.stream().time_base());
            check(avcodec_open2(opened, decoder, (AVDictionary) null));
            codec = opened;
            origin = Math.round(PictureStart.seconds(path, demuxer) * RATE);
        } catch (RuntimeException e) {
            if (opened != null) {
                avcodec_free_context(opened);
            }
            av_packet_free(packet);
            av_frame_free(decoded);
            demuxer.close();
            throw e;
        }
    }

    /**
     * {@code count} interleaved stereo samples from a position at {@link #RATE}; silence outside the track.
     */
    public float[] read(long from, int count) {
        float[] out = new float[2 * count];
        if (placed && (from < readyAt || from > readyAt + FAR)) {
            seek(from);
        }
        long end = from + count;
        while (!ended && (!placed || readyAt + ready.length / 2 < end)) {
            decodeMore();
        }
        for (long at = Math.max(from, readyAt);
                at < Math.min(end, readyAt + ready.length / 2);
                at++) {
            int i = (int) (at - readyAt) * 2;
            int o = (int) (at - from) * 2;
            out[o] = ready[i];
            out[o + 1] = ready[i + 1];
        }
        drop(end);
        return out;
    }

    private void drop(long before) {
        int gone = (int) Math.clamp(before - readyAt, 0L, ready.length / 2L);
        ready = Arrays.copyOfRange(ready, gone * 2, ready.length);
        readyAt += gone;
    }

    private void seek(long sample) {
        long time =
                av_rescale_q(
                        Math.max(0, sample + origin - BEFORE),
                        av_make_q(1, RATE),
                        demuxer.stream().time_base());
        if (sample <= BEFORE
                || av_seek_frame(
                                demuxer.format(),
                                demuxer.stream().index(),
                                time,
                                AVSEEK_FLAG_BACKWARD)
                        < 0) {
            demuxer.rewind();
        }
        restart();
        while (!ended && !placed) {
            decodeMore();
        }
        if (readyAt > sample) { // the seek landed behind the target
            demuxer.rewind();
            restart();
        }
    }

    private void restart() {
        avcodec_flush_buffers(codec);
        converter.close();
        converter = StereoConverter.NONE;
        ready = new float[0];
        readyAt = 0;
        twice = 0;
        placed = false;
        ended = false;
    }

    private void decodeMore() {
        int got = avcodec_receive_frame(codec, decoded);
        if (got == 0) {
            place();
            if (!converter.takes(decoded)) {
                add(converter.rest());
                converter.close();
                converter = StereoConverter.of(decoded, this::check);
            }
            add(converter.convert(decoded));
            return;
        }
        if (got != AVERROR_EAGAIN()) {
            add(converter.rest());
            placed = true;
            ended = true;
            return;
        }
        if (demuxer.next(packet)) {
            avcodec_send_packet(codec, packet);
            av_packet_unref(packet);
        } else {
            avcodec_send_packet(codec, null);
        }
    }

    /** Positions the decoded block: at the start, after a gap, or overlapping. */
    private void place() {
        long time = decoded.best_effort_timestamp();
        if (time == AV_NOPTS_VALUE) {
            placed = true;
            return;
        }
        long at = av_rescale_q(time, demuxer.stream().time_base(), av_make_q(1, RATE)) - origin;
        if (!placed) {
            placed = true;
            readyAt = at;
            return;
        }
        long off = at - (readyAt + ready.length / 2 + converter.delay() - twice);
        if (off > ROUNDING) {
            ready = Arrays.copyOf(ready, ready.length + 2 * (int) Math.min(off, FAR));
        } else if (off < -ROUNDING) {
            twice += (int) Math.min(-off, FAR);
        }
    }

    private void add(float[] samples) {
        int left = Math.min(twice, samples.length / 2);
        twice -= left;
        int had = ready.length;
        ready = Arrays.copyOf(ready, had + samples.length - 2 * left);
        System.arraycopy(samples, 2 * left, ready, had, samples.length - 2 * left);
    }

    private void check(int result) {
        if (result < 0) {
            throw unreadable(Ffmpeg.errorText(result));
        }
    }

    private UnreadableMediaException unreadable(String why) {
        return new UnreadableMediaException(
                "cannot read the sound of " + path + " (" + why + ")",
                "replace the file, or export without sound (--no-sound)");
    }

    @Override
    public void close() {
        converter.close();
        avcodec_free_context(codec);
        demuxer.close();
        av_frame_free(decoded);
        av_packet_free(packet);
    }
}
