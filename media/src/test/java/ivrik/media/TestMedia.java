package ivrik.media;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avfilter.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avfilter.AVFilterContext;
import org.bytedeco.ffmpeg.avfilter.AVFilterGraph;
import org.bytedeco.ffmpeg.avfilter.AVFilterInOut;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVIOContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.javacpp.IntPointer;

import java.nio.file.Path;

/** Media made and read by FFmpeg's filters, encoders and muxers, without any code of Ivrik. */
final class TestMedia {
    private TestMedia() {}

    /**
     * A stream: the filter graph that makes it, and its encoder with options such as {@code -g 60 -bf 2}.
     */
    record Track(String graph, String encoder, String options, int clockwise) {
        Track(String graph, String encoder, String options) {
            this(graph, encoder, options, 0);
        }
    }

    /** A movie whose frame n is flat with luma code 16 + 2n. */
    static Path counting(Path file, int frames, String encoder, String options) {
        return counting(file, frames, encoder, options, "");
    }

    static Path counting(Path file, int frames, String encoder, String options, String filter) {
        String graph =
                "color=black:s=64x48:r=25:d="
                        + frames / 25.0
                        + ",format=yuv420p,geq=lum=16+2*N:cb=128:cr=128"
                        + filter;
        return make(file, new Track(graph, encoder, options));
    }

    /** A movie that marks every frame as a random access point. */
    static Path lying(Path file, String graph, String encoder, String options) {
        lies = true;
        try {
            return make(file, new Track(graph, encoder, options));
        } finally {
            lies = false;
        }
    }

    private static boolean lies;

    static Path make(Path file, Track... tracks) {
        av_log_set_level(AV_LOG_FATAL);
        AVFormatContext format = new AVFormatContext(null);
        check(avformat_alloc_output_context2(format, null, null, file.toString()));
        AVIOContext io = new AVIOContext(null);
        if ((format.oformat().flags() & AVFMT_NOFILE) == 0) {
            check(avio_open(io, file.toString(), AVIO_FLAG_WRITE));
            format.pb(io);
        }
        Encoding[] encodings = new Encoding[tracks.length];
        for (int i = 0; i < tracks.length; i++) {
            encodings[i] = new Encoding(format, tracks[i]);
        }
        check(avformat_write_header(format, (AVDictionary) null));
        for (Encoding encoding : encodings) {
            encoding.run();
        }
        check(av_write_trailer(format));
        if (format.pb() != null) {
            avio_closep(format.pb());
        }
        avformat_free_context(format);
        return file;
    }

    /** The sound of a file as one channel of floats at 48 kHz. */
    static float[] sound(Path file) {
        Sink sink =
                new Sink(
                        "amovie=filename="
                                + file
                                + ",aresample=48000,aformat=sample_fmts=flt:channel_layouts=mono",
                        "abuffersink");
        float[] all = new float[0];
        for (AVFrame frame = sink.next(); frame != null; frame = sink.next()) {
            float[] more = java.util.Arrays.copyOf(all, all.length + frame.nb_samples());
            new FloatPointer(frame.data(0)).get(more, all.length, frame.nb_samples());
            all = more;
        }
        return all;
    }

    /** The first picture of a filter graph, as float planes of green, blue and red. */
    static float[][] picture(String graph) {
        Sink sink = new Sink(graph + ",format=gbrpf32le", "buffersink");
        AVFrame frame = sink.next();
        float[][] planes = new float[3][frame.width() * frame.height()];
        for (int c = 0; c < 3; c++) {
            for (int y = 0; y < frame.height(); y++) {
                new FloatPointer(frame.data(c))
                        .position((long) y * frame.linesize(c) / 4)
                        .get(planes[c], y * frame.width(), frame.width());
            }
        }
        return planes;
    }

    private static void check(int result) {
        if (result < 0) {
            BytePointer text = new BytePointer(200);
            av_strerror(result, text, 200);
            throw new IllegalStateException(text.getString());
        }
    }

    /** The sink of a filter graph. */
    private static final class Sink {
        final AVFilterGraph graph = avfilter_graph_alloc();
        final AVFilterContext end;
        private final AVFrame frame = av_frame_alloc();

        Sink(String description, String kind) {
            check(
                    avfilter_graph_parse2(
                            graph,
                            description + "," + kind,
                            new AVFilterInOut(null),
                            new AVFilterInOut(null)));
            check(avfilter_graph_config(graph, null));
            AVFilterContext last = null;
            for (int i = 0; i < graph.nb_filters(); i++) {
                if (graph.filters(i).filter().name().getString().equals(kind)) {
                    last = graph.filters(i);
                }
            }
            end = last;
        }

        AVFrame next() {
            av_frame_unref(frame);
            return av_buffersink_get_frame(end, frame) >= 0 ? frame : null;
        }
    }

    private static final class Encoding {
        private final AVFormatContext format;
        private final Sink sink;
        private final AVCodecContext codec;
        private final AVStream stream;

        Encoding(AVFormatContext format, Track track) {
            this.format = format;
            var encoder = avcodec_find_encoder_by_name(track.encoder());
            boolean video = encoder.type() == AVMEDIA_TYPE_VIDEO;
            sink = new Sink(track.graph(), video ? "buffersink" : "abuffersink");
            codec = avcodec_alloc_context3(encoder);
            codec.time_base(av_buffersink_get_time_base(sink.end));
            if (video) {
                codec.width(av_buffersink_get_w(sink.end));
                codec.height(av_buffersink_get_h(sink.end));
                codec.pix_fmt(av_buffersink_get_format(sink.end));
                codec.sample_aspect_ratio(av_buffersink_get_sample_aspect_ratio(sink.end));
                codec.framerate(av_make_q(25, 1));
                codec.colorspace(av_buffersink_get_colorspace(sink.end));
                codec.color_range(av_buffersink_get_color_range(sink.end));
                setTags(track.graph());
            } else {
                codec.sample_fmt(av_buffersink_get_format(sink.end));
                codec.sample_rate(av_buffersink_get_sample_rate(sink.end));
                check(av_buffersink_get_ch_layout(sink.end, codec.ch_layout()));
            }
            if ((format.oformat().flags() & AVFMT_GLOBALHEADER) != 0) {
                codec.flags(codec.flags() | AV_CODEC_FLAG_GLOBAL_HEADER);
            }
            AVDictionary options = new AVDictionary(null);
            String[] words =
                    track.options().isBlank()
                            ? new String[0]
                            : track.options().strip().split("\\s+");
            for (int i = 0; i + 1 < words.length; i += 2) {
                av_dict_set(options, words[i].substring(1), words[i + 1], 0);
            }
            check(avcodec_open2(codec, encoder, options));
            if (!video && codec.frame_size() > 0) {
                av_buffersink_set_frame_size(sink.end, codec.frame_size());
            }
            stream = avformat_new_stream(format, null);
            stream.time_base(codec.time_base());
            stream.sample_aspect_ratio(codec.sample_aspect_ratio());
            check(avcodec_parameters_from_context(stream.codecpar(), codec));
            if (codec.pix_fmt() == AV_PIX_FMT_YUVA420P) {
                AVDictionary facts = new AVDictionary(null);
                av_dict_set(facts, "alpha_mode", "1", 0);
                stream.metadata(facts);
            }
            if (track.clockwise() != 0) {
                turn(track.clockwise());
            }
        }

        /** Sets the primaries and transfer function, which the sink of a filter graph omits. */
        private void setTags(String graph) {
            codec.color_primaries(
                    graph.contains("color_primaries=bt2020")
                            ? AVCOL_PRI_BT2020
                            : graph.contains("color_primaries=smpte432")
                                    ? AVCOL_PRI_SMPTE432
                                    : AVCOL_PRI_UNSPECIFIED);
            codec.color_trc(
                    graph.contains("color_trc=smpte2084")
                            ? AVCOL_TRC_SMPTE2084
                            : graph.contains("color_trc=arib-std-b67")
                                    ? AVCOL_TRC_ARIB_STD_B67
                                    : AVCOL_TRC_UNSPECIFIED);
        }

        private void turn(int degrees) {
            BytePointer matrix = new BytePointer(av_malloc(36)).capacity(36);
            av_display_rotation_set(new IntPointer(matrix), degrees);
            var count = new IntPointer(1);
            count.put(0);
            var added =
                    av_packet_side_data_add(
                            new org.bytedeco.ffmpeg.avcodec.AVPacketSideData(
                                    (org.bytedeco.javacpp.Pointer) null),
                            count,
                            AV_PKT_DATA_DISPLAYMATRIX,
                            matrix,
                            36,
                            0);
            stream.codecpar().coded_side_data(added);
            stream.codecpar().nb_coded_side_data(1);
        }

        void run() {
            for (AVFrame frame = sink.next(); frame != null; frame = sink.next()) {
                frame.pict_type(AV_PICTURE_TYPE_NONE);
                send(frame);
            }
            send(null);
            avcodec_free_context(codec);
        }

        private void send(AVFrame frame) {
            AVPacket packet = av_packet_alloc();
            check(avcodec_send_frame(codec, frame));
            while (avcodec_receive_packet(codec, packet) >= 0) {
                packet.stream_index(stream.index());
                if (lies) {
                    packet.flags(packet.flags() | AV_PKT_FLAG_KEY);
                }
                if (packet.duration() == 0 && codec.width() > 0) {
                    packet.duration(1);
                }
                av_packet_rescale_ts(packet, codec.time_base(), stream.time_base());
                check(av_interleaved_write_frame(format, packet));
            }
            av_packet_free(packet);
        }
    }
}
