package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.*;
import static org.bytedeco.ffmpeg.global.swscale.*;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.threads.Workers;

import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVPixFmtDescriptor;
import org.bytedeco.ffmpeg.swscale.SwsContext;
import org.bytedeco.ffmpeg.swscale.SwsFilter;
import org.bytedeco.javacpp.DoublePointer;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Converts a decoded FFmpeg picture to a core frame of gamma-encoded R'G'B'. */
public final class PixelReader {
    private PixelReader() {}

    public static Frame read(AVFrame in, Workers workers) {
        AVPixFmtDescriptor layout = av_pix_fmt_desc_get(in.format());
        if (isUnusual(layout)) {
            return readConverted(in, workers);
        }
        PixelMemory memory = PixelMemory.of(in);
        boolean alpha = hasAlpha(layout);
        List<Plane> rgb =
                layout.nb_components() < 3
                        ? grey(in, memory, layout, workers)
                        : colour(in, memory, layout).toPlanes(workers);
        return alpha
                ? Frame.straight(
                        rgb.get(0),
                        rgb.get(1),
                        rgb.get(2),
                        rows(in, memory, layout, layout.nb_components() - 1).toPlane(workers))
                : Frame.opaque(rgb.get(0), rgb.get(1), rgb.get(2));
    }

    /**
     * A copy of the stored bytes with rows on request; empty for pictures that have alpha, are grey, or have
     * an unusual pixel format.
     */
    public static Optional<StoredPicture> stored(AVFrame in) {
        AVPixFmtDescriptor layout = av_pix_fmt_desc_get(in.format());
        PixelMemory memory = PixelMemory.of(in);
        if (isUnusual(layout)
                || hasAlpha(layout)
                || layout.nb_components() < 3
                || !memory.runsDownward()) {
            return Optional.empty();
        }
        int[] heights = new int[memory.planes().size()];
        for (int c = 0; c < layout.nb_components(); c++) {
            heights[layout.comp(c).plane()] =
                    isChroma(layout, c) ? -(-in.height() >> layout.log2_chroma_h()) : in.height();
        }
        List<byte[]> bytes = memory.copied(heights);
        return Optional.of(new StoredPicture(colour(in, memory.with(bytes), layout), bytes));
    }

    private static boolean isUnusual(AVPixFmtDescriptor layout) {
        long unusual = AV_PIX_FMT_FLAG_PAL | AV_PIX_FMT_FLAG_BITSTREAM | AV_PIX_FMT_FLAG_BAYER;
        return (layout.flags() & unusual) != 0 || layout.comp(0).depth() > 16 && !isFloat(layout);
    }

    private static boolean hasAlpha(AVPixFmtDescriptor layout) {
        return (layout.flags() & AV_PIX_FMT_FLAG_ALPHA) != 0;
    }

    private static ColourRows colour(AVFrame in, PixelMemory memory, AVPixFmtDescriptor layout) {
        return (layout.flags() & AV_PIX_FMT_FLAG_RGB) != 0
                ? ColourRows.of(
                        IntStream.range(0, 3).mapToObj(c -> rows(in, memory, layout, c)).toList())
                : new YuvRows(in, memory, layout, yuv(in, layout), isFullRange(in));
    }

    /** Whether a component is chroma, which may be subsampled. */
    static boolean isChroma(AVPixFmtDescriptor layout, int component) {
        return (layout.flags() & AV_PIX_FMT_FLAG_RGB) == 0
                && (component == 1 || component == 2)
                && layout.nb_components() > 2;
    }

    private static boolean isFloat(AVPixFmtDescriptor layout) {
        return (layout.flags() & AV_PIX_FMT_FLAG_FLOAT) != 0;
    }

    /** A component that is not chroma. */
    private static Rows rows(
            AVFrame in, PixelMemory memory, AVPixFmtDescriptor layout, int component) {
        return new PixelComponent(memory, layout, component, in.width(), in.height())
                .rows(in.height());
    }

    private static List<Plane> grey(
            AVFrame in, PixelMemory memory, AVPixFmtDescriptor layout, Workers workers) {
        Plane luma = rows(in, memory, layout, 0).toPlane(workers);
        boolean limited = in.color_range() == AVCOL_RANGE_MPEG && !isFloat(layout);
        Plane grey = limited ? yuv(in, layout).grey(luma, workers) : luma;
        return List.of(grey, grey, grey);
    }

    private static Yuv yuv(AVFrame in, AVPixFmtDescriptor layout) {
        return Yuv.of(in.colorspace(), isFullRange(in), layout.comp(0).depth(), in.height());
    }

    private static boolean isFullRange(AVFrame in) {
        return in.color_range() == AVCOL_RANGE_JPEG
                || switch (in.format()) {
                    case AV_PIX_FMT_YUVJ420P,
                            AV_PIX_FMT_YUVJ422P,
                            AV_PIX_FMT_YUVJ444P,
                            AV_PIX_FMT_YUVJ440P ->
                            true;
                    default -> false;
                };
    }

    /** Converts palette, bit-packed and sensor formats with FFmpeg's scaler. */
    private static Frame readConverted(AVFrame in, Workers workers) {
        boolean palette = (av_pix_fmt_desc_get(in.format()).flags() & AV_PIX_FMT_FLAG_PAL) != 0;
        int target = palette ? AV_PIX_FMT_RGBA : AV_PIX_FMT_RGB48LE;
        AVFrame out = av_frame_alloc();
        SwsContext sws =
                sws_getContext(
                        in.width(),
                        in.height(),
                        in.format(),
                        in.width(),
                        in.height(),
                        target,
                        SWS_POINT | SWS_ACCURATE_RND | SWS_BITEXACT,
                        (SwsFilter) null,
                        (SwsFilter) null,
                        (DoublePointer) null);
        try {
            if (sws == null || sws.isNull()) {
                throw new IllegalArgumentException("no reader for " + in.format());
            }
            out.format(target);
            out.width(in.width());
            out.height(in.height());
            if (av_frame_get_buffer(out, 0) < 0
                    || sws_scale(
                                    sws,
                                    in.data(),
                                    in.linesize(),
                                    0,
                                    in.height(),
                                    out.data(),
                                    out.linesize())
                            != in.height()) {
                throw new IllegalArgumentException("cannot read pixels of " + in.format());
            }
            return read(out, workers);
        } finally {
            sws_freeContext(sws);
            av_frame_free(out);
        }
    }
}
