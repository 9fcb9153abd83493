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
 * What a file says of itself, asked once while it is opened: any thread may ask then, whatever the one that
 * decodes is doing with the file.
 *
 * @param container FFmpeg's name of it
 * @param compression its name, such as {@code vp9}
 * @param sound whether there is a sound track
 * @param squared the size as it is with square pixels, not turned yet
 * @param depth of one stored sample
 */
record MovieFacts(String container, String compression, boolean sound, Size squared, Depth depth) {
    /** No pixel of anything is so much longer than it is wide, or wider than long. */
    private static final double LONGEST_PIXEL = 16;

    /**
     * @param first the first picture, which says more than the file
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

    /** Whether it is of a kind that holds one picture as well as many. */
    boolean isAnimatedPicture() {
        return container.equals("gif") || container.equals("apng");
    }

    /** A shape of a pixel that nothing has is not believed. */
    private static Size squared(Size stored, double aspect) {
        return aspect < 1 / LONGEST_PIXEL || aspect > LONGEST_PIXEL
                ? stored
                : new Size((int) Math.max(1, Math.round(stored.width() * aspect)), stored.height());
    }

    /** The depth of one sample of a decoded picture. */
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
