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

import ivrik.core.motion.Ease;
import ivrik.core.motion.Peg;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.picture.Size;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

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
