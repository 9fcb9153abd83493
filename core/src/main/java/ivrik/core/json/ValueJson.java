package ivrik.core.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;

import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Parameter;

/** Reads and writes a value over time: {@code 4.5}, or its rest and keyframes. */
final class ValueJson {
    /** Largest absolute frame number. */
    static final long MAX_FRAMES = 100_000_000;

    private ValueJson() {}

    static JsonNode write(Value value) {
        if (!value.isMoving()) {
            return DoubleNode.valueOf(value.rest());
        }
        ObjectNode node = Json.MAPPER.createObjectNode().put("rest", value.rest());
        ArrayNode keyframes = node.putArray("keyframes");
        for (Keyframe keyframe : value.keyframes()) {
            keyframes
                    .addObject()
                    .put("frame", keyframe.frame())
                    .put("value", keyframe.value())
                    .set("ease", write(keyframe.ease()));
        }
        return node;
    }

    static JsonNode write(Ease ease) {
        return switch (ease) {
            case Ease.Hold h -> TextNode.valueOf("hold");
            case Ease.Linear l -> TextNode.valueOf("linear");
            case Ease.Eased e ->
                    Json.MAPPER.createArrayNode().add(e.x1()).add(e.y1()).add(e.x2()).add(e.y2());
        };
    }

    /** A value within the range of a parameter; the parameter's default if it is missing. */
    static Value read(Fields fields, Parameter range) {
        return read(fields, range.name(), Value.of(range.rest()), range);
    }

    static Value read(Fields fields, String name, Value otherwise, Parameter range) {
        return read(fields, name, otherwise, range.min(), range.max());
    }

    static Value read(Fields fields, String name, Value otherwise, double min, double max) {
        if (!fields.has(name)) {
            return otherwise;
        }
        if (!fields.any(name).isObject()) {
            return Value.of(fields.number(name, otherwise.rest(), min, max));
        }
        return fields.read(
                name,
                otherwise,
                f ->
                        new Value(
                                f.number("rest", otherwise.rest(), min, max),
                                f.each("keyframes", "keyframe", p -> keyframe(p, min, max))));
    }

    private static Keyframe keyframe(Fields fields, double min, double max) {
        return new Keyframe(
                fields.whole("frame", -MAX_FRAMES, MAX_FRAMES),
                fields.number("value", min, max),
                ease(fields, Ease.LINEAR));
    }

    static Ease ease(Fields fields, Ease otherwise) {
        if (!fields.has("ease")) {
            return otherwise;
        }
        JsonNode ease = fields.any("ease");
        if (ease.isArray() && ease.size() == 4) {
            double[] handles = new double[4];
            for (int i = 0; i < 4; i++) {
                boolean time = i % 2 == 0;
                handles[i] =
                        fields.number(ease.get(i), "ease", 0, time ? 0 : -1000, time ? 1 : 1000);
            }
            return new Ease.Eased(handles[0], handles[1], handles[2], handles[3]);
        }
        return switch (ease.asText()) {
            case "hold" -> Ease.HOLD;
            case "linear" -> Ease.LINEAR;
            default -> {
                fields.report(
                        EnumNames.quoted(ease)
                                + " is not an ease (hold, linear or four handles); linear used");
                yield Ease.LINEAR;
            }
        };
    }
}
