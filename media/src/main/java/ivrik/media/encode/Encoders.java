package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.Size;
import ivrik.core.threads.Threads;
import ivrik.media.UnwritableTargetException;
import ivrik.media.ffmpeg.Ffmpeg;

import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;

/** Shared parts of still and movie encoders. */
final class Encoders {
    static final int NO_SPACE = -28;

    private Encoders() {}

    static AVCodecContext context(String name) {
        Ffmpeg.load();
        AVCodec codec = avcodec_find_encoder_by_name(name);
        if (codec == null || codec.isNull()) {
            throw new UnwritableTargetException(
                    "this build of FFmpeg cannot write " + name, "choose another format", null);
        }
        AVCodecContext context = avcodec_alloc_context3(codec);
        context.flags(context.flags() | AV_CODEC_FLAG_BITEXACT);
        return context;
    }

    /** A picture with a buffer for an encoder. */
    static AVFrame picture(AVCodecContext encoder) {
        return picture(encoder, encoder.pix_fmt());
    }

    /** A picture with a buffer of a pixel format. */
    static AVFrame picture(AVCodecContext encoder, int format) {
        AVFrame picture = av_frame_alloc();
        picture.format(format);
        picture.width(encoder.width());
        picture.height(encoder.height());
        picture.colorspace(encoder.colorspace());
        picture.color_range(encoder.color_range());
        picture.color_primaries(encoder.color_primaries());
        picture.color_trc(encoder.color_trc());
        picture.chroma_location(encoder.chroma_sample_location());
        check(av_frame_get_buffer(picture, 0), null);
        return picture;
    }

    static void open(AVCodecContext encoder, AVDictionary options, String title, Size size) {
        int opened = openAside(encoder, options);
        if (opened < 0) {
            throw new UnwritableTargetException(
                    title
                            + " cannot hold pictures of "
                            + size
                            + " ("
                            + Ffmpeg.errorText(opened)
                            + ")",
                    "choose another format or size",
                    null);
        }
    }

    /**
     * Opens the encoder on a short-lived thread: when running as root, SVT-AV1 gives the opening thread
     * real-time priority, which all threads and processes started later would inherit.
     */
    private static int openAside(AVCodecContext encoder, AVDictionary options) {
        return CompletableFuture.supplyAsync(
                        () -> avcodec_open2(encoder, encoder.codec(), options),
                        work -> Threads.start("ivrik-opening", work))
                .join();
    }

    static void check(int result, Path target) {
        if (result >= 0) {
            return;
        }
        if (result == NO_SPACE) {
            throw new UnwritableTargetException(
                    "the disk is full while writing " + target,
                    "free disk space or choose another disk",
                    null);
        }
        throw new UnwritableTargetException(
                "cannot write " + target + " (" + Ffmpeg.errorText(result) + ")",
                "check the write permission and the free disk space",
                null);
    }
}
