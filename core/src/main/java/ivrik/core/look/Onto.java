package ivrik.core.look;

import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;

/**
 * How the result of a look meets the untouched picture: in its place (normal) or by a blend mode, as
 * much as {@code amount} (0..1) of it.
 */
public record Onto(Blend blend, Value amount) {
    public static final Onto IN_PLACE = new Onto(Blend.NORMAL, Value.of(1));
}
