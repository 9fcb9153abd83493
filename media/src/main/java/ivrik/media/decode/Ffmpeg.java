package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.motion.Rational;

import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.BytePointer;

/** Small helps for FFmpeg's C interface. */
public final class Ffmpeg {
    static {
        av_log_set_level(AV_LOG_FATAL);
    }

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
        try (BytePointer text = new BytePointer(256)) {
            av_strerror(error, text, 256);
            return text.getString();
        }
    }
}
