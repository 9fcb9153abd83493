package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.Burst;
import ivrik.core.look.LaneState;
import ivrik.core.look.Look;
import ivrik.core.look.Onto;
import ivrik.core.look.Overscan;
import ivrik.core.look.Reach;
import ivrik.core.look.Shutter;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;

/** A look as JSON text; {@code docs/look.schema.json} describes it. */
public final class LookJson {
    static final String FORMAT = "ivrik-look";

    private static final double LARGEST_OVERSCAN = 10;
    private static final double FAR = 1e9;
    private static final int MARK_BYTES = 8;

    private LookJson() {}

    /**
     * What could be read of a look, and what could not.
     *
     * @param picture what it made of some frame, as the bytes of a small PNG; none where it is kept without
     */
    public record Reading(Look look, List<String> problems, byte[] picture) {}

    /** No picture. */
    public static final byte[] NO_PICTURE = {};

    /** Whether a text says that it is a look, readable or not. */
    public static boolean isLook(String text) {
        return Salvage.read(text, problem -> {}).path("format").asText().equals(FORMAT);
    }

    public static String write(Look look) {
        return write(look, NO_PICTURE);
    }

    /**
     * @param picture the bytes of a small PNG, or none
     */
    public static String write(Look look, byte[] picture) {
        ObjectNode root = FileHeader.write(FORMAT);
        root.setAll(tree(look));
        if (picture.length > 0) {
            root.put("picture", Base64.getEncoder().encodeToString(picture));
        }
        return Json.pretty(root);
    }

    /**
     * Reads a look as far as it can be.
     *
     * @throws ForeignFileException if the text is no look, or of a newer version
     */
    public static Reading read(String text) {
        List<String> problems = new ArrayList<>();
        Fields fields = FileHeader.read(text, FORMAT, problems::add);
        Look look = read(fields);
        byte[] picture = picture(fields);
        fields.finish();
        return new Reading(look, List.copyOf(problems), picture);
    }

    private static byte[] picture(Fields fields) {
        try {
            return Base64.getDecoder().decode(fields.text("picture", ""));
        } catch (IllegalArgumentException e) {
            fields.tell("its picture is no Base64, and was left out");
            return NO_PICTURE;
        }
    }

    /** A mark of all that a look says: others have others. */
    public static String mark(Look look) {
        try {
            byte[] sum =
                    MessageDigest.getInstance("SHA-256")
                            .digest(tree(look).toString().getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(sum, 0, MARK_BYTES);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    static ObjectNode tree(Look look) {
        ObjectNode node =
                Json.MAPPER
                        .createObjectNode()
                        .put("name", look.name())
                        .put("title", look.title())
                        .put("note", look.note())
                        .put("separation", look.separation());
        ArrayNode tags = node.putArray("tags");
        look.tags().forEach(tags::add);
        ArrayNode lanes = node.putArray("lanes");
        look.lanes().forEach(lane -> lanes.add(LaneJson.write(lane)));
        ArrayNode order = node.putArray("order");
        look.order().forEach(order::add);
        ArrayNode steps = node.putArray("steps");
        look.steps().forEach(step -> steps.add(StepJson.write(step)));
        node.put("rejoin", look.rejoin().id());
        node.putObject("onto")
                .put("blend", look.onto().blend().id())
                .set("amount", ValueJson.write(look.onto().amount()));
        node.set("reach", ReachJson.write(look.reach()));
        node.putObject("overscan")
                .put("kind", Words.of(look.overscan().kind()))
                .put("scale", look.overscan().scale());
        node.set("shutter", write(look.shutter()));
        ArrayNode bursts = node.putArray("bursts");
        look.bursts().forEach(burst -> bursts.add(BurstJson.write(burst, look.model())));
        ArrayNode dials = node.putArray("dials");
        look.dials().forEach(dial -> dials.add(DialJson.write(dial, look.model())));
        return node;
    }

    private static ObjectNode write(Shutter shutter) {
        ObjectNode node = Json.MAPPER.createObjectNode();
        node.set("angle", ValueJson.write(shutter.angleDegrees()));
        return node.put("phase", shutter.phaseDegrees()).put("samples", shutter.samples());
    }

    private static Shutter shutter(Fields fields) {
        double most = Shutter.MOST_DEGREES;
        return new Shutter(
                ValueJson.read(fields, "angle", Value.ZERO, 0, most),
                fields.number("phase", 0, -most, most),
                (int) fields.whole("samples", Shutter.OFF.samples(), 2, Shutter.MOST_SAMPLES));
    }

    static Look read(Fields fields) {
        String name = fields.text("name", "look");
        Separation model = fields.named("separation", Separations.named("rgb"), Separations::named);
        Look rest = Look.atRest(name, model);
        int count = rest.lanes().size();
        List<LaneState> lanes = fields.each("lanes", "lane", LaneJson::read);
        if (!lanes.isEmpty() && lanes.size() != count) {
            fields.tell(
                    lanes.size()
                            + " lanes are read, "
                            + model.title()
                            + " has "
                            + count
                            + "; all are taken as they are at first");
        }
        List<Step> steps = new ArrayList<>();
        for (Step step : fields.each("steps", "step", f -> StepJson.read(f, count))) {
            if (steps.stream().anyMatch(s -> s.id().equals(step.id()))) {
                fields.tell("step " + step.id() + " was left out: another step has that id");
            } else {
                steps.add(step);
            }
        }
        Look look =
                new Look(
                        name,
                        fields.text("title", ""),
                        fields.text("note", ""),
                        fields.texts("tags"),
                        model.id(),
                        lanes.size() == count ? lanes : rest.lanes(),
                        order(fields, count),
                        steps,
                        fields.named("rejoin", Rejoin.EXACT, Rejoin::named),
                        fields.read("onto", Onto.IN_PLACE, LookJson::onto),
                        fields.read("reach", Reach.ALL, ReachJson::read),
                        fields.read("overscan", Overscan.OFF, LookJson::overscan),
                        fields.read("shutter", Shutter.OFF, LookJson::shutter),
                        List.of(),
                        List.of());
        Look moving = withBursts(fields, look);
        return moving.withDials(fields.each("dials", "dial", f -> DialJson.read(f, moving)));
    }

    private static Look withBursts(Fields fields, Look look) {
        Look moving = look;
        for (Burst burst : fields.each("bursts", "burst", f -> BurstJson.read(f, look))) {
            if (moving.burst(burst.id()).isPresent()) {
                fields.tell("burst " + burst.id() + " was left out: another burst has that id");
            } else {
                moving = moving.withBurst(burst);
            }
        }
        return moving;
    }

    private static Onto onto(Fields fields) {
        return new Onto(
                fields.named("blend", Blend.NORMAL, Blend::named),
                ValueJson.read(fields, "amount", Value.of(1), 0, 1));
    }

    private static Overscan overscan(Fields fields) {
        return new Overscan(
                fields.word("kind", Overscan.OFF.kind()),
                fields.number("scale", 1, 1, LARGEST_OVERSCAN));
    }

    /** Each lane once, or the natural order. */
    private static List<Integer> order(Fields fields, int lanes) {
        List<Integer> natural = Look.naturalOrder(lanes);
        if (!fields.has("order")) {
            return natural;
        }
        List<Integer> order = fields.wholes("order", 0, lanes - 1);
        if (order.stream().sorted().toList().equals(natural)) {
            return order;
        }
        fields.tell("its order does not name each lane once; the model's own order is taken");
        return natural;
    }
}
