package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;

import org.bytedeco.ffmpeg.avcodec.AVPacketSideData;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVFrameSideData;
import org.bytedeco.javacpp.IntPointer;

/** Rotation and mirroring of a stored picture, with the numbers 1 to 8 of Exif. */
enum Orientation {
    UPRIGHT(1, 0, 0, 1),
    MIRRORED(-1, 0, 0, 1),
    HALF(-1, 0, 0, -1),
    FLIPPED(1, 0, 0, -1),
    TRANSPOSED(0, 1, 1, 0),
    QUARTER(0, 1, -1, 0),
    TRANSVERSED(0, -1, -1, 0),
    THREE_QUARTERS(0, -1, 1, 0);

    /** Bytes of nine 32-bit numbers. */
    private static final int MATRIX_BYTES = 36;

    /** Displayed position of a stored one: x' = a x + c y, y' = b x + d y, as in QuickTime. */
    private final int a;

    private final int b;
    private final int c;
    private final int d;

    Orientation(int a, int b, int c, int d) {
        this.a = a;
        this.b = b;
        this.c = c;
        this.d = d;
    }

    /** The orientation of an Exif number; upright if invalid. */
    static Orientation ofExif(int number) {
        return number >= 1 && number <= 8 ? values()[number - 1] : UPRIGHT;
    }

    /** The orientation of a decoded picture, or else of its stream. */
    static Orientation of(AVFrame picture, AVStream stream) {
        AVFrameSideData own = av_frame_get_side_data(picture, AV_FRAME_DATA_DISPLAYMATRIX);
        if (own != null && !own.isNull() && own.size() >= MATRIX_BYTES) {
            return ofMatrix(new IntPointer(own.data()).capacity(9));
        }
        return of(stream.codecpar().coded_side_data(), stream.codecpar().nb_coded_side_data());
    }

    /** The orientation of the display matrix in side data. */
    static Orientation of(AVPacketSideData all, int count) {
        for (int i = 0; i < count; i++) {
            AVPacketSideData data = all.getPointer(i);
            if (data.type() == AV_PKT_DATA_DISPLAYMATRIX && data.size() >= MATRIX_BYTES) {
                return ofMatrix(new IntPointer(data.data()).capacity(9));
            }
        }
        return UPRIGHT;
    }

    /** Rounded to a quarter turn. */
    private static Orientation ofMatrix(IntPointer matrix) {
        double p = matrix.get(0);
        double q = matrix.get(1);
        double r = matrix.get(3);
        double s = matrix.get(4);
        Orientation nearest = UPRIGHT;
        double best = Double.NEGATIVE_INFINITY;
        for (Orientation o : values()) {
            double similarity = o.a * p + o.b * q + o.c * r + o.d * s;
            if (similarity > best) {
                best = similarity;
                nearest = o;
            }
        }
        return nearest;
    }

    private boolean isOnItsSide() {
        return a == 0;
    }

    Size shown(Size stored) {
        return isOnItsSide() ? new Size(stored.height(), stored.width()) : stored;
    }

    Frame upright(Frame stored) {
        return this == UPRIGHT ? stored : stored.mapPlanes(this::turned);
    }

    private Plane turned(Plane in) {
        Size size = shown(in.size());
        Plane out = Plane.of(size.width(), size.height());
        for (int y = 0; y < size.height(); y++) {
            for (int x = 0; x < size.width(); x++) {
                // the inverse of a signed permutation matrix is its transpose
                int sx = a * x + b * y + (a + b < 0 ? in.width() - 1 : 0);
                int sy = c * x + d * y + (c + d < 0 ? in.height() - 1 : 0);
                out.data()[out.row(y) + x] = in.at(sx, sy);
            }
        }
        return out;
    }
}
