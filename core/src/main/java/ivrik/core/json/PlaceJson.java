package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.Place;
import ivrik.core.motion.Value;

/** Where a picture lies. */
final class PlaceJson {
    private PlaceJson() {}

    static ObjectNode write(Place place) {
        ObjectNode node = Json.MAPPER.createObjectNode().put("fit", Words.of(place.fit()));
        for (Place.Part part : Place.PARTS) {
            node.set(name(part), ValueJson.write(part.value().apply(place)));
        }
        return node.put("flipX", place.flipX()).put("flipY", place.flipY());
    }

    static Place read(Fields fields) {
        Place place = Place.FITTED.withFit(fields.word("fit", Place.FITTED.fit()));
        for (Place.Part part : Place.PARTS) {
            Value rest = part.value().apply(Place.FITTED);
            place =
                    part.with()
                            .apply(place, ValueJson.read(fields, name(part), rest, part.range()));
        }
        return place.withFlips(fields.flag("flipX", false), fields.flag("flipY", false));
    }

    /** Its name in files. */
    private static String name(Place.Part part) {
        return switch (part.name()) {
            case "angle" -> "angleDegrees";
            case "pivot-x" -> "pivotX";
            case "pivot-y" -> "pivotY";
            default -> part.name();
        };
    }
}
