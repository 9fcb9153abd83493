package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.Burst;
import ivrik.core.look.ChannelState;
import ivrik.core.look.Look;
import ivrik.core.look.LookBlend;
import ivrik.core.look.Mask;
import ivrik.core.look.Overscan;
import ivrik.core.look.Section;
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

/** Reads and writes looks as JSON; {@code docs/look.schema.json} describes the format. */
public final class LookJson {
    static final String FORMAT = "ivrik-look";

    private static final double LARGEST_OVERSCAN = 10;
    private static final double FAR = 1e9;
    private static final String OTHER_MODELS = "otherModels";
    private static final int MARK_BYTES = 8;
    private static final String FINISH = EnumNames.of(Section.FINISH);

    private LookJson() {}

    /**
     * A look as far as it could be read.
     *
     * @param problems one message per error
     * @param picture thumbnail as PNG; empty if the file has none
     */
    public record Reading(Look look, List<String> problems, byte[] picture) {}

    /** No thumbnail. */
    public static final byte[] NO_PICTURE = {};

    /** Whether a text claims to be a look, readable or not. */
    public static boolean isLook(String text) {
        return Salvage.read(text, problem -> {}).path("format").asText().equals(FORMAT);
    }

    public static String write(Look look) {
        return write(look, NO_PICTURE);
    }

    /**
     * @param picture thumbnail as PNG, or empty
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
     * Reads a look as far as possible.
     *
     * @throws ForeignFileException if the text is not a look, or of a newer version
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
            fields.report("the preview image is not valid Base64 and was skipped");
            return NO_PICTURE;
        }
    }

    /**
     * A hash of everything in a look that affects the colours of its treated channels: all but its name and
     * the treatments after rejoin.
     */
    public static String channelMark(Look look) {
        return channelMark(tree(look));
    }

    /**
     * The hash of a look's tree, whatever version its field names have.
     *
     * @param look is changed
     */
    static String channelMark(ObjectNode look) {
        look.remove(List.of("format", "version", "picture", OTHER_MODELS));
        look.put("name", "").put("title", "").put("note", "");
        if (look.path("steps") instanceof ArrayNode steps) {
            steps.removeIf(step -> step.path("section").asText().equals(FINISH));
        }
        try {
            byte[] sum =
                    MessageDigest.getInstance("SHA-256")
                            .digest(look.toString().getBytes(StandardCharsets.UTF_8));
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
        ArrayNode channels = node.putArray("channels");
        look.channels().forEach(channel -> channels.add(ChannelJson.write(channel)));
        ArrayNode order = node.putArray("order");
        look.order().forEach(order::add);
        ArrayNode steps = node.putArray("steps");
        look.steps().forEach(step -> steps.add(StepJson.write(step)));
        node.put("rejoin", look.rejoin().id());
        node.putObject("blend")
                .put("mode", look.blend().mode().id())
                .set("opacity", ValueJson.write(look.blend().opacity()));
        node.set("mask", MaskJson.write(look.mask()));
        node.putObject("overscan")
                .put("kind", EnumNames.of(look.overscan().kind()))
                .put("scale", look.overscan().scale());
        node.set("shutter", write(look.shutter()));
        ArrayNode bursts = node.putArray("bursts");
        look.bursts().forEach(burst -> bursts.add(BurstJson.write(burst, look.model())));
        ArrayNode dials = node.putArray("dials");
        look.dials().forEach(dial -> dials.add(DialJson.write(dial, look.model())));
        if (!look.otherModels().isEmpty()) {
            ArrayNode others = node.putArray(OTHER_MODELS);
            look.otherModels().forEach(other -> others.add(tree(other)));
        }
        return node;
    }

    private static ObjectNode write(Shutter shutter) {
        ObjectNode node = Json.MAPPER.createObjectNode();
        node.set("angle", ValueJson.write(shutter.angleDegrees()));
        return node.put("phase", shutter.phaseDegrees()).put("samples", shutter.samples());
    }

    private static Shutter shutter(Fields fields) {
        double most = Shutter.MAX_DEGREES;
        return new Shutter(
                ValueJson.read(fields, "angle", Value.ZERO, 0, most),
                fields.number("phase", 0, -most, most),
                (int) fields.whole("samples", Shutter.OFF.samples(), 2, Shutter.MAX_SAMPLES));
    }

    static Look read(Fields fields) {
        String name = fields.text("name", "look");
        Separation model = fields.named("separation", Separations.named("rgb"), Separations::named);
        Look rest = Look.atRest(name, model);
        int count = rest.channels().size();
        List<ChannelState> channels = fields.each("channels", "channel", ChannelJson::read);
        if (!channels.isEmpty() && channels.size() != count) {
            fields.report(
                    channels.size()
                            + " channels found, "
                            + model.title()
                            + " has "
                            + count
                            + "; default channel settings used");
        }
        List<Step> steps = new ArrayList<>();
        for (Step step : fields.each("steps", "treatment", f -> StepJson.read(f, count))) {
            if (steps.stream().anyMatch(s -> s.id().equals(step.id()))) {
                fields.report("treatment " + step.id() + " skipped: duplicate id");
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
                        channels.size() == count ? channels : rest.channels(),
                        order(fields, count),
                        steps,
                        fields.named("rejoin", Rejoin.EXACT, Rejoin::named),
                        fields.read("blend", LookBlend.REPLACE, LookJson::blend),
                        fields.read("mask", Mask.NONE, MaskJson::read),
                        fields.read("overscan", Overscan.OFF, LookJson::overscan),
                        fields.read("shutter", Shutter.OFF, LookJson::shutter),
                        List.of(),
                        List.of(),
                        fields.each(OTHER_MODELS, "colour model", LookJson::read));
        Look moving = withBursts(fields, look);
        return marked(
                moving.withDials(fields.each("dials", "dial", f -> DialJson.read(f, moving))));
    }

    /** Replaces {@link Version2#UP_TO_DATE} in measured steps by the present hash. */
    private static Look marked(Look look) {
        return look.steps().stream().noneMatch(s -> s.measured().equals(Version2.UP_TO_DATE))
                ? look
                : look.withSteps(
                        look.steps().stream()
                                .map(
                                        s ->
                                                s.measured().equals(Version2.UP_TO_DATE)
                                                        ? s.withMeasured(channelMark(look))
                                                        : s)
                                .toList());
    }

    private static Look withBursts(Fields fields, Look look) {
        Look moving = look;
        for (Burst burst : fields.each("bursts", "burst", f -> BurstJson.read(f, look))) {
            if (moving.burst(burst.id()).isPresent()) {
                fields.report("burst " + burst.id() + " skipped: duplicate id");
            } else {
                moving = moving.withBurst(burst);
            }
        }
        return moving;
    }

    private static LookBlend blend(Fields fields) {
        return new LookBlend(
                fields.named("mode", Blend.NORMAL, Blend::named),
                ValueJson.read(fields, "opacity", Value.of(1), 0, LookBlend.MAX_OPACITY));
    }

    private static Overscan overscan(Fields fields) {
        return new Overscan(
                fields.choice("kind", Overscan.OFF.kind()),
                fields.number("scale", 1, 1, LARGEST_OVERSCAN));
    }

    /** The stored order of the channels if it is a permutation; else the natural order. */
    private static List<Integer> order(Fields fields, int channels) {
        List<Integer> natural = Look.naturalOrder(channels);
        if (!fields.has("order")) {
            return natural;
        }
        List<Integer> order = fields.wholes("order", 0, channels - 1);
        if (order.stream().sorted().toList().equals(natural)) {
            return order;
        }
        fields.report("the order does not list each channel once; default order used");
        return natural;
    }
}
