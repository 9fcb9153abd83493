package ivrik.core.look;

import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;

/**
 * How the result of a look is combined with the untouched picture: a blend mode (normal replaces the picture)
 * and an opacity in 0..{@link #MAX_OPACITY}. An opacity above 1 exaggerates the change of the colours.
 */
public record LookBlend(Blend mode, Value opacity) {
    /** Largest opacity. */
    public static final double MAX_OPACITY = 2;

    public static final LookBlend REPLACE = new LookBlend(Blend.NORMAL, Value.of(1));
}
