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

/** What movies are read with, loaded beside other work, so that the first that is opened need not wait for it. */
public final class LoadedAside {
    /** Each is made ready by looking at how it is described, which takes a while. */
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

    private LoadedAside() {}

    /** Comes back at once. */
    public static void begin() {
        Thread.ofPlatform().daemon().name("ivrik-natives").start(LoadedAside::load);
    }

    private static void load() {
        try {
            Ffmpeg.load();
            avcodec_version();
            avformat_version();
            USED.forEach(Loader::load);
        } catch (LinkageError e) {
            LoggerFactory.getLogger(LoadedAside.class).error("FFmpeg could not be loaded", e);
        }
    }
}
