package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;
import ivrik.media.UnwritableTargetException;
import ivrik.media.ffmpeg.Ffmpeg;
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
    private final Options options;
    private long frames;

    /**
     * How a movie is written.
     *
     * @param sampling one of those that the form has
     * @param depth of samples, where the form has a choice
     * @param size of the pictures that come in
     * @param odd what is done where the form has no such size
     * @param colour what the numbers of the pictures mean; the form must carry it
     */
    public record Options(
            Form form,
            Quality quality,
            Sampling sampling,
            Depth depth,
            boolean alpha,
            Size size,
            Odd odd,
            Rational rate,
            ColourSpace colour,
            boolean sound) {
        /** Of sRGB pictures, with its form's usual sampling. */
        public static Options of(Form form, Quality quality, Size size, Rational rate) {
            return new Options(
                    form,
                    quality,
                    form.samplings().getFirst(),
                    Depth.INT8,
                    false,
                    size,
                    Odd.PAD,
                    rate,
                    ColourSpace.SRGB,
                    false);
        }

        public Options withSound(boolean s) {
            return new Options(form, quality, sampling, depth, alpha, size, odd, rate, colour, s);
        }

        /** The size that the movie has. */
        public Size written() {
            return odd.size(size, form.step(sampling));
        }

        private boolean hasAlpha() {
            return alpha && form.keepsAlpha(sampling);
        }
    }

    /**
     * @throws ivrik.media.UnwritableTargetException if the place or the form does not do
     */
    public MovieWriter(Path target, Options options, Workers workers) {
        this.target = target;
        this.workers = workers;
        this.options = options;
        Form.Container container = options.form().container().orElseThrow();
        this.video = videoContext(options);
        SafeFile opened = null;
        SoundEncoder sounding = null;
        AVFrame room = null;
        try {
            opened = new SafeFile(target);
            Encoders.check(
                    avformat_alloc_output_context2(
                            format, null, container.name(), opened.aside().toString()),
                    target);
            format.flags(format.flags() | AVFormatContext.AVFMT_FLAG_BITEXACT);
            if ((format.oformat().flags() & AVFMT_GLOBALHEADER) != 0) {
                video.flags(video.flags() | AV_CODEC_FLAG_GLOBAL_HEADER);
            }
            openVideo();
            stream = avformat_new_stream(format, null);
            stream.time_base(video.time_base());
            stream.avg_frame_rate(Ffmpeg.rational(options.rate()));
            avcodec_parameters_from_context(stream.codecpar(), video);
            if (options.hasAlpha() && options.form() == Forms.VP9) {
                AVDictionary facts = new AVDictionary(null);
                av_dict_set(facts, "alpha_mode", "1", 0);
                stream.metadata(facts);
            }
            sounding = options.sound() ? new SoundEncoder(format, container.sound(), target) : null;
            AVIOContext io = new AVIOContext(null);
            Encoders.check(avio_open(io, "file:" + opened.aside(), AVIO_FLAG_WRITE), target);
            format.pb(io);
            AVDictionary muxing = new AVDictionary(null);
            if (container.name().equals("mp4") || container.name().equals("mov")) {
                av_dict_set(muxing, "movflags", "+faststart+write_colr", 0);
            }
            int begun = avformat_write_header(format, muxing);
            av_dict_free(muxing);
            Encoders.check(begun, target);
            room = Encoders.picture(video);
            file = opened;
            sound = sounding;
            picture = room;
        } catch (RuntimeException e) {
            free(opened, sounding, room);
            throw e;
        }
    }

    private static AVCodecContext videoContext(Options options) {
        Form form = options.form();
        Size size = options.written();
        if (size.width() < form.least() || size.height() < form.least()) {
            throw new UnwritableTargetException(
                    form.title() + " cannot hold pictures as small as " + options.size(),
                    "choose another form or a larger size",
                    null);
        }
        AVCodecContext c = Encoders.context(form.encoder(options.sampling()));
        c.width(size.width());
        c.height(size.height());
        c.pix_fmt(form.pixelFormat(options.depth(), options.hasAlpha(), options.sampling()));
        c.time_base(Ffmpeg.rational(Rational.of(1).dividedBy(options.rate())));
        c.framerate(Ffmpeg.rational(options.rate()));
        ColourTags.set(c, options.colour(), form.isRgb());
        return c;
    }

    private void openVideo() {
        AVDictionary d = new AVDictionary(null);
        video.thread_count(2);
        options.form()
                .settings(video, options)
                .forEach((name, value) -> av_dict_set(d, name, value, 0));
        Encoders.open(video, d, options.form().title(), options.written());
        av_dict_free(d);
    }

    /** The next picture, of the size that was said. */
    public void picture(Frame frame) {
        Encoders.check(av_frame_make_writable(picture), target);
        Size size = options.written();
        Frame fitting = frame.size().equals(size) ? frame : options.odd().to(frame, size, workers);
        PixelWriter.write(fitting, picture, workers);
        picture.pts(frames++);
        send(picture);
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
        free(file, sound, picture);
    }

    private void free(SafeFile safe, SoundEncoder sounding, AVFrame room) {
        if (sounding != null) {
            sounding.close();
        }
        if (!format.isNull() && format.pb() != null && !format.pb().isNull()) {
            avio_closep(format.pb());
        }
        if (room != null) {
            av_frame_free(room);
        }
        av_packet_free(packet);
        avcodec_free_context(video);
        avformat_free_context(format);
        if (safe != null) {
            safe.close();
        }
    }
}
