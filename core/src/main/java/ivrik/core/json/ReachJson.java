package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.Reach;
import ivrik.core.motion.Value;

/** Which part of the picture a look touches. */
final class ReachJson {
    private ReachJson() {}

    static ObjectNode write(Reach reach) {
        ObjectNode node = Json.MAPPER.createObjectNode();
        ObjectNode tones = node.putObject("tones").put("on", reach.tones().on());
        tones.set("low", ValueJson.write(reach.tones().low()));
        tones.set("high", ValueJson.write(reach.tones().high()));
        tones.set("soft", ValueJson.write(reach.tones().soft()));
        tones.put("linear", reach.tones().linear());
        ObjectNode colour = node.putObject("colour").put("on", reach.colour().on());
        colour.set("hueDegrees", ValueJson.write(reach.colour().hueDegrees()));
        colour.set("widthDegrees", ValueJson.write(reach.colour().widthDegrees()));
        colour.set("softDegrees", ValueJson.write(reach.colour().softDegrees()));
        node.putObject("matte")
                .put("layer", reach.matte().layer())
                .put("channel", Words.of(reach.matte().channel()));
        return node.put("inverted", reach.inverted()).put("spreads", reach.spreads());
    }

    static Reach read(Fields fields) {
        return new Reach(
                fields.read("tones", Reach.Tones.OFF, ReachJson::tones),
                fields.read("colour", Reach.Colour.OFF, ReachJson::colour),
                fields.read("matte", Reach.Matte.OFF, ReachJson::matte),
                fields.flag("inverted", false),
                fields.flag("spreads", false));
    }

    private static Reach.Tones tones(Fields fields) {
        return new Reach.Tones(
                fields.flag("on", false),
                number(fields, "low", "low"),
                number(fields, "high", "high"),
                number(fields, "soft", "soft"),
                fields.flag("linear", false));
    }

    private static Reach.Colour colour(Fields fields) {
        return new Reach.Colour(
                fields.flag("on", false),
                number(fields, "hueDegrees", "hue"),
                number(fields, "widthDegrees", "width"),
                number(fields, "softDegrees", "falloff"));
    }

    private static Reach.Matte matte(Fields fields) {
        return new Reach.Matte(
                fields.text("layer", ""), fields.word("channel", Reach.Matte.OFF.channel()));
    }

    private static Value number(Fields fields, String name, String part) {
        Reach.Part found =
                Reach.PARTS.stream().filter(p -> p.name().equals(part)).findFirst().orElseThrow();
        return ValueJson.read(fields, name, found.value().apply(Reach.ALL), found.range());
    }
}
