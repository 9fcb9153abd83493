package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.motion.Rational;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;
import ivrik.media.UnwritableTargetException;
import ivrik.media.ffmpeg.Ffmpeg;
import ivrik.media.pixel.PixelWriter;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Consumer;

/**
 * Encodes pictures in order to packets with times in frames. One thread may fill pictures while another
 * encodes filled ones.
 */
final class PictureEncoder implements AutoCloseable {
    private static final int THREADS = 2;

    private final MovieWriter.Options options;
    private final Path target;
    private final Workers workers;
    private final AVCodecContext context;
    private final AVPacket packet = av_packet_alloc();
    private final List<AVFrame> pictures = new ArrayList<>();
    private final Queue<AVFrame> empty = new ConcurrentLinkedQueue<>();

    /** Colour reduction for formats with a palette; null for others. */
    private final PaletteReduction paletted;

    /** Pixel format of filled pictures. */
    private final int layout;

    private long next;

    /**
     * @param header whether the container stores the encoder's header separately
     * @param first index of the first picture
     * @param target output file, for error messages
     * @throws UnwritableTargetException if the format does not fit
     */
    PictureEncoder(
            MovieWriter.Options options, boolean header, long first, Path target, Workers workers) {
        this.options = options;
        this.target = target;
        this.workers = workers;
        this.next = first;
        this.context = context(options);
        boolean few = context.pix_fmt() == AV_PIX_FMT_PAL8;
        this.layout = few ? AV_PIX_FMT_BGRA : context.pix_fmt();
        try {
            if (header) {
                context.flags(context.flags() | AV_CODEC_FLAG_GLOBAL_HEADER);
            }
            open();
            empty.add(room());
            paletted =
                    few
                            ? new PaletteReduction(
                                    options.written(), layout, context.time_base(), target)
                            : null;
        } catch (RuntimeException e) {
            free();
            throw e;
        }
    }

    private static AVCodecContext context(MovieWriter.Options options) {
        ExportFormat format = options.format();
        Size size = options.written();
        if (size.width() < format.least() || size.height() < format.least()) {
            throw new UnwritableTargetException(
                    format.title() + " cannot hold pictures as small as " + options.size(),
                    "choose another format or a larger size",
                    null);
        }
        AVCodecContext c = Encoders.context(format.encoder(options.sampling()));
        c.width(size.width());
        c.height(size.height());
        c.pix_fmt(format.pixelFormat(options.depth(), options.hasAlpha(), options.sampling()));
        c.time_base(Ffmpeg.rational(Rational.of(1).dividedBy(options.rate())));
        c.framerate(Ffmpeg.rational(options.rate()));
        ColourTags.set(c, options.colour(), format.isRgb());
        return c;
    }

    private void open() {
        AVDictionary settings = new AVDictionary(null);
        context.thread_count(THREADS);
        options.format()
                .settings(context, options)
                .forEach((name, value) -> av_dict_set(settings, name, value, 0));
        try {
            Encoders.open(context, settings, options.format().title(), options.written());
        } finally {
            av_dict_free(settings);
        }
    }

    AVCodecContext context() {
        return context;
    }

    /** A picture filled from a frame of the declared size. */
    AVFrame filled(Frame frame) {
        Size size = options.written();
        Frame fitting = frame.size().equals(size) ? frame : options.odd().to(frame, size, workers);
        return filled(picture -> PixelWriter.write(fitting, picture, workers));
    }

    /** A picture filled from an opaque frame's rows, computed as they are written. */
    AVFrame filled(ColourRows rows) {
        Size size = options.written();
        return size.equals(new Size(rows.width(), rows.height()))
                ? filled(picture -> PixelWriter.write(rows, picture, workers))
                : filled(new Frame(rows.toPlanes(workers), Alpha.OPAQUE, List.of()));
    }

    private AVFrame filled(Consumer<AVFrame> work) {
        AVFrame unused = empty.poll();
        AVFrame picture = unused == null ? room() : unused;
        Encoders.check(av_frame_make_writable(picture), target);
        work.accept(picture);
        return picture;
    }

    private AVFrame room() {
        AVFrame room = Encoders.picture(context, layout);
        pictures.add(room);
        return room;
    }

    /** Encodes a filled picture and passes on finished packets. */
    void encode(AVFrame picture, Consumer<AVPacket> out) {
        picture.pts(next++);
        if (paletted == null) {
            send(picture, out);
        } else {
            paletted.add(picture, few -> send(few, out));
        }
        empty.add(picture);
    }

    /** Passes on the remaining packets. */
    void finish(Consumer<AVPacket> out) {
        if (paletted != null) {
            paletted.finish(few -> send(few, out));
        }
        send(null, out);
    }

    private void send(AVFrame frame, Consumer<AVPacket> out) {
        Encoders.check(avcodec_send_frame(context, frame), target);
        while (avcodec_receive_packet(context, packet) >= 0) {
            out.accept(packet);
        }
    }

    @Override
    public void close() {
        if (paletted != null) {
            paletted.close();
        }
        free();
    }

    private void free() {
        pictures.forEach(picture -> av_frame_free(picture));
        av_packet_free(packet);
        avcodec_free_context(context);
    }
}
