package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.threads.Workers;
import ivrik.media.ffmpeg.Ffmpeg;
import ivrik.media.pixel.PixelReader;

import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.util.Map;
import java.util.Optional;

/** Decodes one picture from the bytes of a whole file. */
final class PacketDecoder {
    private PacketDecoder() {}

    /** A picture and its stored depth. */
    record Decoded(Frame frame, Depth depth) {}

    /**
     * @param codec FFmpeg's codec id
     * @return empty if the picture cannot be decoded
     */
    static Optional<Decoded> decode(
            int codec, byte[] file, Map<String, String> options, Workers workers) {
        Ffmpeg.load();
        AVCodec decoder = avcodec_find_decoder(codec);
        AVCodecContext context = avcodec_alloc_context3(decoder);
        context.thread_count(Math.min(4, Runtime.getRuntime().availableProcessors()));
        context.thread_type(AVCodecContext.FF_THREAD_SLICE);
        AVDictionary settings = new AVDictionary(null);
        options.forEach((name, value) -> av_dict_set(settings, name, value, 0));
        AVPacket packet = av_packet_alloc();
        AVFrame picture = av_frame_alloc();
        try {
            if (avcodec_open2(context, decoder, settings) < 0
                    || av_new_packet(packet, file.length) < 0) {
                return Optional.empty();
            }
            packet.data().capacity(file.length).put(file);
            if (avcodec_send_packet(context, packet) < 0
                    || avcodec_receive_frame(context, picture) < 0) {
                return Optional.empty();
            }
            return Optional.of(
                    new Decoded(PixelReader.read(picture, workers), MovieFacts.depth(picture)));
        } finally {
            av_dict_free(settings);
            av_frame_free(picture);
            av_packet_free(packet);
            avcodec_free_context(context);
        }
    }
}
