package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Value;
import ivrik.core.treatment.Parameter;

import java.util.List;
import java.util.function.Function;

/**
 * Which part of the picture a look touches: what lies in a window of tones, is of a colour, and is in a
 * matte, each as far as it is asked for; or all but that.
 *
 * @param spreads whether what is reached may spread beyond: then only that is treated and laid on the
 *     rest; otherwise the result is seen only where the reach is
 */
@RecordBuilder
public record Reach(Tones tones, Colour colour, Matte matte, boolean inverted, boolean spreads)
        implements ReachBuilder.With {
    /** All of the picture. */
    public static final Reach ALL = new Reach(Tones.OFF, Colour.OFF, Matte.OFF, false, false);

    /**
     * A window of tones, in per cent of luma, or of the luminance of linear light.
     *
     * @param soft how wide the slopes at both ends are; 0 % and 100 % as ends are open
     */
    @RecordBuilder
    public record Tones(boolean on, Value low, Value high, Value soft, boolean linear)
            implements ReachTonesBuilder.With {
        public static final Tones OFF =
                new Tones(false, Value.of(60), Value.of(100), Value.of(20), false);
    }

    /**
     * A colour. Greys are of no colour.
     *
     * @param hueDegrees red 0, green 120, blue 240
     * @param widthDegrees of all hues that are reached in full
     * @param softDegrees how far beyond on either side it falls off
     */
    @RecordBuilder
    public record Colour(boolean on, Value hueDegrees, Value widthDegrees, Value softDegrees)
            implements ReachColourBuilder.With {
        public static final Colour OFF = new Colour(false, Value.of(0), Value.of(60), Value.of(20));
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
    public record Part(Parameter range, Function<Reach, Value> value) {
        private Part(
                String name,
                String title,
                String unit,
                double min,
                double max,
                double rest,
                Function<Reach, Value> value) {
            this(Parameter.of(name, title, unit, min, max, rest, 1), value);
        }

        public String name() {
            return range.name();
        }
    }

    /** All of its numbers. */
    public static final List<Part> PARTS =
            List.of(
                    new Part("low", "from", "%", 0, 100, 60, r -> r.tones.low),
                    new Part("high", "to", "%", 0, 100, 100, r -> r.tones.high),
                    new Part("soft", "softness", "%", 0, 100, 20, r -> r.tones.soft),
                    new Part("hue", "hue", "deg", -360, 720, 0, r -> r.colour.hueDegrees),
                    new Part("width", "width", "deg", 0, 360, 60, r -> r.colour.widthDegrees),
                    new Part("falloff", "softness", "deg", 0, 180, 20, r -> r.colour.softDegrees));

    public Reach with(String part, Value v) {
        Tones t = tones;
        Colour c = colour;
        return switch (part) {
            case "low" -> withTones(new Tones(t.on, v, t.high, t.soft, t.linear));
            case "high" -> withTones(new Tones(t.on, t.low, v, t.soft, t.linear));
            case "soft" -> withTones(new Tones(t.on, t.low, t.high, v, t.linear));
            case "hue" -> withColour(new Colour(c.on, v, c.widthDegrees, c.softDegrees));
            case "width" -> withColour(new Colour(c.on, c.hueDegrees, v, c.softDegrees));
            case "falloff" -> withColour(new Colour(c.on, c.hueDegrees, c.widthDegrees, v));
            default -> throw new IllegalArgumentException("a reach has no " + part);
        };
    }
}
