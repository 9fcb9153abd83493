package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.Feed;
import ivrik.core.look.LaneState;
import ivrik.core.look.Place;
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
            Feed feed = lane.feed();
            node.putObject("feed")
                    .put("source", feed.source())
                    .put("delayFrames", feed.delayFrames())
                    .put("beyond", Fields.word(feed.beyond()))
                    .set("place", PlaceJson.write(feed.place()));
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

    private static Feed feed(Fields fields) {
        return new Feed(
                fields.text("source", ""),
                (int)
                        fields.whole(
                                "delayFrames", 0, -Feed.MOST_DELAY_FRAMES, Feed.MOST_DELAY_FRAMES),
                fields.word("beyond", EdgeFill.REPEAT),
                fields.read("place", Place.FITTED, PlaceJson::read));
    }
}
