package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Value;

/**
 * How a lane's time changes across the picture, from 0 at its near end to all at its far end: how much later
 * it is seen, and how much later it cuts, which is a wipe.
 *
 * @param by what says where in the picture a pixel lies between the two ends
 * @param angleDegrees which way it grows, clockwise from right, where it grows along a direction
 * @param picture the id of the source whose brightness says it, where a picture does
 * @param delayFrames how many frames later the far end is seen; not whole numbers are mixed of two frames
 * @param wipeFrames how many frames later the far end cuts
 */
@RecordBuilder
public record Slit(By by, Value angleDegrees, String picture, Value delayFrames, Value wipeFrames)
        implements SlitBuilder.With {
    public static final Slit NONE = new Slit(By.DIRECTION, Value.ZERO, "", Value.ZERO, Value.ZERO);

    /** The longest delay: each frame of it is looked at for every frame that is made. */
    public static final int MOST_FRAMES = 1000;

    /** What says where between the near end and the far end a pixel lies. */
    public enum By {
        /** Where it is along a direction. */
        DIRECTION,
        /** How bright a picture is there: black is near, white is far. */
        PICTURE,
        /** The lane's own value there: 0 is near, full is far. */
        LANE
    }
}
