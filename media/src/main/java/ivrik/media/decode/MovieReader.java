package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.colour.Transfer;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Resample;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;
import ivrik.media.UnreadableMediaException;
import ivrik.media.pixel.PixelReader;

import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.javacpp.PointerPointer;

import java.nio.file.Path;

/**
 * The pictures of one movie or still, by number: frame n is the n-th in the order of showing, after
 * any seek. Not safe for several threads at once.
 */
public final class MovieReader implements AutoCloseable {
    private final Path path;
    private final Workers workers;
    private final AVFormatContext format = new AVFormatContext(null);
    private final AVStream stream;
    private final AVCodecContext codec;
    private final AVPacket packet = av_packet_alloc();
    private final AVFrame decoded = av_frame_alloc();
    private final FrameIndex index;
    private final boolean sound;
    private long next;
    private long counted;
    private boolean draining;
    private boolean closed;

    /**
     * Opens a file and lists its frames.
     *
     * @throws UnreadableMediaException if it is not a movie or picture that can be read
     */
    public MovieReader(Path path, Workers workers) {
        Ffmpeg.load();
        this.path = path;
        this.workers = workers;
        int opened = avformat_open_input(format, "file:" + path, null, (AVDictionary) null);
        if (opened < 0) {
            throw unreadable(Ffmpeg.word(opened));
        }
        try {
            avformat_find_stream_info(format, (PointerPointer<?>) null);
            int number = av_find_best_stream(format, AVMEDIA_TYPE_VIDEO, -1, -1, (AVCodec) null, 0);
            if (number < 0) {
                throw unreadable("there is no picture in it");
            }
            this.sound =
                    av_find_best_stream(format, AVMEDIA_TYPE_AUDIO, -1, -1, (AVCodec) null, 0) >= 0;
            this.stream = format.streams(number);
            if (stream.codecpar().width() < 1 || stream.codecpar().height() < 1) {
                throw unreadable("its picture has no size");
            }
            this.codec = openDecoder();
            this.index = FrameIndex.of(format, stream, packet);
            if (index.size() == 0) {
                throw unreadable("there is not one frame in it");
            }
            next = index.size();
            checkMemory(size());
        } catch (RuntimeException e) {
            avformat_close_input(format);
            throw e;
        }
    }

    private AVCodecContext openDecoder() {
        int id = stream.codecpar().codec_id();
        // Only libvpx reads the alpha that WebM keeps beside the picture.
        boolean webmAlpha =
                (id == AV_CODEC_ID_VP9 || id == AV_CODEC_ID_VP8)
                        && av_dict_get(stream.metadata(), "alpha_mode", null, 0) != null;
        AVCodec decoder =
                webmAlpha
                        ? avcodec_find_decoder_by_name(
                                id == AV_CODEC_ID_VP9 ? "libvpx-vp9" : "libvpx")
                        : avcodec_find_decoder(id);
        if (decoder == null || decoder.isNull()) {
            throw unreadable("it uses a form of compression that is not known here");
        }
        AVCodecContext context = avcodec_alloc_context3(decoder);
        avcodec_parameters_to_context(context, stream.codecpar());
        context.thread_count(Math.min(4, Runtime.getRuntime().availableProcessors()));
        context.pkt_timebase(stream.time_base());
        int opened = avcodec_open2(context, decoder, (AVDictionary) null);
        if (opened < 0) {
            throw unreadable(Ffmpeg.word(opened));
        }
        return context;
    }

    private static void checkMemory(Size size) {
        long needed = size.pixels() * 4 * 3 * 3;
        if (needed > Runtime.getRuntime().maxMemory()) {
            throw new UnreadableMediaException(
                    "a picture of "
                            + size
                            + " needs "
                            + (needed >> 20)
                            + " MB of memory, Ivrik may use "
                            + (Runtime.getRuntime().maxMemory() >> 20),
                    "make it smaller, or give Ivrik more memory with IVRIK_MEMORY=12g");
        }
    }

    /** How many frames there are. */
    public long frames() {
        return index.size();
    }

    public boolean hasSound() {
        return sound;
    }

    /** Frames a second, as the file says. */
    public Rational rate() {
        Rational average = Ffmpeg.rational(stream.avg_frame_rate());
        Rational nominal = Ffmpeg.rational(stream.r_frame_rate());
        return average.num() > 0 ? average : nominal.num() > 0 ? nominal : Rational.of(24);
    }

    /** The size as shown: turned upright, with square pixels. */
    public Size size() {
        Size stored = new Size(stream.codecpar().width(), stream.codecpar().height());
        return Orientation.of(stream).shown(squared(stored));
    }

    /** The depth of one stored sample. */
    public Depth depth() {
        var layout = av_pix_fmt_desc_get(stream.codecpar().format());
        if (layout == null || layout.isNull()) {
            return Depth.INT8;
        }
        int bits = layout.comp(0).depth();
        return (layout.flags() & AV_PIX_FMT_FLAG_FLOAT) == 0
                ? Depth.ofBits(bits)
                : bits == 16 ? Depth.HALF : Depth.FLOAT;
    }

    /** The name of the compression, such as {@code vp9}. */
    public String compression() {
        return avcodec_get_name(stream.codecpar().codec_id()).getString();
    }

    private Size squared(Size stored) {
        Rational aspect = Ffmpeg.rational(av_guess_sample_aspect_ratio(format, stream, null));
        return aspect.num() <= 0 || aspect.num() == aspect.den()
                ? stored
                : new Size(
                        (int) Math.max(1, Math.round(stored.width() * aspect.toDouble())),
                        stored.height());
    }

    /**
     * Frame {@code n}, 0 the first, at the size as shown.
     *
     * @throws UnreadableMediaException if it is damaged or there is no such frame
     */
    public Frame frame(long n) {
        Frame stored = stored(n);
        Frame light = stream.codecpar().codec_id() == AV_CODEC_ID_EXR ? delivered(stored) : stored;
        Frame square = Resample.to(light, squared(light.size()), workers);
        return Orientation.of(stream).upright(square);
    }

    /** Frame {@code n} as it is stored: not turned, not squared, its values as they stand. */
    public Frame stored(long n) {
        if (n < 0 || n >= index.size()) {
            throw new UnreadableMediaException(
                    "there is no frame " + n + " in " + path.getFileName(),
                    "it has frames 0 to " + (index.size() - 1));
        }
        if (n < next || n > next && isQuickerBySeeking(n)) {
            seek(n);
        }
        while (receive()) {
            long shown =
                    index.isTimed() ? index.number(decoded.best_effort_timestamp()) : counted++;
            if (shown >= n || index.size() == 1) {
                next = shown + 1;
                return PixelReader.read(decoded, workers);
            }
        }
        throw new UnreadableMediaException(
                "frame " + n + " of " + path.getFileName() + " is damaged or cut off",
                "replace the file, or shorten the clip to the frames before it");
    }

    /** Whether decoding can begin between the last frame and the one wanted. */
    private boolean isQuickerBySeeking(long n) {
        return index.isTimed() && index.keyBefore(n) > index.time(next - 1);
    }

    private void seek(long n) {
        long target = index.isTimed() ? index.keyBefore(n) : index.first();
        counted = 0;
        avcodec_flush_buffers(codec);
        draining = false;
        int done = avformat_seek_file(format, stream.index(), Long.MIN_VALUE, target, target, 0);
        if (done < 0 || index.size() == 1) {
            av_seek_frame(format, stream.index(), index.first(), AVSEEK_FLAG_BACKWARD);
        }
        next = n;
    }

    /** Whether one more picture was decoded. */
    private boolean receive() {
        while (true) {
            int got = avcodec_receive_frame(codec, decoded);
            if (got == 0) {
                return true;
            }
            if (got != AVERROR_EAGAIN() || draining) {
                return false;
            }
            if (av_read_frame(format, packet) < 0) {
                draining = true;
                avcodec_send_packet(codec, null);
                continue;
            }
            if (packet.stream_index() == stream.index()) {
                avcodec_send_packet(codec, packet);
            }
            av_packet_unref(packet);
        }
    }

    /** OpenEXR holds linear light times alpha; colour becomes straight R'G'B' by IEC 61966-2-1. */
    private Frame delivered(Frame linear) {
        Frame straight =
                linear.isOpaque()
                        ? linear
                        : new Frame(linear.colour(), Alpha.PREMULTIPLIED, linear.coverage())
                                .straight(workers);
        return new Frame(
                straight.colour().stream()
                        .map(p -> TransferPlane.of(p, Transfer.SRGB::fromLinear, workers))
                        .toList(),
                straight.alpha(),
                straight.coverage());
    }

    private UnreadableMediaException unreadable(String why) {
        return new UnreadableMediaException(
                path + " cannot be read as a picture or movie (" + why + ")",
                "check the file, or convert it to a form such as PNG or Matroska");
    }

    @Override
    public void close() {
        if (!closed) {
            closed = true;
            avcodec_free_context(codec);
            avformat_close_input(format);
            av_frame_free(decoded);
            av_packet_free(packet);
        }
    }
}
