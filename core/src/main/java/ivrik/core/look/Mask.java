package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Value;
import ivrik.core.treatment.Parameter;

import java.util.List;
import java.util.function.Function;

/**
 * The part of the picture that a look changes: the product of a tone range, a colour range and a matte, each
 * optional, or the inverse of the product.
 *
 * @param spreads whether the masked part is treated alone and may spread over its border; otherwise the whole
 *     picture is treated and the result is shown within the mask
 */
@RecordBuilder
public record Mask(Tones tones, Colour colour, Matte matte, boolean inverted, boolean spreads)
        implements MaskBuilder.With {
    /** The whole picture. */
    public static final Mask NONE = new Mask(Tones.OFF, Colour.OFF, Matte.OFF, false, false);

    /**
     * A tone range in per cent of luma, or of the luminance of linear light.
     *
     * @param soft width of the slopes at both ends; a limit of 0 % or 100 % has no slope
     */
    @RecordBuilder
    public record Tones(boolean on, Value low, Value high, Value soft, boolean linear)
            implements MaskTonesBuilder.With {
        public static final Tones OFF =
                new Tones(false, Value.of(60), Value.of(100), Value.of(20), false);
    }

    /**
     * A colour range. Neutral greys are outside any range.
     *
     * @param hueDegrees red 0, green 120, blue 240
     * @param widthDegrees width of the fully included hues
     * @param softDegrees width of the slope on either side
     */
    @RecordBuilder
    public record Colour(boolean on, Value hueDegrees, Value widthDegrees, Value softDegrees)
            implements MaskColourBuilder.With {
        public static final Colour OFF = new Colour(false, Value.of(0), Value.of(60), Value.of(20));
    }

    /**
     * A matte from another layer.
     *
     * @param layer id of the layer; empty for none
     */
    public record Matte(String layer, Channel channel) {
        public static final Matte OFF = new Matte("", Channel.ALPHA);

        /** Channel of the layer that is the matte. */
        public enum Channel {
            ALPHA,
            LUMA
        }

        public boolean isOn() {
            return !layer.isEmpty();
        }
    }

    public boolean isNone() {
        return !tones.on && !colour.on && !matte.isOn() && !inverted;
    }

    /** One number of the mask, for dials, graphs and controls. */
    public record Part(Parameter range, Function<Mask, Value> value) {
        private Part(
                String name,
                String title,
                String unit,
                double min,
                double max,
                double rest,
                Function<Mask, Value> value) {
            this(Parameter.of(name, title, unit, min, max, rest, 1), value);
        }

        public String name() {
            return range.name();
        }
    }

    /** All numbers of the mask. */
    public static final List<Part> PARTS =
            List.of(
                    new Part("low", "low", "%", 0, 100, 60, r -> r.tones.low),
                    new Part("high", "to", "%", 0, 100, 100, r -> r.tones.high),
                    new Part("soft", "softness", "%", 0, 100, 20, r -> r.tones.soft),
                    new Part("hue", "hue", "deg", -360, 720, 0, r -> r.colour.hueDegrees),
                    new Part("width", "width", "deg", 0, 360, 60, r -> r.colour.widthDegrees),
                    new Part("falloff", "softness", "deg", 0, 180, 20, r -> r.colour.softDegrees));

    /** The mask by tone or by colour turned on, whichever a number belongs to. */
    public Mask turnedOn(String part) {
        return switch (part) {
            case "low", "high", "soft" -> withTones(tones.withOn(true));
            default -> withColour(colour.withOn(true));
        };
    }

    public Mask with(String part, Value v) {
        Tones t = tones;
        Colour c = colour;
        return switch (part) {
            case "low" -> withTones(new Tones(t.on, v, t.high, t.soft, t.linear));
            case "high" -> withTones(new Tones(t.on, t.low, v, t.soft, t.linear));
            case "soft" -> withTones(new Tones(t.on, t.low, t.high, v, t.linear));
            case "hue" -> withColour(new Colour(c.on, v, c.widthDegrees, c.softDegrees));
            case "width" -> withColour(new Colour(c.on, c.hueDegrees, v, c.softDegrees));
            case "falloff" -> withColour(new Colour(c.on, c.hueDegrees, c.widthDegrees, v));
            default -> throw new IllegalArgumentException("a mask has no " + part);
        };
    }
}
