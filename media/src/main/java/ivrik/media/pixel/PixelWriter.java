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
        if ((layout.flags() & AV_PIX_FMT_FLAG_RGB) == 0) {
            new YuvWriter(ready, out, layout).write(workers);
            if (alpha) {
                write(coverage(ready), out, layout, layout.nb_components() - 1, workers);
            }
            return;
        }
        List<Plane> planes = new ArrayList<>(ready.colour());
        if (alpha) {
            planes.add(coverage(ready));
        }
        if (PackedWriter.fits(layout)) {
            new PackedWriter(planes, out, layout).write(workers);
            return;
        }
        for (int c = 0; c < planes.size(); c++) {
            write(planes.get(c), out, layout, c, workers);
        }
    }

    private static Plane coverage(Frame frame) {
        return frame.isOpaque()
                ? Plane.flat(frame.width(), frame.height(), 1)
                : frame.coverage().getFirst();
    }

    /** Fills the only component of a grey picture. */
    public static void write(Plane plane, AVFrame out, Workers workers) {
        write(plane, out, av_pix_fmt_desc_get(out.format()), 0, workers);
    }

    private static void write(
            Plane in, AVFrame out, AVPixFmtDescriptor layout, int component, Workers workers) {
        PixelComponent samples = component(in.size(), out, layout, component);
        workers.rows(
                in.height(),
                (from, to) -> {
                    PixelComponent.Line line = samples.line();
                    for (int y = from; y < to; y++) {
                        samples.write(y, in.data(), in.row(y), line);
                    }
                });
    }

    /**
     * A component that takes as many samples as there are.
     *
     * @throws IllegalArgumentException if the picture has room for more or for fewer
     */
    static PixelComponent component(
            Size size, AVFrame out, AVPixFmtDescriptor layout, int component) {
        boolean chroma = PixelReader.isChroma(layout, component);
        Size room =
                new Size(
                        chroma ? -(-out.width() >> layout.log2_chroma_w()) : out.width(),
                        chroma ? -(-out.height() >> layout.log2_chroma_h()) : out.height());
        if (!size.equals(room)) {
            throw new IllegalArgumentException(
                    "a plane of " + size + " does not fit a picture of " + room);
        }
        return new PixelComponent(out, layout, component, size.width(), size.height());
    }
}
