package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Value;

/**
 * Change of a channel's time across the picture, from its near end to its far end: a delay, and a later cut,
 * which makes a wipe.
 *
 * @param by what determines the position of a pixel between the ends
 * @param angleDegrees direction of the far end, clockwise from right, for {@link By#DIRECTION}
 * @param picture id of the source for {@link By#PICTURE}
 * @param delayFrames delay of the far end in frames; fractions mix two frames
 * @param wipeFrames frames after the near end at which the far end cuts
 */
@RecordBuilder
public record SlitScan(
        By by, Value angleDegrees, String picture, Value delayFrames, Value wipeFrames)
        implements SlitScanBuilder.With {
    public static final SlitScan NONE =
            new SlitScan(By.DIRECTION, Value.ZERO, "", Value.ZERO, Value.ZERO);

    /** Largest delay in frames: every rendered frame reads each frame of the delay. */
    public static final int MAX_FRAMES = 1000;

    /** What determines the position of a pixel between the near end and the far end. */
    public enum By {
        /** The pixel's position along a direction. */
        DIRECTION,
        /** The brightness of a picture: black is near, white is far. */
        PICTURE,
        /** The channel's own value: 0 is near, 1 is far. */
        CHANNEL
    }
}
