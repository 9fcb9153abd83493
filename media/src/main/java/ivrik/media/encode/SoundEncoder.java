package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import static java.lang.foreign.ValueLayout.JAVA_FLOAT_UNALIGNED;
import static java.lang.foreign.ValueLayout.JAVA_INT_UNALIGNED;

import ivrik.media.ffmpeg.FrameMemory;
import ivrik.media.sound.SoundReader;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.lang.foreign.MemorySegment;
import java.nio.file.Path;
import java.util.Arrays;

/** Encodes the sound track of a movie from stereo floats. */
final class SoundEncoder implements AutoCloseable {
    /** Block size for encoders that accept any. */
    private static final int ANY_BLOCK = 2048;

    private final Path target;
    private final AVFormatContext format;
    private final AVCodecContext codec;
    private final AVStream stream;
    private final AVPacket packet = av_packet_alloc();
    private float[] waiting = new float[0];
    private long written;

    SoundEncoder(AVFormatContext format, String encoder, Path target) {
        this.format = format;
        this.target = target;
        this.codec = Encoders.context(encoder);
        codec.sample_rate(SoundReader.RATE);
        codec.sample_fmt(
                switch (encoder) {
                    case "flac", "pcm_s24le" -> AV_SAMPLE_FMT_S32;
                    case "aac" -> AV_SAMPLE_FMT_FLTP;
                    default -> AV_SAMPLE_FMT_FLT;
                });
        if (codec.sample_fmt() == AV_SAMPLE_FMT_S32) {
            codec.bits_per_raw_sample(24);
        } else {
            codec.bit_rate(192_000);
        }
        av_channel_layout_default(codec.ch_layout(), 2);
        codec.time_base(av_make_q(1, SoundReader.RATE));
        if ((format.oformat().flags() & AVFMT_GLOBALHEADER) != 0) {
            codec.flags(codec.flags() | AV_CODEC_FLAG_GLOBAL_HEADER);
        }
        Encoders.check(avcodec_open2(codec, codec.codec(), (AVDictionary) null), target);
        stream = avformat_new_stream(format, null);
        stream.time_base(codec.time_base());
        avcodec_parameters_from_context(stream.codecpar(), codec);
    }

    void add(float[] stereo) {
        int had = waiting.length;
        waiting = Arrays.copyOf(waiting, had + stereo.length);
        System.arraycopy(stereo, 0, waiting, had, stereo.length);
        int block = codec.frame_size() > 0 ? codec.frame_size() * 2 : ANY_BLOCK;
        while (waiting.length >= block) {
            encode(Arrays.copyOf(waiting, block));
            waiting = Arrays.copyOfRange(waiting, block, waiting.length);
        }
    }

    void finish() {
        if (waiting.length > 0) {
            encode(waiting);
        }
        send(null);
    }

    private void encode(float[] stereo) {
        AVFrame block = av_frame_alloc();
        try {
            block.format(codec.sample_fmt());
            block.nb_samples(stereo.length / 2);
            block.sample_rate(SoundReader.RATE);
            av_channel_layout_copy(block.ch_layout(), codec.ch_layout());
            Encoders.check(av_frame_get_buffer(block, 0), target);
            fill(block, stereo);
            block.pts(written);
            written += stereo.length / 2;
            send(block);
        } finally {
            av_frame_free(block);
        }
    }

    private static void fill(AVFrame block, float[] stereo) {
        int n = stereo.length / 2;
        switch (block.format()) {
            case AV_SAMPLE_FMT_FLT -> put(block, 0, stereo);
            case AV_SAMPLE_FMT_S32 -> {
                int[] codes = new int[stereo.length];
                for (int i = 0; i < codes.length; i++) {
                    codes[i] =
                            (int) Math.rint(Math.clamp(stereo[i], -1f, 1f) * (double) 0x7fffff)
                                    << 8;
                }
                FrameMemory memory = FrameMemory.of(block, 0);
                MemorySegment.copy(
                        codes,
                        0,
                        memory.buffer(),
                        JAVA_INT_UNALIGNED,
                        memory.start(),
                        codes.length);
            }
            default -> {
                for (int channel = 0; channel < 2; channel++) {
                    float[] one = new float[n];
                    for (int i = 0; i < n; i++) {
                        one[i] = stereo[2 * i + channel];
                    }
                    put(block, channel, one);
                }
            }
        }
    }

    private static void put(AVFrame block, int plane, float[] samples) {
        FrameMemory memory = FrameMemory.of(block, plane);
        MemorySegment.copy(
                samples, 0, memory.buffer(), JAVA_FLOAT_UNALIGNED, memory.start(), samples.length);
    }

    private void send(AVFrame block) {
        Encoders.check(avcodec_send_frame(codec, block), target);
        while (avcodec_receive_packet(codec, packet) >= 0) {
            packet.stream_index(stream.index());
            av_packet_rescale_ts(packet, codec.time_base(), stream.time_base());
            Encoders.check(av_interleaved_write_frame(format, packet), target);
        }
    }

    @Override
    public void close() {
        av_packet_free(packet);
        avcodec_free_context(codec);
    }
}
