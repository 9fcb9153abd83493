package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.media.ffmpeg.Ffmpeg;

import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/** Decodes the packets of a video stream to pictures in display order. */
final class Decoder implements AutoCloseable {
    private final Demuxer demuxer;
    private final AVCodecContext codec;
    private boolean draining;

    Decoder(Demuxer demuxer) {
        this.demuxer = demuxer;
        AVStream stream = demuxer.stream();
        AVCodec decoder = decoder(stream);
        if (decoder == null || decoder.isNull()) {
            throw demuxer.unreadable("its codec is not supported");
        }
        codec = avcodec_alloc_context3(decoder);
        avcodec_parameters_to_context(codec, stream.codecpar());
        codec.thread_count(Math.min(4, Runtime.getRuntime().availableProcessors()));
        codec.pkt_timebase(stream.time_base());
        int opened = avcodec_open2(codec, decoder, (AVDictionary) null);
        if (opened < 0) {
            avcodec_free_context(codec);
            throw demuxer.unreadable(Ffmpeg.errorText(opened));
        }
    }

    private static AVCodec decoder(AVStream stream) {
        int id = stream.codecpar().codec_id();
        // only libvpx decodes the alpha that WebM stores beside the picture
        boolean webmAlpha =
                (id == AV_CODEC_ID_VP9 || id == AV_CODEC_ID_VP8)
                        && av_dict_get(stream.metadata(), "alpha_mode", null, 0) != null;
        return webmAlpha
                ? avcodec_find_decoder_by_name(id == AV_CODEC_ID_VP9 ? "libvpx-vp9" : "libvpx")
                : avcodec_find_decoder(id);
    }

    /** Whether another picture was decoded. */
    boolean receive(AVFrame decoded, AVPacket packet) {
        while (true) {
            int got = avcodec_receive_frame(codec, decoded);
            if (got == 0) {
                return true;
            }
            if (got != AVERROR_EAGAIN() || draining) {
                return false;
            }
            if (demuxer.next(packet)) {
                avcodec_send_packet(codec, packet);
                av_packet_unref(packet);
            } else {
                draining = true;
                avcodec_send_packet(codec, null);
            }
        }
    }

    /** Pixel format of the decoded pictures. */
    int format() {
        return codec.pix_fmt();
    }

    /** Resets the decoder before packets of another position. */
    void flush() {
        avcodec_flush_buffers(codec);
        draining = false;
    }

    @Override
    public void close() {
        avcodec_free_context(codec);
    }
}
