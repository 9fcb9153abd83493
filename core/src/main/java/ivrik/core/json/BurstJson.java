package ivrik.core.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.Burst;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.Burst.Way;
import ivrik.core.look.BurstParts;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.look.Targets;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Course;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Hill;
import ivrik.core.motion.Phase;
import ivrik.core.motion.Repeat;
import ivrik.core.motion.Swipe;
import ivrik.core.motion.Value;
import ivrik.core.separation.Separation;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/** A burst of a look: what it stands on, how it grows and passes, and what it drives. */
final class BurstJson {
    private static final double MOST_PHASE = 1000;
    private static final double MOST_FACTOR = 1e9;

    private BurstJson() {}

    static ObjectNode write(Burst burst, Separation model) {
        ObjectNode node =
                Json.MAPPER
                        .createObjectNode()
                        .put("id", burst.id())
                        .put("name", burst.name())
                        .put("on", burst.on());
        node.set("anchor", write(burst.anchor()));
        node.set(burst.course() instanceof Hill ? "hill" : "swipe", write(burst.course()));
        node.putObject("repeat")
                .put("every", burst.repeat().every())
                .put("beats", burst.repeat().beats())
                .put("offset", burst.repeat().offsetFrames());
        node.set("strength", ValueJson.write(burst.strength()));
        node.set("angle", ValueJson.write(burst.angleDegrees()));
        ArrayNode ways = node.putArray("ways");
        burst.ways().forEach(way -> ways.add(Words.of(way)));
        node.put("seed", burst.seed());
        ArrayNode drives = node.putArray("drives");
        for (Drive drive : burst.drives()) {
            drives.addObject()
                    .put("target", drive.target().address(model))
                    .put("factor", drive.factor());
        }
        return node;
    }

    private static JsonNode write(Anchor anchor) {
        ObjectNode node = Json.MAPPER.createObjectNode();
        switch (anchor) {
            case Anchor.AtFrame at -> node.put("frame", at.frame());
            case Anchor.AtCut at -> node.put("cutInto", at.clip());
            case Anchor.AtMarkers at -> at.markers().forEach(node.putArray("markers")::add);
        }
        return node;
    }

    private static JsonNode write(Course course) {
        ObjectNode node = Json.MAPPER.createObjectNode();
        switch (course) {
            case Hill hill -> {
                node.set("in", write(hill.in()));
                node.put("peak", hill.peak());
                hill.out().ifPresent(out -> node.set("out", write(out)));
                node.put("ramps", hill.ramps());
            }
            case Swipe swipe -> {
                node.put("before", swipe.before()).put("after", swipe.after());
                node.set("ease", ValueJson.write(swipe.ease()));
                node.put("speed", swipe.speed());
            }
        }
        return node;
    }

    private static JsonNode write(List<Phase> phases) {
        ArrayNode node = Json.MAPPER.createArrayNode();
        phases.forEach(
                p -> node.addObject().put("frames", p.frames()).put("strength", p.strength()));
        return node;
    }

    /**
     * @param look that it is in, with its steps
     */
    static Burst read(Fields fields, Look look) {
        int lanes = look.lanes().size();
        String id = fields.text("id");
        if (id.isEmpty() || id.contains(".")) {
            throw new IllegalArgumentException(
                    "'" + id + "' cannot be an id: dials could not tell it from other words");
        }
        Burst rest = Burst.of(id, new Anchor.AtFrame(0), lanes);
        return new Burst(
                id,
                fields.text("name", id),
                fields.flag("on", true),
                fields.read("anchor", rest.anchor(), BurstJson::anchor),
                course(fields, rest.course()),
                fields.read("repeat", Repeat.ONCE, BurstJson::repeat),
                part(fields, BurstParts.STRENGTH, Value.of(1)),
                part(fields, BurstParts.ANGLE, Value.ZERO),
                ways(fields, lanes),
                fields.whole("seed", rest.seed(), Long.MIN_VALUE, Long.MAX_VALUE),
                fields.each("drives", "drive", f -> drive(f, look)));
    }

    private static Value part(Fields fields, String name, Value otherwise) {
        return ValueJson.read(
                fields, name, otherwise, BurstParts.named(name).orElseThrow().range());
    }

    private static Anchor anchor(Fields fields) {
        if (fields.has("cutInto")) {
            return new Anchor.AtCut(fields.text("cutInto"));
        }
        if (fields.has("markers")) {
            return new Anchor.AtMarkers(fields.texts("markers"));
        }
        return new Anchor.AtFrame(
                fields.whole("frame", 0, -ValueJson.MOST_FRAMES, ValueJson.MOST_FRAMES));
    }

    private static Course course(Fields fields, Course rest) {
        return fields.has("swipe")
                ? fields.read("swipe", rest, BurstJson::swipe)
                : fields.read("hill", rest, BurstJson::hill);
    }

    private static Hill hill(Fields fields) {
        return new Hill(
                phases(fields, "in"),
                (int) fields.whole("peak", 1, 1, Phase.MOST_FRAMES),
                fields.has("out") ? Optional.of(phases(fields, "out")) : Optional.empty(),
                fields.flag("ramps", false));
    }

    private static List<Phase> phases(Fields fields, String name) {
        List<Phase> phases = fields.each(name, "phase", BurstJson::phase);
        if (phases.size() > Hill.MOST_PHASES) {
            fields.tell("the first " + Hill.MOST_PHASES + " phases are taken of " + phases.size());
            return phases.subList(0, Hill.MOST_PHASES);
        }
        return phases;
    }

    private static Phase phase(Fields fields) {
        return new Phase(
                (int) fields.whole("frames", 0, Phase.MOST_FRAMES),
                fields.number("strength", -MOST_PHASE, MOST_PHASE));
    }

    private static Swipe swipe(Fields fields) {
        return new Swipe(
                fields.number("before", 0, 0, Phase.MOST_FRAMES),
                fields.number("after", 0, 0, Phase.MOST_FRAMES),
                ValueJson.ease(fields, Ease.SMOOTH),
                fields.flag("speed", false));
    }

    private static Repeat repeat(Fields fields) {
        return new Repeat(
                fields.number("every", 0, 0, Repeat.MOST),
                fields.flag("beats", false),
                (int) fields.whole("offset", 0, -Phase.MOST_FRAMES, Phase.MOST_FRAMES));
    }

    /** One for each lane; what is left out goes ahead. */
    private static List<Way> ways(Fields fields, int lanes) {
        List<Way> ways = new ArrayList<>(Collections.nCopies(lanes, Way.AHEAD));
        List<Way> read = fields.words("ways", Way.AHEAD);
        if (read.size() > lanes) {
            fields.tell(read.size() + " ways are read for " + lanes + " lanes");
        }
        for (int i = 0; i < Math.min(lanes, read.size()); i++) {
            ways.set(i, read.get(i));
        }
        return ways;
    }

    private static Drive drive(Fields fields, Look look) {
        Target target = Target.parse(fields.text("target"), look.model());
        if (target instanceof Target.OfBurst || !Targets.exists(look, target)) {
            throw new IllegalArgumentException(
                    "there is nothing at " + target.address(look.model()) + " to be driven");
        }
        return new Drive(target, fields.number("factor", 1, -MOST_FACTOR, MOST_FACTOR));
    }
}
