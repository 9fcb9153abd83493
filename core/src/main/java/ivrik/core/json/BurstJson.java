package ivrik.core.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.Burst;
import ivrik.core.look.Burst.Direction;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.BurstParameters;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.look.Targets;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Envelope;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Phase;
import ivrik.core.motion.Repeat;
import ivrik.core.motion.TransitionEnvelope;
import ivrik.core.motion.Value;
import ivrik.core.separation.Separation;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Reads and writes a burst: its anchor, its envelope and the values it drives. */
final class BurstJson {
    private static final double MAX_FACTOR = 1e9;

    /** Strengths of the channels that differ from the strength of a phase, by channel id. */
    private static final String CHANNELS = "channels";

    private BurstJson() {}

    static ObjectNode write(Burst burst, Separation model) {
        ObjectNode node =
                Json.MAPPER
                        .createObjectNode()
                        .put("id", burst.id())
                        .put("name", burst.name())
                        .put("on", burst.on());
        node.set("anchor", write(burst.anchor()));
        node.set(
                burst.envelope() instanceof PeakEnvelope ? "peakEnvelope" : "transition",
                write(burst.envelope(), model));
        node.putObject("repeat")
                .put("every", burst.repeat().every())
                .put("bpm", burst.repeat().beats())
                .put("offset", burst.repeat().offsetFrames());
        node.set("strength", ValueJson.write(burst.strength()));
        node.set("angle", ValueJson.write(burst.angleDegrees()));
        ArrayNode directions = node.putArray("directions");
        burst.directions().forEach(direction -> directions.add(EnumNames.of(direction)));
        node.put("seed", burst.seed());
        ArrayNode drives = node.putArray("drives");
        for (Drive drive : burst.drives()) {
            drives.addObject()
                    .put("target", drive.target().address(model))
                    .put("factor", drive.factor());
        }
        return node.put("tied", burst.tied());
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

    private static JsonNode write(Envelope envelope, Separation model) {
        ObjectNode node = Json.MAPPER.createObjectNode();
        switch (envelope) {
            case PeakEnvelope peakEnvelope -> {
                node.set("in", write(peakEnvelope.in(), model));
                node.put("peak", peakEnvelope.peak());
                peakEnvelope.out().ifPresent(out -> node.set("out", write(out, model)));
                node.put("ramps", peakEnvelope.ramps());
            }
            case TransitionEnvelope swipe -> {
                node.put("before", swipe.before()).put("after", swipe.after());
                node.set("ease", ValueJson.write(swipe.ease()));
                node.put("speed", swipe.speed());
            }
        }
        return node;
    }

    private static JsonNode write(List<Phase> phases, Separation model) {
        ArrayNode node = Json.MAPPER.createArrayNode();
        for (Phase phase : phases) {
            ObjectNode one =
                    node.addObject()
                            .put("frames", phase.frames())
                            .put("strength", phase.strength());
            if (!phase.ofChannels().isEmpty()) {
                ObjectNode own = one.putObject(CHANNELS);
                new TreeMap<>(phase.ofChannels())
                        .forEach((c, share) -> own.put(model.channels().get(c).id(), share));
            }
        }
        return node;
    }

    /**
     * @param look the look that holds the burst, with its steps
     */
    static Burst read(Fields fields, Look look) {
        int channels = look.channels().size();
        String id = fields.text("id");
        if (id.isEmpty() || id.contains(".")) {
            throw new IllegalArgumentException(
                    "'" + id + "' cannot be an id: it is reserved or contains a dot");
        }
        Burst rest = Burst.of(id, new Anchor.AtFrame(0), channels);
        return new Burst(
                id,
                fields.text("name", ""),
                fields.flag("on", true),
                fields.read("anchor", rest.anchor(), BurstJson::anchor),
                envelope(fields, rest.envelope(), look.model()),
                fields.read("repeat", Repeat.ONCE, BurstJson::repeat),
                part(fields, BurstParameters.STRENGTH, Value.of(1)),
                part(fields, BurstParameters.ANGLE, Value.ZERO),
                directions(fields, channels),
                fields.whole("seed", rest.seed(), Long.MIN_VALUE, Long.MAX_VALUE),
                fields.each("drives", "drive", f -> drive(f, look)),
                fields.flag("tied", false));
    }

    private static Value part(Fields fields, String name, Value otherwise) {
        return ValueJson.read(
                fields, name, otherwise, BurstParameters.named(name).orElseThrow().range());
    }

    private static Anchor anchor(Fields fields) {
        if (fields.has("cutInto")) {
            return new Anchor.AtCut(fields.text("cutInto"));
        }
        if (fields.has("markers")) {
            return new Anchor.AtMarkers(fields.texts("markers"));
        }
        return new Anchor.AtFrame(
                fields.whole("frame", 0, -ValueJson.MAX_FRAMES, ValueJson.MAX_FRAMES));
    }

    private static Envelope envelope(Fields fields, Envelope rest, Separation model) {
        return fields.has("transition")
                ? fields.read("transition", rest, BurstJson::swipe)
                : fields.read("peakEnvelope", rest, f -> peakEnvelope(f, model));
    }

    private static PeakEnvelope peakEnvelope(Fields fields, Separation model) {
        return new PeakEnvelope(
                phases(fields, "in", model),
                (int) fields.whole("peak", 1, 1, Phase.MAX_FRAMES),
                fields.has("out") ? Optional.of(phases(fields, "out", model)) : Optional.empty(),
                fields.flag("ramps", false));
    }

    private static List<Phase> phases(Fields fields, String name, Separation model) {
        List<Phase> phases = fields.each(name, "phase", f -> phase(f, model));
        if (phases.size() > PeakEnvelope.MAX_PHASES) {
            fields.report(
                    phases.size()
                            + " phases; only the first "
                            + PeakEnvelope.MAX_PHASES
                            + " were read");
            return phases.subList(0, PeakEnvelope.MAX_PHASES);
        }
        return phases;
    }

    private static Phase phase(Fields fields, Separation model) {
        return new Phase(
                (int) fields.whole("frames", 0, Phase.MAX_FRAMES),
                fields.number("strength", -Phase.MAX_STRENGTH, Phase.MAX_STRENGTH),
                fields.read(CHANNELS, Map.of(), f -> ofChannels(f, model)));
    }

    private static Map<Integer, Double> ofChannels(Fields fields, Separation model) {
        Map<Integer, Double> shares = new TreeMap<>();
        for (int i = 0; i < model.channels().size(); i++) {
            String id = model.channels().get(i).id();
            if (fields.has(id)) {
                shares.put(i, fields.number(id, 0, -Phase.MAX_STRENGTH, Phase.MAX_STRENGTH));
            }
        }
        return shares;
    }

    private static TransitionEnvelope swipe(Fields fields) {
        return new TransitionEnvelope(
                fields.number("before", 0, 0, Phase.MAX_FRAMES),
                fields.number("after", 0, 0, Phase.MAX_FRAMES),
                ValueJson.ease(fields, Ease.SMOOTH),
                fields.flag("speed", false));
    }

    private static Repeat repeat(Fields fields) {
        return new Repeat(
                fields.number("every", 0, 0, Repeat.MAX),
                fields.flag("bpm", false),
                (int) fields.whole("offset", 0, -Phase.MAX_FRAMES, Phase.MAX_FRAMES));
    }

    /** One direction per channel; a missing one is {@link Direction#AS_SET}. */
    private static List<Direction> directions(Fields fields, int channels) {
        List<Direction> directions =
                new ArrayList<>(Collections.nCopies(channels, Direction.AS_SET));
        List<Direction> read = fields.choices("directions", Direction.AS_SET);
        if (read.size() > channels) {
            fields.report(read.size() + " directions for " + channels + " channels");
        }
        for (int i = 0; i < Math.min(channels, read.size()); i++) {
            directions.set(i, read.get(i));
        }
        return directions;
    }

    private static Drive drive(Fields fields, Look look) {
        Target target = Target.parse(fields.text("target"), look.model());
        if (target instanceof Target.OfBurst || !Targets.exists(look, target)) {
            throw new IllegalArgumentException(
                    "no value at " + target.address(look.model()) + " to drive");
        }
        return new Drive(target, fields.number("factor", 1, -MAX_FACTOR, MAX_FACTOR));
    }
}
