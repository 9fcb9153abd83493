package ivrik.core.look;

import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;

/**
 * How the result of a look is combined with the untouched picture: a blend mode (normal replaces the picture)
 * and an opacity in 0..1.
 */
public record LookBlend(Blend mode, Value opacity) {
    public static final LookBlend REPLACE = new LookBlend(Blend.NORMAL, Value.of(1));
}
