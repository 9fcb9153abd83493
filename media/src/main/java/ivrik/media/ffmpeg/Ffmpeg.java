package ivrik.media.ffmpeg;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.motion.Rational;

import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.BytePointer;

import java.nio.charset.StandardCharsets;

/** Small helps for FFmpeg's C interface. */
public final class Ffmpeg {
    static {
        av_log_set_level(AV_LOG_FATAL);
    }

    private static final int LONGEST_WORD = 256;

    private Ffmpeg() {}

    /** Makes sure that the library is loaded and quiet. */
    public static void load() {}

    public static Rational rational(AVRational r) {
        return r.den() == 0 ? Rational.ZERO : new Rational(r.num(), r.den());
    }

    public static AVRational rational(Rational r) {
        return av_make_q(Math.toIntExact(r.num()), Math.toIntExact(r.den()));
    }

    /** FFmpeg's word for an error code. */
    public static String word(int error) {
        try (BytePointer text = new BytePointer(LONGEST_WORD)) {
            text.fill(0);
            av_strerror(error, text, LONGEST_WORD);
            return text(text);
        }
    }

    /** A text of C: up to its zero, or to the end of its memory if that is known and comes first. */
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
