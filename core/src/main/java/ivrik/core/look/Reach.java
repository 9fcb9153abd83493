package ivrik.core.look;

import ivrik.core.motion.Value;

import java.util.List;
import java.util.function.Function;

/**
 * Which part of the picture a look touches: what lies in a window of tones, is of a colour, and is in a
 * matte, each as far as it is asked for; or all but that.
 *
 * @param spreads whether what is reached may spread beyond: then only that is treated and laid on the
 *     rest; otherwise the result is seen only where the reach is
 */
public record Reach(Tones tones, Colour colour, Matte matte, boolean inverted, boolean spreads) {
    /** All of the picture. */
    public static final Reach ALL = new Reach(Tones.OFF, Colour.OFF, Matte.OFF, false, false);

    public Reach {
        tones = tones == null ? Tones.OFF : tones;
        colour = colour == null ? Colour.OFF : colour;
        matte = matte == null ? Matte.OFF : matte;
    }

    /**
     * A window of tones, in per cent of luma, or of the luminance of linear light.
     *
     * @param soft how wide the slopes at both ends are; 0 % and 100 % as ends are open
     */
    public record Tones(boolean on, Value low, Value high, Value soft, boolean linear) {
        public static final Tones OFF =
                new Tones(false, Value.of(60), Value.of(100), Value.of(20), false);

        public Tones withOn(boolean o) {
            return new Tones(o, low, high, soft, linear);
        }

        public Tones withLinear(boolean l) {
            return new Tones(on, low, high, soft, l);
        }
    }

    /**
     * A colour. Greys are of no colour.
     *
     * @param hueDegrees red 0, green 120, blue 240
     * @param widthDegrees of all hues that are reached in full
     * @param softDegrees how far beyond on either side it falls off
     */
    public record Colour(boolean on, Value hueDegrees, Value widthDegrees, Value softDegrees) {
        public static final Colour OFF = new Colour(false, Value.of(0), Value.of(60), Value.of(20));

        public Colour withOn(boolean o) {
            return new Colour(o, hueDegrees, widthDegrees, softDegrees);
        }
    }

    /**
     * Another layer's picture as a matte.
     *
     * @param layer its id; empty for none
     */
    public record Matte(String layer, Channel channel) {
        public static final Matte OFF = new Matte("", Channel.ALPHA);

        /** What of the layer counts. */
        public enum Channel {
            ALPHA,
            LUMA
        }

        public boolean isOn() {
            return !layer.isEmpty();
        }
    }

    public boolean isAll() {
        return !tones.on && !colour.on && !matte.isOn() && !inverted;
    }

    /** One number of the reach, for dials, traces and controls. */
    public record Part(
            String name,
            String title,
            String unit,
            double min,
            double max,
            Function<Reach, Value> value) {}

    /** All of its numbers. */
    public static final List<Part> PARTS =
            List.of(
                    new Part("low", "from", "%", 0, 100, r -> r.tones.low),
                    new Part("high", "to", "%", 0, 100, r -> r.tones.high),
                    new Part("soft", "softness", "%", 0, 100, r -> r.tones.soft),
                    new Part("hue", "hue", "deg", -360, 720, r -> r.colour.hueDegrees),
                    new Part("width", "width", "deg", 0, 360, r -> r.colour.widthDegrees),
                    new Part("falloff", "softness", "deg", 0, 180, r -> r.colour.softDegrees));

    public Reach with(String part, Value v) {
        Tones t = tones;
        Colour c = colour;
        return switch (part) {
            case "low" -> with(new Tones(t.on, v, t.high, t.soft, t.linear));
            case "high" -> with(new Tones(t.on, t.low, v, t.soft, t.linear));
            case "soft" -> with(new Tones(t.on, t.low, t.high, v, t.linear));
            case "hue" -> with(new Colour(c.on, v, c.widthDegrees, c.softDegrees));
            case "width" -> with(new Colour(c.on, c.hueDegrees, v, c.softDegrees));
            case "falloff" -> with(new Colour(c.on, c.hueDegrees, c.widthDegrees, v));
            default -> throw new IllegalArgumentException("a reach has no " + part);
        };
    }

    public Reach with(Tones t) {
        return new Reach(t, colour, matte, inverted, spreads);
    }

    public Reach with(Colour c) {
        return new Reach(tones, c, matte, inverted, spreads);
    }

    public Reach with(Matte m) {
        return new Reach(tones, colour, m, inverted, spreads);
    }

    public Reach withInverted(boolean i) {
        return new Reach(tones, colour, matte, i, spreads);
    }

    public Reach withSpreads(boolean s) {
        return new Reach(tones, colour, matte, inverted, s);
    }
}
