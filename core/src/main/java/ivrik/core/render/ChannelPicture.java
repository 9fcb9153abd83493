package ivrik.core.render;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.rejoin.ChannelRejoiner;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Ink;
import ivrik.core.threads.Workers;

import java.util.List;

/** Shows one channel as a picture. */
public final class ChannelPicture {
    private ChannelPicture() {}

    /**
     * In grey: light as is, ink as black on white, differences around middle grey, angles as their value.
     */
    public static Frame grey(Plane channel, ChannelKind kind, Workers workers) {
        Plane grey =
                switch (kind.paint()) {
                    case LIGHT, ANGLE -> channel;
                    case INK ->
                            ChannelRejoiner.picture(channel, kind, Ink.BLACK, workers).getFirst();
                    case SIGNED ->
                            ChannelRejoiner.picture(channel, kind, Ink.WHITE, workers).getFirst();
                };
        return Frame.opaque(grey, grey, grey);
    }

    /** In an ink colour: light on black, ink on white paper, differences around middle grey. */
    public static Frame inked(Plane channel, ChannelKind kind, Ink ink, Workers workers) {
        List<Plane> colour = ChannelRejoiner.picture(channel, kind, ink, workers);
        return Frame.opaque(colour.get(0), colour.get(1), colour.get(2));
    }
}
