package ivrik.core.json;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.JsonSerializer;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.ser.std.StdSerializer;

import ivrik.core.look.Dial;
import ivrik.core.look.Feed;
import ivrik.core.look.LaneState;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Peg;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.picture.Size;
import ivrik.core.project.Ground;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.separation.Ink;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** How the small values look in JSON: {@code 24}, {@code [1280, 720]}, {@code 4.5}, {@code "hold"}. */
final class Json {
    static final ObjectMapper MAPPER = mapper();

    private Json() {}

    private static ObjectMapper mapper() {
        SimpleModule forms = new SimpleModule("ivrik");
        put(
                forms,
                Rational.class,
                (r, g) -> g.writeString(r.toString()),
                n -> Rational.parse(n.asText()));
        put(
                forms,
                Size.class,
                (s, g) -> g.writeArray(new int[] {s.width(), s.height()}, 0, 2),
                n -> new Size(whole(n.path(0)), whole(n.path(1))));
        put(forms, Ease.class, Json::writeEase, Json::readEase);
        put(forms, Value.class, Json::writeValue, Json::readValue);
        put(forms, Rejoin.class, (r, g) -> g.writeString(r.id()), n -> Rejoin.named(n.asText("")));
        put(forms, Ink.class, (i, g) -> g.writeString(i.hex()), n -> Ink.parse(n.asText("")));
        put(forms, Blend.class, (b, g) -> g.writeString(b.id()), n -> Blend.named(n.asText("")));
        put(forms, Dial.Link.class, Json::writeLink, Json::readLink);
        put(forms, Sequence.class, Json::writeSequence, Json::readSequence);
        put(forms, Source.class, Json::writeSource, Json::readSource);
        put(forms, LaneState.class, Json::writeLane, Json::readLane);
        forms.addSerializer(
                new StdSerializer<Enum<?>>(Enum.class, false) {
                    @Override
                    public void serialize(Enum<?> e, JsonGenerator g, SerializerProvider p)
                            throws IOException {
                        g.writeString(e.name().toLowerCase(Locale.ROOT));
                    }
                });
        return JsonMapper.builder()
                .addModule(forms)
                .enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
                .disable(MapperFeature.AUTO_DETECT_IS_GETTERS)
                .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
                .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .build();
    }

    private static void writeEase(Ease ease, JsonGenerator g) throws IOException {
        switch (ease) {
            case Ease.Hold h -> g.writeString("hold");
            case Ease.Linear l -> g.writeString("linear");
            case Ease.Eased e -> g.writeArray(new double[] {e.x1(), e.y1(), e.x2(), e.y2()}, 0, 4);
        }
    }

    private static Ease readEase(JsonNode node) {
        if (node.isArray() && node.size() == 4) {
            return new Ease.Eased(
                    number(node.get(0)),
                    number(node.get(1)),
                    number(node.get(2)),
                    number(node.get(3)));
        }
        return switch (node.asText()) {
            case "hold" -> Ease.HOLD;
            case "linear" -> Ease.LINEAR;
            default ->
                    throw new IllegalArgumentException(
                            "an ease is hold, linear or four handles, not " + node);
        };
    }

    private static void writeValue(Value value, JsonGenerator g) throws IOException {
        if (!value.isMoving()) {
            g.writeNumber(value.rest());
            return;
        }
        g.writeStartObject();
        g.writeNumberField("rest", value.rest());
        g.writeArrayFieldStart("pegs");
        for (Peg peg : value.pegs()) {
            g.writePOJO(peg);
        }
        g.writeEndArray();
        g.writeEndObject();
    }

    private static Value readValue(JsonNode node) throws IOException {
        if (!node.isObject()) {
            return Value.of(number(node));
        }
        List<Peg> pegs = new ArrayList<>();
        for (JsonNode peg : node.path("pegs")) {
            pegs.add(
                    new Peg(
                            peg.path("frame").asLong(),
                            number(peg.path("value")),
                            readEase(peg.path("ease"))));
        }
        return new Value(number(node.path("rest")), pegs);
    }

    private static void writeLane(LaneState lane, JsonGenerator g) throws IOException {
        g.writeStartObject();
        g.writeBooleanField("solo", lane.solo());
        g.writeBooleanField("mute", lane.mute());
        g.writeBooleanField("hold", lane.hold());
        if (lane.ink().isPresent()) {
            g.writePOJOField("ink", lane.ink().get());
        }
        if (lane.blend().isPresent()) {
            g.writePOJOField("blend", lane.blend().get());
        }
        g.writePOJOField("strength", lane.strength());
        if (!lane.feed().isOwn()) {
            g.writePOJOField("feed", lane.feed());
        }
        g.writeEndObject();
    }

    private static LaneState readLane(JsonNode node) throws IOException {
        if (!node.isObject()) {
            throw new IllegalArgumentException("a lane is an object, not " + node);
        }
        return new LaneState(
                node.path("solo").asBoolean(),
                node.path("mute").asBoolean(),
                node.path("hold").asBoolean(),
                node.has("ink")
                        ? Optional.of(Ink.parse(node.get("ink").asText()))
                        : Optional.empty(),
                node.has("blend")
                        ? Optional.of(Blend.named(node.get("blend").asText()))
                        : Optional.empty(),
                node.has("strength") ? readValue(node.get("strength")) : Value.of(1),
                node.has("feed") ? MAPPER.treeToValue(node.get("feed"), Feed.class) : Feed.OWN);
    }

    private static void writeSequence(Sequence s, JsonGenerator g) throws IOException {
        g.writeStartObject();
        g.writePOJOField("size", s.size());
        g.writePOJOField("rate", s.rate());
        g.writePOJOField("ground", s.ground());
        g.writeEndObject();
    }

    private static Sequence readSequence(JsonNode node) throws IOException {
        return new Sequence(
                MAPPER.treeToValue(node.path("size"), Size.class),
                Rational.parse(node.path("rate").asText()),
                node.has("ground")
                        ? MAPPER.treeToValue(node.get("ground"), Ground.class)
                        : Ground.NOTHING);
    }

    private static void writeSource(Source s, JsonGenerator g) throws IOException {
        g.writeStartObject();
        g.writeStringField("id", s.id());
        g.writeStringField("name", s.name());
        g.writeStringField("path", s.path());
        g.writePOJOField("kind", s.kind());
        g.writePOJOField("size", s.size());
        g.writePOJOField("rate", s.rate());
        g.writeNumberField("frames", s.frames());
        g.writeBooleanField("sound", s.sound());
        if (s.title().isPresent()) {
            g.writePOJOField("title", s.title().get());
        }
        g.writeEndObject();
    }

    private static Source readSource(JsonNode node) throws IOException {
        for (String needed : List.of("id", "name", "path", "kind", "size", "rate", "frames")) {
            if (!node.hasNonNull(needed)) {
                throw new IllegalArgumentException("its " + needed + " is missing");
            }
        }
        return new Source(
                node.path("id").asText(),
                node.path("name").asText(),
                node.path("path").asText(),
                MAPPER.treeToValue(node.path("kind"), Source.Kind.class),
                MAPPER.treeToValue(node.path("size"), Size.class),
                Rational.parse(node.path("rate").asText()),
                node.path("frames").asLong(),
                node.path("sound").asBoolean(),
                node.has("title")
                        ? Optional.of(MAPPER.treeToValue(node.get("title"), Title.class))
                        : Optional.empty());
    }

    private static void writeLink(Dial.Link link, JsonGenerator g) throws IOException {
        g.writeStartObject();
        g.writeNumberField("step", link.step());
        g.writeNumberField("lane", link.lane());
        g.writeStringField("target", link.target());
        g.writeNumberField("perUnit", link.perUnit());
        if (link.only() != null) {
            g.writePOJOField("only", link.only());
        }
        g.writeEndObject();
    }

    private static Dial.Link readLink(JsonNode node) {
        JsonNode only = node.path("only");
        return new Dial.Link(
                whole(node.path("step")),
                whole(node.path("lane")),
                node.path("target").asText(),
                number(node.path("perUnit")),
                only.isObject()
                        ? new Dial.Only(only.path("dial").asText(), whole(only.path("value")))
                        : null);
    }

    private static double number(JsonNode node) {
        if (!node.isNumber()) {
            throw new IllegalArgumentException("a number is missing");
        }
        return node.doubleValue();
    }

    private static int whole(JsonNode node) {
        if (!node.canConvertToInt()) {
            throw new IllegalArgumentException("a whole number is missing");
        }
        return node.intValue();
    }

    private interface Write<T> {
        void to(T value, JsonGenerator g) throws IOException;
    }

    private interface Read<T> {
        T from(JsonNode node) throws IOException;
    }

    private static <T> void put(
            SimpleModule module, Class<T> type, Write<? super T> write, Read<T> read) {
        module.addSerializer(
                type,
                new JsonSerializer<T>() {
                    @Override
                    public void serialize(T value, JsonGenerator g, SerializerProvider p)
                            throws IOException {
                        write.to(value, g);
                    }
                });
        module.addDeserializer(
                type,
                new JsonDeserializer<T>() {
                    @Override
                    public T deserialize(JsonParser p, DeserializationContext c)
                            throws IOException {
                        return read.from(p.readValueAsTree());
                    }
                });
    }

    static String pretty(JsonNode node) {
        try {
            return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(node) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }
}
