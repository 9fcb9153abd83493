package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.Feed;
import ivrik.core.look.FeedParts;
import ivrik.core.look.LaneState;
import ivrik.core.look.Place;
import ivrik.core.look.Slit;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.Ink;

import java.util.Optional;
import java.util.function.Function;

/** What is said of a lane as a whole. */
final class LaneJson {
    private LaneJson() {}

    static ObjectNode write(LaneState lane) {
        ObjectNode node =
                Json.MAPPER
                        .createObjectNode()
                        .put("solo", lane.solo())
                        .put("mute", lane.mute())
                        .put("hold", lane.hold());
        lane.ink().ifPresent(ink -> node.put("ink", ink.hex()));
        lane.blend().ifPresent(blend -> node.put("blend", blend.id()));
        node.set("strength", ValueJson.write(lane.strength()));
        if (!lane.feed().isOwn()) {
            node.set("feed", feed(lane.feed()));
        }
        return node;
    }

    static LaneState read(Fields fields) {
        return new LaneState(
                fields.flag("solo", false),
                fields.flag("mute", false),
                fields.flag("hold", false),
                named(fields, "ink", Ink::parse),
                named(fields, "blend", Blend::named),
                ValueJson.read(fields, "strength", Value.of(1), 0, 1),
                fields.read("feed", Feed.OWN, LaneJson::feed));
    }

    private static <T> Optional<T> named(Fields fields, String name, Function<String, T> find) {
        return fields.named(name, Optional.empty(), text -> Optional.of(find.apply(text)));
    }

    private static ObjectNode feed(Feed feed) {
        ObjectNode node = Json.MAPPER.createObjectNode().put("source", feed.source());
        node.set("delayFrames", ValueJson.write(feed.delayFrames()));
        node.put("beyond", Words.of(feed.beyond()));
        node.set("cutFrames", ValueJson.write(feed.cutFrames()));
        if (!feed.slit().equals(Slit.NONE)) {
            node.set("slit", slit(feed.slit()));
        }
        node.set("lingerPercent", ValueJson.write(feed.lingerPercent()));
        return node.set("place", PlaceJson.write(feed.place()));
    }

    private static ObjectNode slit(Slit slit) {
        ObjectNode node = Json.MAPPER.createObjectNode().put("by", Words.of(slit.by()));
        node.set("angleDegrees", ValueJson.write(slit.angleDegrees()));
        node.put("picture", slit.picture());
        node.set("delayFrames", ValueJson.write(slit.delayFrames()));
        return node.set("wipeFrames", ValueJson.write(slit.wipeFrames()));
    }

    private static Feed feed(Fields fields) {
        return new Feed(
                fields.text("source", ""),
                number(fields, "delayFrames", FeedParts.DELAY),
                fields.word("beyond", EdgeFill.REPEAT),
                number(fields, "cutFrames", FeedParts.CUT),
                fields.read("slit", Slit.NONE, LaneJson::slit),
                number(fields, "lingerPercent", FeedParts.LINGER),
                fields.read("place", Place.FITTED, PlaceJson::read));
    }

    private static Slit slit(Fields fields) {
        return new Slit(
                fields.word("by", Slit.By.DIRECTION),
                number(fields, "angleDegrees", FeedParts.ANGLE),
                fields.text("picture", ""),
                number(fields, "delayFrames", FeedParts.SLIT),
                number(fields, "wipeFrames", FeedParts.WIPE));
    }

    private static Value number(Fields fields, String name, String part) {
        return ValueJson.read(
                fields, name, Value.ZERO, FeedParts.named(part).orElseThrow().range());
    }
}
