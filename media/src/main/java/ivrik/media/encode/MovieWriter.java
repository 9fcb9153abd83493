package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.motion.Rational;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;
import ivrik.media.decode.Ffmpeg;
import ivrik.media.file.SafeFile;
import ivrik.media.pixel.PixelWriter;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVIOContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.nio.file.Path;

/**
 * A movie being written: pictures in order, sound alongside, {@link #finish} at the end. Closed
 * before that, it leaves nothing under its name.
 */
public final class MovieWriter implements AutoCloseable {
    private final Path target;
    private final Workers workers;
    private final SafeFile file;
    private final AVFormatContext format = new AVFormatContext(null);
    private final AVCodecContext video;
    private final AVStream stream;
    private final AVPacket packet = av_packet_alloc();
    private final AVFrame picture;
    private final SoundEncoder sound;
    private final Size size;
    private long frames;

    /** How a movie is written. */
    public record Options(
            Form form,
            Quality quality,
            Depth depth,
            boolean alpha,
            Size size,
            Rational rate,
            boolean sound) {}

    /**
     * @throws ivrik.media.UnwritableTargetException if the place or the form does not do
     */
    public MovieWriter(Path target, Options options, Workers workers) {
        this.target = target;
        this.workers = workers;
        this.size = options.size();
        this.video = videoContext(options);
        this.file = new SafeFile(target);
        try {
            Encoders.check(
                    avformat_alloc_output_context2(
                            format, null, options.form().container, file.aside().toString()),
                    target);
            format.flags(format.flags() | AVFormatContext.AVFMT_FLAG_BITEXACT);
            if ((format.oformat().flags() & AVFMT_GLOBALHEADER) != 0) {
                video.flags(video.flags() | AV_CODEC_FLAG_GLOBAL_HEADER);
            }
            openVideo(options);
            stream = avformat_new_stream(format, null);
            stream.time_base(video.time_base());
            stream.avg_frame_rate(Ffmpeg.rational(options.rate()));
            avcodec_parameters_from_context(stream.codecpar(), video);
            if (options.alpha() && options.form() == Form.VP9) {
                AVDictionary facts = new AVDictionary(null);
                av_dict_set(facts, "alpha_mode", "1", 0);
                stream.metadata(facts);
            }
            sound =
                    options.sound()
                            ? new SoundEncoder(format, options.form().soundEncoder, target)
                            : null;
            AVIOContext io = new AVIOContext(null);
            Encoders.check(avio_open(io, "file:" + file.aside(), AVIO_FLAG_WRITE), target);
            format.pb(io);
            AVDictionary muxing = new AVDictionary(null);
            if (options.form().container.equals("mp4")) {
                av_dict_set(muxing, "movflags", "+faststart", 0);
            }
            Encoders.check(avformat_write_header(format, muxing), target);
            av_dict_free(muxing);
            picture = Encoders.picture(video);
        } catch (RuntimeException e) {
            file.close();
            throw e;
        }
    }

    private static AVCodecContext videoContext(Options options) {
        Form form = options.form();
        AVCodecContext c = Encoders.context(form.encoder);
        int even = form.needsEvenSize() ? 1 : 0;
        c.width(options.size().width() + even & ~even);
        c.height(options.size().height() + even & ~even);
        c.pix_fmt(form.pixelFormat(options.depth(), options.alpha() && form.keepsAlpha()));
        c.time_base(Ffmpeg.rational(Rational.of(1).dividedBy(options.rate())));
        c.framerate(Ffmpeg.rational(options.rate()));
        c.color_primaries(AVCOL_PRI_BT709);
        boolean rgb = form == Form.FFV1;
        c.color_trc(rgb ? AVCOL_TRC_IEC61966_2_1 : AVCOL_TRC_BT709);
        c.colorspace(rgb ? AVCOL_SPC_RGB : AVCOL_SPC_BT709);
        c.color_range(rgb ? AVCOL_RANGE_JPEG : AVCOL_RANGE_MPEG);
        if (!rgb) {
            c.chroma_sample_location(AVCHROMA_LOC_LEFT);
        }
        return c;
    }

    private void openVideo(Options options) {
        AVDictionary d = new AVDictionary(null);
        video.thread_count(2);
        switch (options.form()) {
            case FFV1 -> {
                av_dict_set(d, "level", "3", 0);
                av_dict_set(d, "slicecrc", "1", 0);
                av_dict_set(d, "slices", size.width() >= 64 && size.height() >= 64 ? "4" : "1", 0);
                video.gop_size(1);
            }
            case VP9 -> {
                av_dict_set_int(d, "crf", options.quality().vp9Factor, 0);
                av_dict_set(d, "b", "0", 0);
                av_dict_set(d, "cpu-used", "4", 0);
                av_dict_set(d, "row-mt", "1", 0);
            }
            case H264 -> video.bit_rate(bitRate(options));
            case AV1 -> {
                av_dict_set_int(d, "crf", options.quality().av1Factor, 0);
                av_dict_set(d, "preset", "9", 0);
            }
            default -> throw new IllegalArgumentException(options.form() + " is no movie");
        }
        Encoders.open(video, d, options.form().title(), size);
        av_dict_free(d);
    }

    private static long bitRate(Options options) {
        double bits =
                options.quality().bitsPerPixel
                        * options.size().pixels()
                        * options.rate().toDouble();
        return Math.max(200_000, Math.round(bits));
    }

    /** The next picture, of the movie's size. */
    public void picture(Frame frame) {
        Encoders.check(av_frame_make_writable(picture), target);
        PixelWriter.write(evened(frame), picture, workers);
        picture.pts(frames++);
        send(picture);
    }

    /** An odd width or height is made even by repeating the last column or row. */
    private Frame evened(Frame frame) {
        return frame.width() == video.width() && frame.height() == video.height()
                ? frame
                : Evened.to(frame, new Size(video.width(), video.height()));
    }

    /** The next stretch of sound: stereo samples at {@link ivrik.media.sound.SoundReader#RATE}. */
    public void sound(float[] stereo) {
        sound.add(stereo);
    }

    /** All pictures and sound are in: write the end and put the movie in its place. */
    public void finish() {
        send(null);
        if (sound != null) {
            sound.finish();
        }
        Encoders.check(av_write_trailer(format), target);
        Encoders.check(avio_closep(format.pb()), target);
        format.pb(null);
        file.finish();
    }

    private void send(AVFrame next) {
        Encoders.check(avcodec_send_frame(video, next), target);
        while (avcodec_receive_packet(video, packet) >= 0) {
            packet.stream_index(stream.index());
            packet.duration(1);
            av_packet_rescale_ts(packet, video.time_base(), stream.time_base());
            Encoders.check(av_interleaved_write_frame(format, packet), target);
        }
    }

    @Override
    public void close() {
        if (sound != null) {
            sound.close();
        }
        if (format.pb() != null && !format.pb().isNull()) {
            avio_closep(format.pb());
        }
        av_frame_free(picture);
        av_packet_free(packet);
        avcodec_free_context(video);
        avformat_free_context(format);
        file.close();
    }
}
