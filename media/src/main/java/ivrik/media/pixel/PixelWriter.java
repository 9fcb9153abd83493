package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.rejoin.Composite;
import ivrik.core.threads.Workers;

import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVPixFmtDescriptor;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Converts a core frame to an FFmpeg picture in any RGB(A), grey or Y'CbCr format. */
public final class PixelWriter {
    private PixelWriter() {}

    /**
     * Fills a picture with allocated buffer, size, format and (for Y'CbCr) colour tags. Alpha is written
     * straight if the format has it; otherwise the frame is composited over black.
     */
    public static void write(Frame frame, AVFrame out, Workers workers) {
        AVPixFmtDescriptor layout = av_pix_fmt_desc_get(out.format());
        boolean alpha = hasAlpha(layout);
        Frame ready = alpha ? frame.straight(workers) : Composite.overBlack(frame, workers);
        ColourRows colour = ColourRows.ofPlanes(ready.colour());
        write(colour, alpha ? Optional.of(coverage(ready)) : Optional.empty(), out, workers);
    }

    /** The same for an opaque picture given as rows. */
    public static void write(ColourRows colour, AVFrame out, Workers workers) {
        boolean alpha = hasAlpha(av_pix_fmt_desc_get(out.format()));
        Optional<Plane> full =
                alpha
                        ? Optional.of(Plane.flat(colour.width(), colour.height(), 1))
                        : Optional.empty();
        write(colour, full, out, workers);
    }

    private static boolean hasAlpha(AVPixFmtDescriptor layout) {
        return (layout.flags() & AV_PIX_FMT_FLAG_ALPHA) != 0;
    }

    private static void write(
            ColourRows colour, Optional<Plane> alpha, AVFrame out, Workers workers) {
        AVPixFmtDescriptor layout = av_pix_fmt_desc_get(out.format());
        boolean rgb = (layout.flags() & AV_PIX_FMT_FLAG_RGB) != 0;
        if (rgb && PackedWriter.fits(layout)) {
            new PackedWriter(colour, alpha, out, layout).write(workers);
            return;
        }
        if (rgb) {
            writeRgb(colour, out, layout, workers);
        } else {
            new YuvWriter(colour, out, layout).write(workers);
        }
        alpha.ifPresent(plane -> write(plane, out, layout, layout.nb_components() - 1, workers));
    }

    /** Writes each colour as a component. */
    private static void writeRgb(
            ColourRows colour, AVFrame out, AVPixFmtDescriptor layout, Workers workers) {
        Size size = new Size(colour.width(), colour.height());
        List<PixelComponent> components =
                IntStream.range(0, 3).mapToObj(c -> component(size, out, layout, c)).toList();
        workers.eachRow(
                colour.height(),
                () -> {
                    ColourRows.Reader reader = colour.reader();
                    float[][] rgb = new float[3][colour.width()];
                    PixelComponent.Line line = components.getFirst().line();
                    return y -> {
                        reader.row(y, rgb);
                        for (int c = 0; c < 3; c++) {
                            components.get(c).write(y, rgb[c], 0, line);
                        }
                    };
                });
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
        workers.eachRow(
                in.height(),
                () -> {
                    PixelComponent.Line line = samples.line();
                    return y -> samples.write(y, in.data(), in.row(y), line);
                });
    }

    /**
     * A component of exactly the given size.
     *
     * @throws IllegalArgumentException if the picture's size differs
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
        return new PixelComponent(
                PixelMemory.of(out), layout, component, size.width(), size.height());
    }
}
