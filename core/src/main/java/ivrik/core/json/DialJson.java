package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.look.Targets;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Value;
import ivrik.core.separation.Separation;

/** Reads and writes a dial of a look and its links. */
final class DialJson {
    /** Largest absolute value of a dial's numbers. */
    private static final double FAR = 1e9;

    private DialJson() {}

    static ObjectNode write(Dial dial, Separation model) {
        ObjectNode node =
                Json.MAPPER
                        .createObjectNode()
                        .put("name", dial.name())
                        .put("title", dial.title())
                        .put("unit", dial.unit())
                        .put("min", dial.min())
                        .put("max", dial.max())
                        .put("rest", dial.rest());
        node.set("value", ValueJson.write(dial.value()));
        if (!dial.choices().isEmpty()) {
            dial.choices().forEach(node.putArray("choices")::add);
        }
        ArrayNode links = node.putArray("links");
        dial.links().forEach(link -> links.add(write(link, model)));
        return node;
    }

    private static ObjectNode write(Dial.Link link, Separation model) {
        ObjectNode node =
                Json.MAPPER
                        .createObjectNode()
                        .put("target", link.target().address(model))
                        .put("perUnit", link.perUnit());
        if (link.condition() != null) {
            node.putObject("condition")
                    .put("dial", link.condition().dial())
                    .put("value", link.condition().value());
        }
        if (link.response() != null) {
            node.putObject("response")
                    .put("from", link.response().from())
                    .put("to", link.response().to())
                    .set("ease", ValueJson.write(link.response().ease()));
        }
        return node;
    }

    static Dial read(Fields fields, Look look) {
        double min = fields.number("min", 0, -FAR, FAR);
        double max = fields.number("max", min, min, FAR);
        double rest = fields.number("rest", min, min, max);
        String name = fields.text("name");
        return new Dial(
                name,
                fields.text("title", name),
                fields.text("unit", ""),
                min,
                max,
                rest,
                ValueJson.read(fields, "value", Value.of(rest), min, max),
                fields.each("links", "link", f -> link(f, look)),
                fields.texts("choices"));
    }

    private static Dial.Link link(Fields fields, Look look) {
        Target target = Target.parse(fields.text("target"), look.model());
        if (target instanceof Target.OfDial || !Targets.exists(look, target)) {
            throw new IllegalArgumentException(
                    "no value at " + target.address(look.model()) + " to drive");
        }
        return new Dial.Link(
                target,
                fields.number("perUnit", 1, -FAR, FAR),
                fields.optional("condition", DialJson::only).orElse(null),
                fields.optional("response", DialJson::response).orElse(null));
    }

    private static Dial.Condition only(Fields fields) {
        return new Dial.Condition(
                fields.text("dial"),
                (int) fields.whole("value", Integer.MIN_VALUE, Integer.MAX_VALUE));
    }

    private static Dial.Response response(Fields fields) {
        double from = fields.number("from", 0, -FAR, FAR);
        return new Dial.Response(
                from, fields.number("to", from, FAR), ValueJson.ease(fields, Ease.LINEAR));
    }
}
