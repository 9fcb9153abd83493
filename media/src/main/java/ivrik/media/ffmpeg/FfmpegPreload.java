package ivrik.media.ffmpeg;

import static org.bytedeco.ffmpeg.global.avcodec.avcodec_version;
import static org.bytedeco.ffmpeg.global.avformat.avformat_version;

import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVCodecParameters;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVInputFormat;
import org.bytedeco.ffmpeg.avformat.AVProbeData;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVBufferRef;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVPixFmtDescriptor;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.Loader;
import org.slf4j.LoggerFactory;

import java.util.List;

/** Loads FFmpeg in the background, so that the first movie opens without delay. */
public final class FfmpegPreload {
    /** Classes whose native layouts take time to initialise. */
    private static final List<Class<?>> USED =
            List.of(
                    AVPacket.class,
                    AVFrame.class,
                    AVProbeData.class,
                    AVInputFormat.class,
                    AVFormatContext.class,
                    AVDictionary.class,
                    AVStream.class,
                    AVCodecParameters.class,
                    AVCodec.class,
                    AVCodecContext.class,
                    AVRational.class,
                    AVPixFmtDescriptor.class,
                    AVBufferRef.class);

    private FfmpegPreload() {}

    /** Starts loading and returns immediately. */
    public static void begin() {
        Thread.ofPlatform().daemon().name("ivrik-natives").start(FfmpegPreload::load);
    }

    private static void load() {
        try {
            Ffmpeg.load();
            avcodec_version();
            avformat_version();
            USED.forEach(Loader::load);
        } catch (LinkageError e) {
            LoggerFactory.getLogger(FfmpegPreload.class).error("FFmpeg could not be loaded", e);
        }
    }
}
