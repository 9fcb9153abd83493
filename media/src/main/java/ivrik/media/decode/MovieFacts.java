package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.avcodec_get_name;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.motion.Rational;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Size;
import ivrik.media.ffmpeg.Ffmpeg;

import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/**
 * Properties of a movie, read once when it is opened, so that any thread may ask while another decodes.
 *
 * @param container FFmpeg's name of the container
 * @param compression name of the compression, such as {@code vp9}
 * @param sound whether there is a sound track
 * @param squared size with square pixels, before rotation
 * @param depth depth of a stored sample
 */
record MovieFacts(String container, String compression, boolean sound, Size squared, Depth depth) {
    /** Largest credible pixel aspect ratio. */
    private static final double LONGEST_PIXEL = 16;

    /**
     * @param first the first picture, whose properties override those of the file
     */
    static MovieFacts of(Demuxer demuxer, AVFrame first) {
        AVStream stream = demuxer.stream();
        boolean sound =
                av_find_best_stream(demuxer.format(), AVMEDIA_TYPE_AUDIO, -1, -1, (AVCodec) null, 0)
                        >= 0;
        Size stored =
                first.width() > 0
                        ? new Size(first.width(), first.height())
                        : new Size(stream.codecpar().width(), stream.codecpar().height());
        Rational aspect =
                Ffmpeg.rational(av_guess_sample_aspect_ratio(demuxer.format(), stream, null));
        return new MovieFacts(
                demuxer.name(),
                compression(stream),
                sound,
                squared(stored, aspect.toDouble()),
                depth(first));
    }

    static String compression(AVStream stream) {
        return Ffmpeg.text(avcodec_get_name(stream.codecpar().codec_id()));
    }

    /** Whether the format holds one picture or several. */
    boolean isAnimatedPicture() {
        return container.equals("gif") || container.equals("apng");
    }

    /** Ignores an implausible pixel aspect ratio. */
    private static Size squared(Size stored, double aspect) {
        return aspect < 1 / LONGEST_PIXEL || aspect > LONGEST_PIXEL
                ? stored
                : new Size((int) Math.max(1, Math.round(stored.width() * aspect)), stored.height());
    }

    /** Sample depth of a decoded picture. */
    static Depth depth(AVFrame picture) {
        var layout = av_pix_fmt_desc_get(picture.format());
        if (layout == null || layout.isNull()) {
            return Depth.INT8;
        }
        int bits = layout.comp(0).depth();
        return (layout.flags() & AV_PIX_FMT_FLAG_FLOAT) == 0
                ? Depth.ofBits(bits)
                : bits == 16 ? Depth.HALF : Depth.FLOAT;
    }
}
