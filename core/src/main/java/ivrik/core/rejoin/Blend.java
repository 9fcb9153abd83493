package ivrik.core.rejoin;

import ivrik.core.UnknownNameException;

import java.util.List;
import java.util.Locale;

/**
 * Blend modes: functions of two opaque colours, {@code b} the lower (backdrop) and {@code s} the upper
 * (source). The modes of W3C Compositing and Blending Level 1, and further common ones.
 *
 * <p>Values outside 0..1 are not clamped, except by a {@code min}, {@code max} or division in the formula
 * itself.
 */
public enum Blend {
    /** s. */
    NORMAL((b, s) -> s),
    /** b + s: additive light. */
    ADD((b, s) -> b + s),
    /** b + s - bs; decreases for values above 1. */
    SCREEN((b, s) -> b + s - b * s),
    /** max(b, s). */
    LIGHTEN((b, s) -> Math.max(b, s)),
    /** min(1, b / (1 - s)); 0 where b is 0 or less, 1 where s reaches 1. */
    COLOR_DODGE(Blend::dodge),
    /** The colour with the greater luminosity. */
    LIGHTER_COLOR((b, s, out) -> copy(Luminosity.of(s) > Luminosity.of(b) ? s : b, out)),
    /** bs. */
    MULTIPLY((b, s) -> b * s),
    /** min(b, s). */
    DARKEN((b, s) -> Math.min(b, s)),
    /** 1 - min(1, (1 - b) / s); 1 where b reaches 1, 0 where s is 0 or less. */
    COLOR_BURN(Blend::burn),
    /** b + s - 1. */
    LINEAR_BURN((b, s) -> b + s - 1),
    /** The colour with the lesser luminosity. */
    DARKER_COLOR((b, s, out) -> copy(Luminosity.of(s) < Luminosity.of(b) ? s : b, out)),
    /** Hard light with b and s exchanged. */
    OVERLAY((b, s) -> hardLight(s, b)),
    /** Multiply by 2s for s up to 1/2, screen with 2s - 1 above. */
    HARD_LIGHT(Blend::hardLight),
    /** W3C soft light: a polynomial for dark b and a square root for bright b. */
    SOFT_LIGHT(Blend::softLight),
    /** b + 2s - 1. */
    LINEAR_LIGHT((b, s) -> b + 2 * s - 1),
    /** Color burn with 2s for s up to 1/2, color dodge with 2s - 1 above. */
    VIVID_LIGHT((b, s) -> s <= 0.5f ? burn(b, 2 * s) : dodge(b, 2 * s - 1)),
    /** Darken with 2s for s up to 1/2, lighten with 2s - 1 above. */
    PIN_LIGHT((b, s) -> s <= 0.5f ? Math.min(b, 2 * s) : Math.max(b, 2 * s - 1)),
    /** |b - s|. */
    DIFFERENCE((b, s) -> Math.abs(b - s)),
    /** b + s - 2bs. */
    EXCLUSION((b, s) -> b + s - 2 * b * s),
    /** b - s; may be negative. */
    SUBTRACT((b, s) -> b - s),
    /** b / s; for s = 0: 1, or 0 if b is 0 as well. */
    DIVIDE((b, s) -> s == 0 ? (b == 0 ? 0 : 1) : b / s),
    /** Hue of s, saturation and luminosity of b. */
    HUE(
            (b, s, out) -> {
                Luminosity.setSaturation(s, Luminosity.saturation(b), out);
                Luminosity.set(out, Luminosity.of(b), out);
            }),
    /** Saturation of s, hue and luminosity of b. */
    SATURATION(
            (b, s, out) -> {
                Luminosity.setSaturation(b, Luminosity.saturation(s), out);
                Luminosity.set(out, Luminosity.of(b), out);
            }),
    /** Hue and saturation of s, luminosity of b. */
    COLOR((b, s, out) -> Luminosity.set(s, Luminosity.of(b), out)),
    /** Luminosity of s, hue and saturation of b. */
    LUMINOSITY((b, s, out) -> Luminosity.set(b, Luminosity.of(s), out));

    private final Channel channel;
    private final Colour colour;

    /** A mode that treats each channel on its own. */
    interface Channel {
        float of(float b, float s);
    }

    /** A mode that needs all three channels. */
    interface Colour {
        void of(float[] b, float[] s, float[] out);
    }

    Blend(Channel channel) {
        this.channel = channel;
        this.colour = null;
    }

    Blend(Colour colour) {
        this.channel = null;
        this.colour = colour;
    }

    /** The name in files, such as {@code color-dodge}. */
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The name in the window. */
    public String title() {
        String title = id().replace('-', ' ');
        return Character.toUpperCase(title.charAt(0)) + title.substring(1);
    }

    /** The mode of a name in files. */
    public static Blend named(String id) {
        return UnknownNameException.find("blend mode", id, List.of(values()), Blend::id);
    }

    /**
     * B(b, s) of one channel.
     *
     * @throws IllegalStateException if the mode needs all three channels
     */
    public float channel(float b, float s) {
        if (channel == null) {
            throw new IllegalStateException(id() + " needs all three channels");
        }
        return channel.of(b, s);
    }

    /**
     * B(b, s) of the first {@code n} colours.
     *
     * @param b red, green and blue of the lower picture
     * @param s red, green and blue of the upper picture
     * @param out result; must not be {@code b} or {@code s}
     */
    void row(float[][] b, float[][] s, float[][] out, int n) {
        if (channel != null) {
            for (int c = 0; c < 3; c++) {
                row(channel, b[c], s[c], out[c], n);
            }
            return;
        }
        float[] lower = new float[3];
        float[] upper = new float[3];
        float[] blended = new float[3];
        for (int i = 0; i < n; i++) {
            for (int c = 0; c < 3; c++) {
                lower[c] = b[c][i];
                upper[c] = s[c][i];
            }
            colour.of(lower, upper, blended);
            for (int c = 0; c < 3; c++) {
                out[c][i] = blended[c];
            }
        }
    }

    private static void row(Channel channel, float[] b, float[] s, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = channel.of(b[i], s[i]);
        }
    }

    private static void copy(float[] from, float[] to) {
        System.arraycopy(from, 0, to, 0, 3);
    }

    private static float dodge(float b, float s) {
        return b <= 0 ? 0 : s >= 1 ? 1 : Math.min(1, b / (1 - s));
    }

    private static float burn(float b, float s) {
        return b >= 1 ? 1 : s <= 0 ? 0 : 1 - Math.min(1, (1 - b) / s);
    }

    private static float hardLight(float b, float s) {
        if (s <= 0.5f) {
            return b * 2 * s;
        }
        float t = 2 * s - 1;
        return b + t - b * t;
    }

    private static float softLight(float b, float s) {
        if (s <= 0.5f) {
            return b - (1 - 2 * s) * b * (1 - b);
        }
        float d = b <= 0.25f ? ((16 * b - 12) * b + 4) * b : (float) Math.sqrt(b);
        return b + (2 * s - 1) * (d - b);
    }
}
