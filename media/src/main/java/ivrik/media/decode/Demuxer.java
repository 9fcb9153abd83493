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
 * Reads the packets of one stream of a file. Formats that refer to other files or accept arbitrary text are
 * refused.
 */
public final class Demuxer implements AutoCloseable {
    /** Selects the best stream. */
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

    /** Containers with reliable time stamps. */
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
     * @param kind stream type, such as {@code AVMEDIA_TYPE_VIDEO}
     * @param wanted stream index, or {@link #BEST}
     * @throws UnreadableMediaException if the file cannot be read or has no such stream
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
            throw unreadable("the file is not an image or a movie");
        }
        AVFormatContext format = new AVFormatContext(null);
        AVDictionary options = new AVDictionary(null);
        av_dict_set(options, "protocol_whitelist", "file", 0);
        int result = avformat_open_input(format, "file:" + path, null, options);
        av_dict_free(options);
        check(result);
        try {
            if (REFUSED.contains(name(format))) {
                throw unreadable("the file is not an image or a movie");
            }
            check(avformat_find_stream_info(format, (PointerPointer<?>) null));
            int number = av_find_best_stream(format, kind, wanted, -1, (AVCodec) null, 0);
            if (number < 0) {
                throw unreadable(
                        kind == AVMEDIA_TYPE_VIDEO
                                ? "the file contains no image"
                                : "the file has no such sound track");
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

    /** FFmpeg's name of the format, from the first bytes of the file. */
    private String probed() {
        byte[] start;
        try (InputStream in = Files.newInputStream(path)) {
            start = in.readNBytes(PROBED_BYTES);
        } catch (IOException e) {
            throw unreadable("the file cannot be opened");
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

    /** Declared frame rate; 0 if there is none. */
    Rational saidRate() {
        Rational average = Ffmpeg.rational(stream().avg_frame_rate());
        Rational nominal = Ffmpeg.rational(stream().r_frame_rate());
        return average.num() > 0 ? average : nominal;
    }

    /** FFmpeg's name of the container. */
    public String name() {
        return name;
    }

    /** Whether time stamps are reliable without decoding. */
    boolean isTrusted() {
        return TRUSTED.contains(name) || isStill();
    }

    /** Whether the file holds a single picture. */
    boolean isStill() {
        return name.endsWith("_pipe") || name.equals("image2");
    }

    /** Whether seeking uses byte positions. */
    private boolean isSoughtByBytes() {
        return (format().iformat().flags() & AVFMT_TS_DISCONT) != 0;
    }

    /** Whether another packet of the stream was read. */
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
     * Returns to the first packet by reopening the file, which is reliable for every format.
     *
     * @throws UnreadableMediaException if the file is missing or changed; the open file stays open
     */
    public void rewind() {
        Opened again = open();
        opened.close();
        opened = again;
    }

    /** Seeks to a keyframe at or before a time; returns whether the seek succeeded. */
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
            throw unreadable(Ffmpeg.errorText(result));
        }
    }

    UnreadableMediaException unreadable(String why) {
        return new UnreadableMediaException(
                path + " cannot be read as a picture or movie (" + why + ")",
                "check the file or convert it to a format such as PNG or Matroska");
    }

    @Override
    public void close() {
        opened.close();
    }
}
