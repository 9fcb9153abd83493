package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.ChannelSource;
import ivrik.core.look.ChannelSourceParameters;
import ivrik.core.look.ChannelState;
import ivrik.core.look.Placement;
import ivrik.core.look.SlitScan;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.Ink;

import java.util.Optional;
import java.util.function.Function;

/** Reads and writes the settings of a channel as a whole. */
final class ChannelJson {
    private ChannelJson() {}

    static ObjectNode write(ChannelState channel) {
        ObjectNode node =
                Json.MAPPER
                        .createObjectNode()
                        .put("solo", channel.solo())
                        .put("mute", channel.mute())
                        .put("fixed", channel.fixed());
        channel.ink().ifPresent(ink -> node.put("ink", ink.hex()));
        channel.blend().ifPresent(blend -> node.put("blend", blend.id()));
        node.set("strength", ValueJson.write(channel.strength()));
        if (!channel.channelSource().isLayerPicture()) {
            node.set("channelSource", channelSource(channel.channelSource()));
        }
        return node;
    }

    static ChannelState read(Fields fields) {
        return new ChannelState(
                fields.flag("solo", false),
                fields.flag("mute", false),
                fields.flag("fixed", false),
                named(fields, "ink", Ink::parse),
                named(fields, "blend", Blend::named),
                ValueJson.read(fields, "strength", Value.of(1), 0, 1),
                fields.read(
                        "channelSource", ChannelSource.LAYER_PICTURE, ChannelJson::channelSource));
    }

    private static <T> Optional<T> named(Fields fields, String name, Function<String, T> find) {
        return fields.named(name, Optional.empty(), text -> Optional.of(find.apply(text)));
    }

    private static ObjectNode channelSource(ChannelSource channelSource) {
        ObjectNode node = Json.MAPPER.createObjectNode().put("source", channelSource.source());
        node.set("delayFrames", ValueJson.write(channelSource.delayFrames()));
        node.put("outside", EnumNames.of(channelSource.outside()));
        node.set("cutOffsetFrames", ValueJson.write(channelSource.cutFrames()));
        if (!channelSource.slitScan().equals(SlitScan.NONE)) {
            node.set("slitScan", slitScan(channelSource.slitScan()));
        }
        node.set("trailPercent", ValueJson.write(channelSource.trailPercent()));
        return node.set("placement", PlacementJson.write(channelSource.placement()));
    }

    private static ObjectNode slitScan(SlitScan slit) {
        ObjectNode node = Json.MAPPER.createObjectNode().put("by", EnumNames.of(slit.by()));
        node.set("angleDegrees", ValueJson.write(slit.angleDegrees()));
        node.put("picture", slit.picture());
        node.set("delayFrames", ValueJson.write(slit.delayFrames()));
        return node.set("wipeFrames", ValueJson.write(slit.wipeFrames()));
    }

    private static ChannelSource channelSource(Fields fields) {
        return new ChannelSource(
                fields.text("source", ""),
                number(fields, "delayFrames", ChannelSourceParameters.DELAY),
                fields.choice("outside", EdgeFill.REPEAT),
                number(fields, "cutOffsetFrames", ChannelSourceParameters.CUT),
                fields.read("slitScan", SlitScan.NONE, ChannelJson::slitScan),
                number(fields, "trailPercent", ChannelSourceParameters.TRAIL),
                fields.read("placement", Placement.FITTED, PlacementJson::read));
    }

    private static SlitScan slitScan(Fields fields) {
        return new SlitScan(
                fields.choice("by", SlitScan.By.DIRECTION),
                number(fields, "angleDegrees", ChannelSourceParameters.ANGLE),
                fields.text("picture", ""),
                number(fields, "delayFrames", ChannelSourceParameters.SLIT),
                number(fields, "wipeFrames", ChannelSourceParameters.WIPE));
    }

    private static Value number(Fields fields, String name, String part) {
        return ValueJson.read(
                fields,
                name,
                Value.ZERO,
                ChannelSourceParameters.named(part).orElseThrow().range());
    }
}
