package ivrik.media.sound;

import static org.bytedeco.ffmpeg.global.avutil.*;
import static org.bytedeco.ffmpeg.global.swresample.*;

import ivrik.media.ffmpeg.FrameMemory;

import org.bytedeco.ffmpeg.avutil.AVChannelLayout;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.swresample.SwrContext;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.function.IntConsumer;

/** Converts blocks of sound to stereo floats at {@link SoundReader#RATE}. */
final class StereoConverter implements AutoCloseable {
    /** Used before the first block. */
    static final StereoConverter NONE = new StereoConverter(null, 0, 0, 0, r -> {});

    private final SwrContext resampler;
    private final int format;
    private final int rate;
    private final int channels;
    private final IntConsumer check;

    private StereoConverter(
            SwrContext resampler, int format, int rate, int channels, IntConsumer check) {
        this.resampler = resampler;
        this.format = format;
        this.rate = rate;
        this.channels = channels;
        this.check = check;
    }

    /**
     * A converter for blocks of the same format.
     *
     * @param check receives FFmpeg's return codes
     */
    static StereoConverter of(AVFrame block, IntConsumer check) {
        nameChannels(block);
        AVChannelLayout stereo = new AVChannelLayout();
        av_channel_layout_default(stereo, 2);
        SwrContext resampler = new SwrContext(null);
        check.accept(
                swr_alloc_set_opts2(
                        resampler,
                        stereo,
                        AV_SAMPLE_FMT_FLT,
                        SoundReader.RATE,
                        block.ch_layout(),
                        block.format(),
                        block.sample_rate(),
                        0,
                        null));
        check.accept(swr_init(resampler));
        return new StereoConverter(
                resampler,
                block.format(),
                block.sample_rate(),
                block.ch_layout().nb_channels(),
                check);
    }

    /** Assumes the default channel layout if the file declares none. */
    private static void nameChannels(AVFrame block) {
        if (block.ch_layout().order() == AV_CHANNEL_ORDER_UNSPEC) {
            av_channel_layout_default(block.ch_layout(), block.ch_layout().nb_channels());
        }
    }

    /** Whether a block has the same format. */
    boolean takes(AVFrame block) {
        return resampler != null
                && block.format() == format
                && block.sample_rate() == rate
                && block.ch_layout().nb_channels() == channels;
    }

    /** Number of buffered samples. */
    long delay() {
        return resampler == null ? 0 : swr_get_delay(resampler, SoundReader.RATE);
    }

    float[] convert(AVFrame block) {
        nameChannels(block);
        return converted(block);
    }

    /** The buffered samples. */
    float[] rest() {
        return resampler == null ? new float[0] : converted(null);
    }

    private float[] converted(AVFrame block) {
        AVFrame out = av_frame_alloc();
        try {
            out.format(AV_SAMPLE_FMT_FLT);
            out.sample_rate(SoundReader.RATE);
            av_channel_layout_default(out.ch_layout(), 2);
            check.accept(swr_convert_frame(resampler, out, block));
            float[] samples = new float[2 * out.nb_samples()];
            if (samples.length > 0) {
                FrameMemory memory = FrameMemory.of(out, 0);
                memory.check(0, (long) samples.length * Float.BYTES - 1);
                MemorySegment.copy(
                        memory.buffer(),
                        ValueLayout.JAVA_FLOAT_UNALIGNED,
                        memory.start(),
                        samples,
                        0,
                        samples.length);
                keepMonoAsLoud(samples);
            }
            return samples;
        } finally {
            av_frame_free(out);
        }
    }

    /** Undoes the 3 dB attenuation that FFmpeg applies when it converts mono to stereo. */
    private void keepMonoAsLoud(float[] samples) {
        if (channels == 1) {
            for (int i = 0; i < samples.length; i++) {
                samples[i] *= (float) Math.sqrt(2);
            }
        }
    }

    @Override
    public void close() {
        if (resampler != null) {
            swr_free(resampler);
        }
    }
}
