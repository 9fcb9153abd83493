package ivrik.media.encode;

import static org.bytedeco.ffmpeg.global.avfilter.AV_BUFFERSRC_FLAG_KEEP_REF;
import static org.bytedeco.ffmpeg.global.avfilter.av_buffersink_get_frame;
import static org.bytedeco.ffmpeg.global.avfilter.av_buffersrc_add_frame_flags;
import static org.bytedeco.ffmpeg.global.avfilter.avfilter_get_by_name;
import static org.bytedeco.ffmpeg.global.avfilter.avfilter_graph_alloc;
import static org.bytedeco.ffmpeg.global.avfilter.avfilter_graph_config;
import static org.bytedeco.ffmpeg.global.avfilter.avfilter_graph_create_filter;
import static org.bytedeco.ffmpeg.global.avfilter.avfilter_graph_free;
import static org.bytedeco.ffmpeg.global.avfilter.avfilter_graph_parse_ptr;
import static org.bytedeco.ffmpeg.global.avfilter.avfilter_inout_alloc;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_alloc;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_free;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_unref;
import static org.bytedeco.ffmpeg.global.avutil.av_strdup;

import ivrik.core.picture.Size;

import org.bytedeco.ffmpeg.avfilter.AVFilterContext;
import org.bytedeco.ffmpeg.avfilter.AVFilterGraph;
import org.bytedeco.ffmpeg.avfilter.AVFilterInOut;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.BytePointer;

import java.nio.file.Path;
import java.util.function.Consumer;

/**
 * Reduces pictures to at most 256 colours each, by FFmpeg's {@code palettegen} and {@code paletteuse}.
 * Coverage below one half becomes transparent.
 */
final class PaletteReduction implements AutoCloseable {
    private static final String PIPELINE =
            "split[a][b];[a]palettegen=stats_mode=single[p];"
                    + "[b][p]paletteuse=new=1:dither=sierra2_4a:alpha_threshold=128";

    private final Path target;
    private final AVFilterGraph graph = avfilter_graph_alloc();
    private final AVFilterContext in = new AVFilterContext(null);
    private final AVFilterContext out = new AVFilterContext(null);
    private final AVFrame ready = av_frame_alloc();

    /**
     * @param format pixel format of the input pictures
     * @param target output file, for error messages
     */
    PaletteReduction(Size size, int format, AVRational timeBase, Path target) {
        this.target = target;
        graph.nb_threads(1);
        try {
            String kind =
                    "video_size=%s:pix_fmt=%d:time_base=%d/%d"
                            .formatted(
                                    size.width() + "x" + size.height(),
                                    format,
                                    timeBase.num(),
                                    timeBase.den());
            create(in, "buffer", kind);
            create(out, "buffersink", null);
            AVFilterInOut from = end("in", in);
            AVFilterInOut to = end("out", out);
            Encoders.check(
                    avfilter_graph_parse_ptr(graph, new BytePointer(PIPELINE), to, from, null),
                    target);
            Encoders.check(avfilter_graph_config(graph, null), target);
        } catch (RuntimeException e) {
            close();
            throw e;
        }
    }

    private void create(AVFilterContext filter, String kind, String arguments) {
        Encoders.check(
                avfilter_graph_create_filter(
                        filter, avfilter_get_by_name(kind), kind, arguments, null, graph),
                target);
    }

    private static AVFilterInOut end(String name, AVFilterContext filter) {
        AVFilterInOut end = avfilter_inout_alloc();
        end.name(av_strdup(new BytePointer(name)));
        end.filter_ctx(filter);
        end.pad_idx(0);
        end.next(null);
        return end;
    }

    /** Processes a picture and passes on finished ones. */
    void add(AVFrame picture, Consumer<AVFrame> then) {
        Encoders.check(
                av_buffersrc_add_frame_flags(in, picture, AV_BUFFERSRC_FLAG_KEEP_REF), target);
        while (av_buffersink_get_frame(out, ready) >= 0) {
            then.accept(ready);
            av_frame_unref(ready);
        }
    }

    /** Passes on the remaining pictures. */
    void finish(Consumer<AVFrame> then) {
        add(null, then);
    }

    @Override
    public void close() {
        avfilter_graph_free(graph);
        av_frame_free(ready);
    }
}
