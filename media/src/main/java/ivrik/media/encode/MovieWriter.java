package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Demuxer;

import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.nio.file.Path;
import java.util.List;
import java.util.function.LongFunction;

/**
 * A movie being written: pictures in order, sound alongside, {@link #finish} at the end. Closed
 * before that, it leaves nothing under its name.
 */
public final class MovieWriter implements AutoCloseable {
    private final MovieFile file;
    private final PictureEncoder encoder;

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

        boolean hasAlpha() {
            return alpha && form.keepsAlpha(sampling);
        }
    }

    /**
     * @throws ivrik.media.UnwritableTargetException if the place or the form does not do
     */
    public MovieWriter(Path target, Options options, Workers workers) {
        this(target, options, options.form().container().orElseThrow(), 0, workers);
    }

    private MovieWriter(
            Path target, Options options, Form.Container container, long first, Workers workers) {
        file = new MovieFile(target, container);
        PictureEncoder opened = null;
        try {
            opened = new PictureEncoder(options, file.hasHeader(), first, target, workers);
            file.begin(opened.context(), options);
            encoder = opened;
        } catch (RuntimeException e) {
            if (opened != null) {
                opened.close();
            }
            file.close();
            throw e;
        }
    }

    /**
     * Part of a movie, to be put together with others by {@link #join}: its pictures alone, beginning with
     * one that needs no other.
     *
     * @param first the number of its first picture in the movie
     */
    static MovieWriter part(Path target, Options options, long first, Workers workers) {
        return new MovieWriter(
                target, options.withSound(false), options.form().part(), first, workers);
    }

    /**
     * Puts parts together: the same movie as if all had been written at once in parts of that length.
     *
     * @param frames how many there must be
     * @param sound of each frame by its number from 0; asked for only if there is to be sound
     */
    static void join(
            Path target,
            Options options,
            List<Path> parts,
            long frames,
            LongFunction<float[]> sound,
            Workers workers) {
        Form.Container container = options.form().container().orElseThrow();
        AVPacket packet = av_packet_alloc();
        try (MovieFile file = new MovieFile(target, container)) {
            try (PictureEncoder alike =
                    new PictureEncoder(options, file.hasHeader(), 0, target, workers)) {
                file.begin(alike.context(), options);
            }
            long n = 0;
            for (Path part : parts) {
                try (Demuxer pictures = new Demuxer(part, AVMEDIA_TYPE_VIDEO, Demuxer.BEST)) {
                    for (; pictures.next(packet); n++) {
                        packet.pts(n);
                        packet.dts(n);
                        file.write(packet);
                        if (options.sound()) {
                            file.sound(sound.apply(n));
                        }
                    }
                }
            }
            if (n != frames) {
                throw new IllegalStateException(n + " pictures in the parts, not " + frames);
            }
            file.finish();
        } finally {
            av_packet_free(packet);
        }
    }

    /** The next picture, of the size that was said. */
    public void picture(Frame frame) {
        picture(encoder.filled(frame));
    }

    /** The next picture, one that its {@link #encoder} has filled. */
    void picture(AVFrame filled) {
        encoder.encode(filled, file::write);
    }

    /** What fills pictures, on another thread than that which hands them in. */
    PictureEncoder encoder() {
        return encoder;
    }

    /** The next stretch of sound: stereo samples at {@link ivrik.media.sound.SoundReader#RATE}. */
    public void sound(float[] stereo) {
        file.sound(stereo);
    }

    /** All pictures and sound are in: write the end and put the movie in its place. */
    public void finish() {
        encoder.finish(file::write);
        file.finish();
    }

    @Override
    public void close() {
        encoder.close();
        file.close();
    }
}
