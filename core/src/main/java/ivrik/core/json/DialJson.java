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

/** A dial of a look, and what it drives. */
final class DialJson {
    /** Numbers of dials lie between minus this and this. */
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
        if (!dial.words().isEmpty()) {
            dial.words().forEach(node.putArray("words")::add);
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
        if (link.only() != null) {
            node.putObject("only")
                    .put("dial", link.only().dial())
                    .put("value", link.only().value());
        }
        if (link.bend() != null) {
            node.putObject("bend")
                    .put("from", link.bend().from())
                    .put("to", link.bend().to())
                    .set("ease", ValueJson.write(link.bend().ease()));
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
                fields.texts("words"));
    }

    private static Dial.Link link(Fields fields, Look look) {
        Target target = Target.parse(fields.text("target"), look.model());
        if (target instanceof Target.OfDial || !Targets.exists(look, target)) {
            throw new IllegalArgumentException(
                    "there is nothing at " + target.address(look.model()) + " to be driven");
        }
        return new Dial.Link(
                target,
                fields.number("perUnit", 1, -FAR, FAR),
                fields.optional("only", DialJson::only).orElse(null),
                fields.optional("bend", DialJson::bend).orElse(null));
    }

    private static Dial.Only only(Fields fields) {
        return new Dial.Only(
                fields.text("dial"),
                (int) fields.whole("value", Integer.MIN_VALUE, Integer.MAX_VALUE));
    }

    private static Dial.Bend bend(Fields fields) {
        double from = fields.number("from", 0, -FAR, FAR);
        return new Dial.Bend(
                from, fields.number("to", from, FAR), ValueJson.ease(fields, Ease.LINEAR));
    }
}
