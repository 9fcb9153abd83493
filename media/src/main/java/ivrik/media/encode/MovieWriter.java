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
 * Writes a movie: pictures in order, sound, then {@link #finish}. Without finish no file is left.
 */
public final class MovieWriter implements AutoCloseable {
    private final MovieFile file;
    private final PictureEncoder encoder;

    /**
     * Settings of a movie.
     *
     * @param sampling a chroma subsampling of the format
     * @param depth sample depth, if the format has a choice
     * @param size size of the input pictures
     * @param odd treatment of sizes that the format does not support
     * @param colour colour space of the pictures; the format must be able to tag it
     */
    public record Options(
            ExportFormat format,
            Quality quality,
            Sampling sampling,
            Depth depth,
            boolean alpha,
            Size size,
            OddSizes odd,
            Rational rate,
            ColourSpace colour,
            boolean sound) {
        /** Options for sRGB pictures with the format's default subsampling. */
        public static Options of(ExportFormat format, Quality quality, Size size, Rational rate) {
            return new Options(
                    format,
                    quality,
                    format.samplings().getFirst(),
                    Depth.INT8,
                    false,
                    size,
                    OddSizes.PAD,
                    rate,
                    ColourSpace.SRGB,
                    false);
        }

        public Options withSound(boolean s) {
            return new Options(format, quality, sampling, depth, alpha, size, odd, rate, colour, s);
        }

        /** Size of the movie. */
        public Size written() {
            return odd.size(size, format.step(sampling));
        }

        boolean hasAlpha() {
            return alpha && format.keepsAlpha(sampling);
        }
    }

    /**
     * @throws ivrik.media.UnwritableTargetException if the file cannot be created or the format does not fit
     */
    public MovieWriter(Path target, Options options, Workers workers) {
        this(target, options, options.format().container().orElseThrow(), 0, workers);
    }

    private MovieWriter(
            Path target,
            Options options,
            ExportFormat.Container container,
            long first,
            Workers workers) {
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
     * A segment for {@link #join}: pictures only, starting with a keyframe.
     *
     * @param first index of its first picture in the movie
     */
    static MovieWriter part(Path target, Options options, long first, Workers workers) {
        return new MovieWriter(
                target, options.withSound(false), options.format().part(), first, workers);
    }

    /**
     * Joins segments to the same movie that a single run with segments of that length writes.
     *
     * @param frames expected number of frames
     * @param sound sound of each frame, by index from 0; requested only if sound is written
     */
    static void join(
            Path target,
            Options options,
            List<Path> parts,
            long frames,
            LongFunction<float[]> sound,
            Workers workers) {
        ExportFormat.Container container = options.format().container().orElseThrow();
        AVPacket packet = av_packet_alloc();
        try (MovieFile file = new MovieFile(target, container)) {
            try (PictureEncoder equal =
                    new PictureEncoder(options, file.hasHeader(), 0, target, workers)) {
                file.begin(equal.context(), options);
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

    /** Appends a picture of the declared size. */
    public void picture(Frame frame) {
        picture(encoder.filled(frame));
    }

    /** Appends a picture that was filled by {@link #encoder}. */
    void picture(AVFrame filled) {
        encoder.encode(filled, file::write);
    }

    /** The encoder that fills pictures, possibly on another thread. */
    PictureEncoder encoder() {
        return encoder;
    }

    /** Appends stereo samples at {@link ivrik.media.sound.SoundReader#RATE}. */
    public void sound(float[] stereo) {
        file.sound(stereo);
    }

    /** Writes the trailer and moves the movie into place. */
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
