package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.Place;
import ivrik.core.motion.Value;

/** Where a picture lies. */
final class PlaceJson {
    private PlaceJson() {}

    static ObjectNode write(Place place) {
        ObjectNode node = Json.MAPPER.createObjectNode().put("fit", Fields.word(place.fit()));
        node.set("x", ValueJson.write(place.x()));
        node.set("y", ValueJson.write(place.y()));
        node.set("scale", ValueJson.write(place.scale()));
        node.set("angleDegrees", ValueJson.write(place.angleDegrees()));
        return node.put("flipX", place.flipX()).put("flipY", place.flipY());
    }

    static Place read(Fields fields) {
        return new Place(
                fields.word("fit", Place.FITTED.fit()),
                number(fields, "x", "x", Place.FITTED.x()),
                number(fields, "y", "y", Place.FITTED.y()),
                number(fields, "scale", "scale", Place.FITTED.scale()),
                number(fields, "angleDegrees", "angle", Place.FITTED.angleDegrees()),
                fields.flag("flipX", false),
                fields.flag("flipY", false));
    }

    private static Value number(Fields fields, String name, String range, Value otherwise) {
        return ValueJson.read(fields, name, otherwise, Place.RANGES.get(range));
    }
}
