package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.Placement;
import ivrik.core.motion.Value;

/** Reads and writes a placement. */
final class PlacementJson {
    private PlacementJson() {}

    static ObjectNode write(Placement place) {
        ObjectNode node = Json.MAPPER.createObjectNode().put("fit", EnumNames.of(place.fit()));
        for (Placement.Part part : Placement.PARTS) {
            node.set(name(part), ValueJson.write(part.value().apply(place)));
        }
        return node.put("flipX", place.flipX()).put("flipY", place.flipY());
    }

    static Placement read(Fields fields) {
        Placement place = Placement.FITTED.withFit(fields.choice("fit", Placement.FITTED.fit()));
        for (Placement.Part part : Placement.PARTS) {
            Value rest = part.value().apply(Placement.FITTED);
            place =
                    part.with()
                            .apply(place, ValueJson.read(fields, name(part), rest, part.range()));
        }
        return place.withFlips(fields.flag("flipX", false), fields.flag("flipY", false));
    }

    /** Field name of a part. */
    private static String name(Placement.Part part) {
        return switch (part.name()) {
            case "angle" -> "angleDegrees";
            case "pivot-x" -> "pivotX";
            case "pivot-y" -> "pivotY";
            default -> part.name();
        };
    }
}
