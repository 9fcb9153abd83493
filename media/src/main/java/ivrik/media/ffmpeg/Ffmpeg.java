package ivrik.media.ffmpeg;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.motion.Rational;

import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.BytePointer;

import java.nio.charset.StandardCharsets;

/** Utilities for FFmpeg's C interface. */
public final class Ffmpeg {
    static {
        av_log_set_level(AV_LOG_FATAL);
    }

    private static final int MAX_MESSAGE_BYTES = 256;

    private Ffmpeg() {}

    /** Loads the library and suppresses its log. */
    public static void load() {}

    public static Rational rational(AVRational r) {
        return r.den() == 0 ? Rational.ZERO : new Rational(r.num(), r.den());
    }

    public static AVRational rational(Rational r) {
        return av_make_q(Math.toIntExact(r.num()), Math.toIntExact(r.den()));
    }

    /** FFmpeg's message for an error code. */
    public static String errorText(int error) {
        try (BytePointer text = new BytePointer(MAX_MESSAGE_BYTES)) {
            text.fill(0);
            av_strerror(error, text, MAX_MESSAGE_BYTES);
            return text(text);
        }
    }

    /** A C string, up to its zero byte or the end of its memory. */
    public static String text(BytePointer text) {
        if (text == null || text.isNull()) {
            return "";
        }
        long room = text.limit() > 0 ? text.limit() : Long.MAX_VALUE;
        int length = 0;
        while (length < room && text.get(length) != 0) {
            length++;
        }
        byte[] bytes = new byte[length];
        text.get(bytes);
        return new String(bytes, StandardCharsets.UTF_8);
    }
}
