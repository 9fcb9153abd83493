package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.colour.ColourSpace;
import ivrik.core.colour.Transfer;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;
import ivrik.media.file.SafeFile;
import ivrik.media.pixel.PixelWriter;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;

/** Writes stills: PNG of 8 or 16 bits, TIFF of 16 bits, OpenEXR of 32-bit float. */
public final class StillWriter {
    private StillWriter() {}

    /**
     * Writes a frame completely or not at all, with alpha if there is any.
     *
     * @param depth of PNG samples: 8 bits, or 16 for anything deeper
     */
    public static void write(Frame frame, Path out, Depth depth, Workers workers) {
        write(frame, out, depth, ColourSpace.SRGB, workers);
    }

    /**
     * The same in another colour space.
     *
     * @param space a colour space that the format can tag
     */
    public static void write(
            Frame frame, Path out, Depth depth, ColourSpace space, Workers workers) {
        ExportFormat format = ExportFormats.of(out);
        boolean alpha = !frame.isOpaque();
        Frame ready = format == ExportFormats.EXR ? linear(frame, workers) : frame;
        SafeFile.write(
                out,
                encode(
                        format.encoder(Sampling.FULL),
                        format.pixelFormat(depth, alpha, Sampling.FULL),
                        format.title(),
                        frame.size(),
                        space,
                        picture -> {
                            PixelWriter.write(ready, picture, workers);
                        }));
    }

    /** Writes one plane as a grey OpenEXR file of 32-bit floats, unchanged. */
    public static void writePlane(Plane plane, Path out, Workers workers) {
        SafeFile.write(out, exr(plane, workers));
    }

    /** Writes planes as a multi-part OpenEXR file of 32-bit floats, unchanged. */
    static void writePlanes(List<String> names, List<Plane> planes, Path out, Workers workers) {
        SafeFile.write(
                out, ExrParts.join(names, planes.stream().map(p -> exr(p, workers)).toList()));
    }

    private static byte[] exr(Plane plane, Workers workers) {
        return encode(
                "exr",
                AV_PIX_FMT_GRAYF32,
                "OpenEXR",
                plane.size(),
                ColourSpace.SRGB,
                picture -> {
                    PixelWriter.write(plane, picture, workers);
                });
    }

    /**
     * Linear light, premultiplied, as OpenEXR requires; marked straight so that it is not multiplied again.
     */
    private static Frame linear(Frame frame, Workers workers) {
        Frame straight = frame.straight(workers);
        Frame light =
                new Frame(
                        straight.colour().stream()
                                .map(
                                        p ->
                                                PlaneArithmetic.sampled(
                                                        p,
                                                        (v, x, y) -> Transfer.SRGB.toLinear(v),
                                                        workers))
                                .toList(),
                        straight.alpha(),
                        straight.coverage());
        Frame multiplied = light.premultiplied(workers);
        return multiplied.isOpaque()
                ? multiplied
                : new Frame(multiplied.colour(), Alpha.STRAIGHT, multiplied.coverage());
    }

    private static byte[] encode(
            String encoder,
            int format,
            String title,
            Size size,
            ColourSpace space,
            Consumer<AVFrame> fill) {
        AVCodecContext context = Encoders.context(encoder);
        AVPacket packet = av_packet_alloc();
        AVFrame picture = null;
        AVDictionary options = new AVDictionary(null);
        try {
            context.width(size.width());
            context.height(size.height());
            context.pix_fmt(format);
            context.color_range(AVCOL_RANGE_JPEG);
            if (space != ColourSpace.SRGB) {
                ColourTags.set(context, space, true);
            }
            context.time_base(av_make_q(1, 1));
            context.thread_count(1);
            if (encoder.equals("tiff")) {
                av_dict_set(options, "compression_algo", "deflate", 0);
            } else if (encoder.equals("exr")) {
                av_dict_set(options, "compression", "zip16", 0);
                av_dict_set(options, "format", "float", 0);
            }
            Encoders.open(context, options, title, size);
            picture = Encoders.picture(context);
            fill.accept(picture);
            Encoders.check(avcodec_send_frame(context, picture), null);
            avcodec_send_frame(context, null);
            Encoders.check(avcodec_receive_packet(context, packet), null);
            byte[] bytes = new byte[packet.size()];
            packet.data().get(bytes);
            return bytes;
        } finally {
            av_dict_free(options);
            av_packet_free(packet);
            if (picture != null) {
                av_frame_free(picture);
            }
            avcodec_free_context(context);
        }
    }
}
