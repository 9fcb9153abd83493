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
 * Pictures in order becoming packets, whose times are numbers of frames. One thread may fill pictures while
 * another encodes those that are full.
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

    /** What gives pictures their colours where they have only so many; null elsewhere. */
    private final Paletted paletted;

    /** Of the pictures that are filled. */
    private final int layout;

    private long next;

    /**
     * @param header whether what it says of all packets does not stand in them
     * @param first the number of the first picture
     * @param target for what is told if it fails
     * @throws UnwritableTargetException if the form does not do
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
                            ? new Paletted(options.written(), layout, context.time_base(), target)
                            : null;
        } catch (RuntimeException e) {
            free();
            throw e;
        }
    }

    private static AVCodecContext context(MovieWriter.Options options) {
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

    private void open() {
        AVDictionary settings = new AVDictionary(null);
        context.thread_count(THREADS);
        options.form()
                .settings(context, options)
                .forEach((name, value) -> av_dict_set(settings, name, value, 0));
        try {
            Encoders.open(context, settings, options.form().title(), options.written());
        } finally {
            av_dict_free(settings);
        }
    }

    AVCodecContext context() {
        return context;
    }

    /** A frame of the size that was said as a picture to be encoded. */
    AVFrame filled(Frame frame) {
        Size size = options.written();
        Frame fitting = frame.size().equals(size) ? frame : options.odd().to(frame, size, workers);
        return filled(picture -> PixelWriter.write(fitting, picture, workers));
    }

    /** The same of an opaque one, whose rows are made as they are written. */
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

    /** The next picture, one that is filled; the packets that are ready are handed on. */
    void encode(AVFrame picture, Consumer<AVPacket> out) {
        picture.pts(next++);
        if (paletted == null) {
            send(picture, out);
        } else {
            paletted.add(picture, few -> send(few, out));
        }
        empty.add(picture);
    }

    /** There are no more: the packets that are left are handed on. */
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
