package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.motion.Rational;
import ivrik.media.UnreadableMediaException;
import ivrik.media.ffmpeg.Ffmpeg;

import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVInputFormat;
import org.bytedeco.ffmpeg.avformat.AVProbeData;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.PointerPointer;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;

/**
 * A file opened for the packets of one of its streams. Nothing but the file is read: what would fetch
 * something else, or takes any text for pictures, is refused.
 */
public final class Demuxer implements AutoCloseable {
    /** The best stream of its kind. */
    public static final int BEST = -1;

    private static final Set<String> REFUSED =
            Set.of(
                    "hls",
                    "dash",
                    "concat",
                    "imf",
                    "sdp",
                    "rtsp",
                    "tty",
                    "ffmetadata",
                    "bin",
                    "idf");

    private static final int PROBED_BYTES = 1 << 16;

    /** Containers whose own times can be believed. */
    private static final Set<String> TRUSTED =
            Set.of("mov,mp4,m4a,3gp,3g2,mj2", "matroska,webm", "gif", "apng", "nut");

    private final Path path;
    private final int kind;
    private final int wanted;
    private final String name;
    private Opened opened;

    private record Opened(AVFormatContext format, AVStream stream) implements AutoCloseable {
        @Override
        public void close() {
            avformat_close_input(format);
        }
    }

    /**
     * @param kind such as {@code AVMEDIA_TYPE_VIDEO}
     * @param wanted the stream's number in the file, or {@link #BEST}
     * @throws UnreadableMediaException if it cannot be read, or has no such stream
     */
    public Demuxer(Path path, int kind, int wanted) {
        Ffmpeg.load();
        this.path = path;
        this.kind = kind;
        this.wanted = wanted;
        this.opened = open();
        this.name = name(opened.format);
    }

    private Opened open() {
        if (REFUSED.contains(probed())) {
            throw unreadable("it is no picture and no movie");
        }
        AVFormatContext format = new AVFormatContext(null);
        AVDictionary options = new AVDictionary(null);
        av_dict_set(options, "protocol_whitelist", "file", 0);
        int result = avformat_open_input(format, "file:" + path, null, options);
        av_dict_free(options);
        check(result);
        try {
            if (REFUSED.contains(name(format))) {
                throw unreadable("it is no picture and no movie");
            }
            check(avformat_find_stream_info(format, (PointerPointer<?>) null));
            int number = av_find_best_stream(format, kind, wanted, -1, (AVCodec) null, 0);
            if (number < 0) {
                throw unreadable(
                        kind == AVMEDIA_TYPE_VIDEO
                                ? "there is no picture in it"
                                : "there is no such sound in it");
            }
            for (int i = 0; i < format.nb_streams(); i++) {
                if (i != number) {
                    format.streams(i).discard(org.bytedeco.ffmpeg.global.avcodec.AVDISCARD_ALL);
                }
            }
            return new Opened(format, format.streams(number));
        } catch (RuntimeException e) {
            avformat_close_input(format);
            throw e;
        }
    }

    private static String name(AVFormatContext format) {
        return Ffmpeg.text(format.iformat().name());
    }

    /** FFmpeg's name of what the first bytes look like, found out before anything else is read. */
    private String probed() {
        byte[] start;
        try (InputStream in = Files.newInputStream(path)) {
            start = in.readNBytes(PROBED_BYTES);
        } catch (IOException e) {
            throw unreadable("it cannot be opened");
        }
        try (BytePointer bytes = new BytePointer(start.length + (long) AVPROBE_PADDING_SIZE);
                BytePointer name = new BytePointer(path.toString())) {
            bytes.fill(0);
            bytes.put(start);
            AVProbeData data = new AVProbeData();
            data.buf(bytes);
            data.buf_size(start.length);
            data.filename(name);
            AVInputFormat format = av_probe_input_format(data, 1);
            return format == null || format.isNull() ? "" : Ffmpeg.text(format.name());
        }
    }

    public AVFormatContext format() {
        return opened.format;
    }

    public AVStream stream() {
        return opened.stream;
    }

    /** Frames a second as the file says; 0 if it does not. */
    Rational saidRate() {
        Rational average = Ffmpeg.rational(stream().avg_frame_rate());
        Rational nominal = Ffmpeg.rational(stream().r_frame_rate());
        return average.num() > 0 ? average : nominal;
    }

    /** FFmpeg's name of the container. */
    public String name() {
        return name;
    }

    /** Whether its times can be believed without looking at what is decoded. */
    boolean isTrusted() {
        return TRUSTED.contains(name) || isStill();
    }

    /** Whether it is a file of one picture. */
    boolean isStill() {
        return name.endsWith("_pipe") || name.equals("image2");
    }

    /** Whether places in it are sought by their bytes. */
    private boolean isSoughtByBytes() {
        return (format().iformat().flags() & AVFMT_TS_DISCONT) != 0;
    }

    /** Whether there was one more packet of the stream. */
    public boolean next(AVPacket packet) {
        while (av_read_frame(format(), packet) >= 0) {
            if (packet.stream_index() == stream().index()) {
                return true;
            }
            org.bytedeco.ffmpeg.global.avcodec.av_packet_unref(packet);
        }
        return false;
    }

    /**
     * To the first packet, which is certain only by opening the file again.
     *
     * @throws UnreadableMediaException if it is gone or another by now; what was open stays open
     */
    public void rewind() {
        Opened again = open();
        opened.close();
        opened = again;
    }

    /** To where decoding can begin, at or before a time; whether it could be found. */
    boolean seek(FrameIndex.Key key) {
        if (isSoughtByBytes() && key.position() >= 0) {
            return av_seek_frame(format(), stream().index(), key.position(), AVSEEK_FLAG_BYTE) >= 0;
        }
        return avformat_seek_file(
                                format(),
                                stream().index(),
                                Long.MIN_VALUE,
                                key.time(),
                                key.time(),
                                0)
                        >= 0
                || av_seek_frame(format(), stream().index(), key.time(), AVSEEK_FLAG_BACKWARD) >= 0;
    }

    private void check(int result) {
        if (result < 0) {
            throw unreadable(Ffmpeg.word(result));
        }
    }

    UnreadableMediaException unreadable(String why) {
        return new UnreadableMediaException(
                path + " cannot be read as a picture or movie (" + why + ")",
                "check the file, or convert it to a form such as PNG or Matroska");
    }

    @Override
    public void close() {
        opened.close();
    }
}
