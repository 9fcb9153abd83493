package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.Mask;
import ivrik.core.motion.Value;

/** Reads and writes the mask of a look. */
final class MaskJson {
    private MaskJson() {}

    static ObjectNode write(Mask mask) {
        ObjectNode node = Json.MAPPER.createObjectNode();
        ObjectNode tones = node.putObject("tones").put("on", mask.tones().on());
        tones.set("low", ValueJson.write(mask.tones().low()));
        tones.set("high", ValueJson.write(mask.tones().high()));
        tones.set("soft", ValueJson.write(mask.tones().soft()));
        tones.put("linear", mask.tones().linear());
        ObjectNode colour = node.putObject("colour").put("on", mask.colour().on());
        colour.set("hueDegrees", ValueJson.write(mask.colour().hueDegrees()));
        colour.set("widthDegrees", ValueJson.write(mask.colour().widthDegrees()));
        colour.set("softDegrees", ValueJson.write(mask.colour().softDegrees()));
        node.putObject("matte")
                .put("layer", mask.matte().layer())
                .put("channel", EnumNames.of(mask.matte().channel()));
        return node.put("inverted", mask.inverted()).put("spreads", mask.spreads());
    }

    static Mask read(Fields fields) {
        return new Mask(
                fields.read("tones", Mask.Tones.OFF, MaskJson::tones),
                fields.read("colour", Mask.Colour.OFF, MaskJson::colour),
                fields.read("matte", Mask.Matte.OFF, MaskJson::matte),
                fields.flag("inverted", false),
                fields.flag("spreads", false));
    }

    private static Mask.Tones tones(Fields fields) {
        return new Mask.Tones(
                fields.flag("on", false),
                number(fields, "low", "low"),
                number(fields, "high", "high"),
                number(fields, "soft", "soft"),
                fields.flag("linear", false));
    }

    private static Mask.Colour colour(Fields fields) {
        return new Mask.Colour(
                fields.flag("on", false),
                number(fields, "hueDegrees", "hue"),
                number(fields, "widthDegrees", "width"),
                number(fields, "softDegrees", "falloff"));
    }

    private static Mask.Matte matte(Fields fields) {
        return new Mask.Matte(
                fields.text("layer", ""), fields.choice("channel", Mask.Matte.OFF.channel()));
    }

    private static Value number(Fields fields, String name, String part) {
        Mask.Part found =
                Mask.PARTS.stream().filter(p -> p.name().equals(part)).findFirst().orElseThrow();
        return ValueJson.read(fields, name, found.value().apply(Mask.NONE), found.range());
    }
}
