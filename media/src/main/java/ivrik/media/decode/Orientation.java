package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;

import org.bytedeco.ffmpeg.avcodec.AVPacketSideData;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.javacpp.IntPointer;

/** How a stored picture is turned to stand upright: quarter turns clockwise. */
enum Orientation {
    UPRIGHT(0),
    QUARTER(1),
    HALF(2),
    THREE_QUARTERS(3);

    private final int turns;

    Orientation(int turns) {
        this.turns = turns;
    }

    /** By the display matrix of a stream, to the nearest quarter turn. */
    static Orientation of(AVStream stream) {
        AVPacketSideData all = stream.codecpar().coded_side_data();
        for (int i = 0; i < stream.codecpar().nb_coded_side_data(); i++) {
            AVPacketSideData data = all.getPointer(i);
            if (data.type() == AV_PKT_DATA_DISPLAYMATRIX) {
                double counterClockwise = av_display_rotation_get(new IntPointer(data.data()));
                return values()[Math.floorMod(Math.round(-counterClockwise / 90), 4)];
            }
        }
        return UPRIGHT;
    }

    Size shown(Size stored) {
        return turns % 2 == 0 ? stored : new Size(stored.height(), stored.width());
    }

    Frame upright(Frame stored) {
        return turns == 0 ? stored : stored.mapPlanes(this::turned);
    }

    private Plane turned(Plane in) {
        Size size = shown(in.size());
        Plane out = Plane.of(size.width(), size.height());
        for (int y = 0; y < size.height(); y++) {
            for (int x = 0; x < size.width(); x++) {
                out.data()[out.row(y) + x] =
                        switch (turns) {
                            case 1 -> in.at(y, in.height() - 1 - x);
                            case 2 -> in.at(in.width() - 1 - x, in.height() - 1 - y);
                            default -> in.at(in.width() - 1 - y, x);
                        };
            }
        }
        return out;
    }
}
