package ivrik.media.sound;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;
import static org.bytedeco.ffmpeg.global.swresample.*;

import ivrik.media.UnreadableMediaException;
import ivrik.media.decode.Ffmpeg;

import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVChannelLayout;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.swresample.SwrContext;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.javacpp.PointerPointer;

import java.nio.file.Path;

/** The sound of a file as stereo floats at {@link #RATE}, by position. Not for several threads. */
public final class SoundReader implements AutoCloseable {
    /** Samples a second of all sound inside Ivrik. */
    public static final int RATE = 48_000;

    /** Up to here it is decoded on, which is exact; a seek is as exact as the file's timestamps. */
    private static final long FAR = 120L * RATE;

    private final Path path;
    private final AVFormatContext format = new AVFormatContext(null);
    private final AVStream stream;
    private final AVCodecContext codec;
    private final SwrContext resampler = new SwrContext(null);
    private final AVPacket packet = av_packet_alloc();
    private final AVFrame decoded = av_frame_alloc();

    /** What is decoded and not yet asked for, and the position of its first sample. */
    private float[] ready = new float[0];

    private long readyAt;
    private boolean ended;

    public SoundReader(Path path) {
        Ffmpeg.load();
        this.path = path;
        check(avformat_open_input(format, "file:" + path, null, (AVDictionary) null));
        check(avformat_find_stream_info(format, (PointerPointer<?>) null));
        int number = av_find_best_stream(format, AVMEDIA_TYPE_AUDIO, -1, -1, (AVCodec) null, 0);
        check(number);
        stream = format.streams(number);
        AVCodec decoder = avcodec_find_decoder(stream.codecpar().codec_id());
        codec = avcodec_alloc_context3(decoder);
        avcodec_parameters_to_context(codec, stream.codecpar());
        codec.pkt_timebase(stream.time_base());
        check(avcodec_open2(codec, decoder, (AVDictionary) null));
        startResampler();
    }

    private void startResampler() {
        AVChannelLayout stereo = new AVChannelLayout();
        av_channel_layout_default(stereo, 2);
        check(
                swr_alloc_set_opts2(
                        resampler,
                        stereo,
                        AV_SAMPLE_FMT_FLT,
                        RATE,
                        codec.ch_layout(),
                        codec.sample_fmt(),
                        codec.sample_rate(),
                        0,
                        null));
        check(swr_init(resampler));
    }

    /**
     * {@code count} samples of both channels, interleaved, from a position in samples at {@link
     * #RATE}; silence outside the track.
     */
    public float[] read(long from, int count) {
        float[] out = new float[2 * count];
        if (from < readyAt || from > readyAt + FAR) {
            seek(Math.max(0, from));
        }
        long end = from + count;
        while (!ended && readyAt + ready.length / 2 < end) {
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
        int gone = Math.clamp(before - readyAt, 0, ready.length / 2);
        ready = java.util.Arrays.copyOfRange(ready, gone * 2, ready.length);
        readyAt += gone;
    }

    private void seek(long sample) {
        long time =
                av_rescale_q(
                        Math.max(0, sample - RATE / 2), av_make_q(1, RATE), stream.time_base());
        av_seek_frame(format, stream.index(), time, AVSEEK_FLAG_BACKWARD);
        avcodec_flush_buffers(codec);
        swr_free(resampler);
        startResampler();
        ready = new float[0];
        readyAt = -1;
        ended = false;
        while (!ended && readyAt < 0) {
            decodeMore();
        }
    }

    private void decodeMore() {
        int got = avcodec_receive_frame(codec, decoded);
        if (got == 0) {
            if (readyAt < 0) {
                readyAt =
                        Math.max(
                                0,
                                av_rescale_q(
                                        decoded.best_effort_timestamp(),
                                        stream.time_base(),
                                        av_make_q(1, RATE)));
            }
            convert(decoded);
            return;
        }
        if (got != AVERROR_EAGAIN()) {
            convert(null);
            ended = true;
            readyAt = Math.max(0, readyAt);
            return;
        }
        if (av_read_frame(format, packet) < 0) {
            avcodec_send_packet(codec, null);
            return;
        }
        if (packet.stream_index() == stream.index()) {
            avcodec_send_packet(codec, packet);
        }
        av_packet_unref(packet);
    }

    /** Appends a decoded block, or at the end what the resampler still holds. */
    private void convert(AVFrame frame) {
        AVFrame out = av_frame_alloc();
        try {
            out.format(AV_SAMPLE_FMT_FLT);
            out.sample_rate(RATE);
            av_channel_layout_default(out.ch_layout(), 2);
            check(swr_convert_frame(resampler, out, frame));
            int made = out.nb_samples();
            float[] more = new float[ready.length + 2 * made];
            System.arraycopy(ready, 0, more, 0, ready.length);
            if (made > 0) {
                new FloatPointer(out.data(0)).get(more, ready.length, 2 * made);
                keepMonoAsLoud(more, ready.length);
            }
            ready = more;
        } finally {
            av_frame_free(out);
        }
    }

    /** FFmpeg spreads one channel over two at 3 dB less each; here it is to sound from both as it is. */
    private void keepMonoAsLoud(float[] samples, int from) {
        if (codec.ch_layout().nb_channels() == 1) {
            for (int i = from; i < samples.length; i++) {
                samples[i] *= (float) Math.sqrt(2);
            }
        }
    }

    private void check(int result) {
        if (result < 0) {
            throw new UnreadableMediaException(
                    "the sound of " + path + " cannot be read (" + Ffmpeg.word(result) + ")",
                    "replace the file, or export without sound");
        }
    }

    @Override
    public void close() {
        swr_free(resampler);
        avcodec_free_context(codec);
        avformat_close_input(format);
        av_frame_free(decoded);
        av_packet_free(packet);
    }
}
