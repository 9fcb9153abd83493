package ivrik.core.render;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.rejoin.Joiner;
import ivrik.core.separation.Ink;
import ivrik.core.separation.LaneKind;
import ivrik.core.threads.Workers;

import java.util.List;

/** One lane as a picture that can be looked at. */
public final class LanePicture {
    private LanePicture() {}

    /** In grey: light as it is, ink as black on white, differences around middle grey, angles as they count. */
    public static Frame grey(Plane lane, LaneKind kind, Workers workers) {
        Plane grey =
                switch (kind.paint()) {
                    case LIGHT, ANGLE -> lane;
                    case INK -> Joiner.picture(lane, kind, Ink.BLACK, workers).getFirst();
                    case SIGNED -> Joiner.picture(lane, kind, Ink.WHITE, workers).getFirst();
                };
        return Frame.opaque(grey, grey, grey);
    }

    /** In an ink: light on black, ink on white paper, differences around middle grey. */
    public static Frame inked(Plane lane, LaneKind kind, Ink ink, Workers workers) {
        List<Plane> colour = Joiner.picture(lane, kind, ink, workers);
        return Frame.opaque(colour.get(0), colour.get(1), colour.get(2));
    }
}
