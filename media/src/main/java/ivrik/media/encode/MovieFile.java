package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.media.ffmpeg.Ffmpeg;
import ivrik.media.file.SafeFile;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVIOContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVRational;

import java.nio.file.Path;

/**
 * A movie file: picture packets in order, sound, then {@link #finish}. Without finish no file is left.
 */
final class MovieFile implements AutoCloseable {
    private final Path target;
    private final ExportFormat.Container container;
    private final SafeFile file;
    private final AVFormatContext format = new AVFormatContext(null);
    private AVRational timeBase;
    private AVStream stream;
    private SoundEncoder sound;

    /**
     * @throws ivrik.media.UnwritableTargetException if the file cannot be created
     */
    MovieFile(Path target, ExportFormat.Container container) {
        Ffmpeg.load();
        this.target = target;
        this.container = container;
        this.file = new SafeFile(target);
        try {
            Encoders.check(
                    avformat_alloc_output_context2(
                            format, null, container.name(), file.aside().toString()),
                    target);
            format.flags(format.flags() | AVFormatContext.AVFMT_FLAG_BITEXACT);
        } catch (RuntimeException e) {
            close();
            throw e;
        }
    }

    /** Whether the container stores the encoder's header separately. */
    boolean hasHeader() {
        return (format.oformat().flags() & AVFMT_GLOBALHEADER) != 0;
    }

    /**
     * Writes the file header.
     *
     * @param encoder opened picture encoder
     */
    void begin(AVCodecContext encoder, MovieWriter.Options options) {
        AVRational base = encoder.time_base();
        timeBase = av_make_q(base.num(), base.den());
        stream = avformat_new_stream(format, null);
        stream.time_base(timeBase);
        stream.avg_frame_rate(Ffmpeg.rational(options.rate()));
        Encoders.check(avcodec_parameters_from_context(stream.codecpar(), encoder), target);
        if (options.hasAlpha() && options.format() == ExportFormats.VP9) {
            AVDictionary facts = new AVDictionary(null);
            av_dict_set(facts, "alpha_mode", "1", 0);
            stream.metadata(facts);
        }
        if (options.sound()) {
            sound = new SoundEncoder(format, container.sound(), target);
        }
        AVIOContext io = new AVIOContext(null);
        Encoders.check(avio_open(io, "file:" + file.aside(), AVIO_FLAG_WRITE), target);
        format.pb(io);
        AVDictionary muxing = new AVDictionary(null);
        container.settings().forEach((name, value) -> av_dict_set(muxing, name, value, 0));
        int begun = avformat_write_header(format, muxing);
        av_dict_free(muxing);
        Encoders.check(begun, target);
    }

    /** Writes a packet with times in frames and clears the packet. */
    void write(AVPacket packet) {
        packet.stream_index(stream.index());
        packet.duration(1);
        av_packet_rescale_ts(packet, timeBase, stream.time_base());
        Encoders.check(av_interleaved_write_frame(format, packet), target);
    }

    /** Appends stereo samples at {@link ivrik.media.sound.SoundReader#RATE}. */
    void sound(float[] stereo) {
        sound.add(stereo);
    }

    /** Writes the trailer and moves the movie into place. */
    void finish() {
        if (sound != null) {
            sound.finish();
        }
        Encoders.check(av_write_trailer(format), target);
        Encoders.check(avio_closep(format.pb()), target);
        format.pb(null);
        file.finish();
    }

    @Override
    public void close() {
        if (sound != null) {
            sound.close();
            sound = null;
        }
        if (!format.isNull()) {
            if (format.pb() != null && !format.pb().isNull()) {
                avio_closep(format.pb());
            }
            avformat_free_context(format);
            format.setNull();
        }
        file.close();
    }
}
