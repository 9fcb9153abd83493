package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.rejoin.Composite;
import ivrik.core.threads.Workers;

import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVPixFmtDescriptor;

import java.util.ArrayList;
import java.util.List;

/** A core frame into an FFmpeg picture of any RGB(A), grey or Y'CbCr layout. */
public final class PixelWriter {
    private PixelWriter() {}

    /**
     * Fills a picture whose buffer, size, format and (for Y'CbCr) colour tags are set. Alpha is
     * written straight where the layout has it; else the frame is shown over black.
     */
    public static void write(Frame frame, AVFrame out, Workers workers) {
        AVPixFmtDescriptor layout = av_pix_fmt_desc_get(out.format());
        boolean alpha = (layout.flags() & AV_PIX_FMT_FLAG_ALPHA) != 0;
        Frame ready = alpha ? frame.straight(workers) : Composite.overBlack(frame, workers);
        List<Plane> planes =
                new ArrayList<>(
                        (layout.flags() & AV_PIX_FMT_FLAG_RGB) != 0
                                ? ready.colour()
                                : toYuv(ready, out, layout, workers));
        if (alpha) {
            planes.add(
                    ready.isOpaque()
                            ? Plane.flat(ready.width(), ready.height(), 1)
                            : ready.coverage().getFirst());
        }
        for (int c = 0; c < layout.nb_components(); c++) {
            write(planes.get(c), out, layout, c, workers);
        }
    }

    /** Fills the only component of a grey picture. */
    public static void write(Plane plane, AVFrame out, Workers workers) {
        write(plane, out, av_pix_fmt_desc_get(out.format()), 0, workers);
    }

    private static void write(
            Plane in, AVFrame out, AVPixFmtDescriptor layout, int component, Workers workers) {
        boolean chroma = PixelReader.isChroma(layout, component);
        Size room =
                new Size(
                        chroma ? -(-out.width() >> layout.log2_chroma_w()) : out.width(),
                        chroma ? -(-out.height() >> layout.log2_chroma_h()) : out.height());
        if (!in.size().equals(room)) {
            throw new IllegalArgumentException(
                    "a plane of " + in.size() + " does not fit a picture of " + room);
        }
        PixelComponent samples =
                new PixelComponent(out, layout, component, in.width(), in.height());
        workers.rows(
                in.height(),
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        samples.write(y, in.data(), in.row(y));
                    }
                });
    }

    private static List<Plane> toYuv(
            Frame frame, AVFrame out, AVPixFmtDescriptor layout, Workers workers) {
        Yuv yuv =
                Yuv.of(
                        out.colorspace(),
                        out.color_range() == AVCOL_RANGE_JPEG,
                        layout.comp(0).depth(),
                        out.height());
        List<Plane> full = yuv.fromRgb(frame.colour(), workers);
        if (layout.log2_chroma_w() == 0) {
            return full;
        }
        boolean rows = layout.log2_chroma_h() == 1;
        return List.of(
                full.get(0),
                Chroma.down(full.get(1), rows, workers),
                Chroma.down(full.get(2), rows, workers));
    }
}
