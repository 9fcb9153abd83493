package ivrik.core.json;

import static ivrik.core.json.Words.plain;
import static ivrik.core.json.Words.quoted;

import com.fasterxml.jackson.databind.JsonNode;

import ivrik.core.IvrikException;
import ivrik.core.Nearest;
import ivrik.core.motion.Rational;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * One object of a file that is being read. Each field is asked for by its name, with what it may be and
 * what stands for it where it is left out. All that is wrong, and every field that nobody asked for, is
 * told in words that say where; the rest is read all the same.
 */
public final class Fields {
    private final JsonNode node;
    private final String where;
    private final Consumer<String> problems;
    private final Set<String> asked = new LinkedHashSet<>();

    /**
     * @param where what the object is, such as {@code layer title}; empty for the file as a whole
     * @param problems told of each thing that is wrong
     */
    Fields(JsonNode node, String where, Consumer<String> problems) {
        this.node = node;
        this.where = where;
        this.problems = problems;
        if (!node.isObject()) {
            throw new Unreadable("it is not an object in braces");
        }
    }

    /** Something that cannot be read, in words. */
    static final class Unreadable extends RuntimeException {
        Unreadable(String what) {
            super(what);
        }
    }

    /** The object of a text, read as far as it can be. */
    public static Fields of(String text, Consumer<String> problems) {
        JsonNode root = Salvage.read(text, problems);
        return new Fields(root, "", problems);
    }

    String where() {
        return where;
    }

    /** Tells that something is wrong here. */
    void tell(String what) {
        problems.accept(where.isEmpty() ? what : where + ": " + what);
    }

    private void tell(String name, String what) {
        problems.accept((where.isEmpty() ? name : where + ", " + name) + ": " + what);
    }

    private String inside(String name) {
        return where.isEmpty() ? name : where + ", " + name;
    }

    public boolean has(String name) {
        asked.add(name);
        return node.hasNonNull(name);
    }

    /** A field that may be anything. */
    JsonNode any(String name) {
        asked.add(name);
        return node.path(name);
    }

    private JsonNode needed(String name) {
        if (!has(name)) {
            throw new Unreadable("its " + name + " is missing");
        }
        return node.get(name);
    }

    public String text(String name, String otherwise) {
        if (!has(name)) {
            return otherwise;
        }
        JsonNode found = node.get(name);
        if (found.isTextual()) {
            return found.textValue();
        }
        tell(name, quoted(found) + " is no text");
        return otherwise;
    }

    /** A text that must be there. */
    public String text(String name) {
        JsonNode found = needed(name);
        if (!found.isTextual()) {
            throw new Unreadable("its " + name + " is no text: " + quoted(found));
        }
        return found.textValue();
    }

    public boolean flag(String name, boolean otherwise) {
        if (!has(name)) {
            return otherwise;
        }
        JsonNode found = node.get(name);
        if (found.isBoolean()) {
            return found.booleanValue();
        }
        tell(name, quoted(found) + " is neither true nor false; " + otherwise + " is taken");
        return otherwise;
    }

    public double number(String name, double otherwise, double min, double max) {
        if (!has(name)) {
            return otherwise;
        }
        return number(node.get(name), name, otherwise, min, max);
    }

    /** A number that must be there. */
    double number(String name, double min, double max) {
        JsonNode found = needed(name);
        if (!found.isNumber()) {
            throw new Unreadable("its " + name + " is no number: " + quoted(found));
        }
        return number(found, name, 0, min, max);
    }

    /** A number that is part of this field. */
    double number(JsonNode found, String name, double otherwise, double min, double max) {
        if (!found.isNumber()) {
            tell(name, quoted(found) + " is no number; " + plain(otherwise) + " is taken");
            return otherwise;
        }
        double value = found.doubleValue();
        if (!Double.isFinite(value)) {
            tell(name, "that is no finite number; " + plain(otherwise) + " is taken");
            return otherwise;
        }
        double clamped = Math.clamp(value, min, max);
        if (clamped != value) {
            String range = plain(min) + " to " + plain(max);
            tell(
                    name,
                    plain(value) + " lies outside " + range + "; " + plain(clamped) + " is taken");
        }
        return clamped;
    }

    public long whole(String name, long otherwise, long min, long max) {
        return has(name) ? whole(node.get(name), name, otherwise, min, max) : otherwise;
    }

    private long whole(JsonNode found, String name, long otherwise, long min, long max) {
        if (!found.isIntegralNumber() || !found.canConvertToLong()) {
            tell(name, quoted(found) + " is no whole number; " + otherwise + " is taken");
            return otherwise;
        }
        long value = found.longValue();
        long clamped = Math.clamp(value, min, max);
        if (clamped != value) {
            tell(
                    name,
                    value + " lies outside " + min + " to " + max + "; " + clamped + " is taken");
        }
        return clamped;
    }

    /** A whole number that must be there and within its range. */
    public long whole(String name, long min, long max) {
        JsonNode found = needed(name);
        if (!found.isIntegralNumber() || !found.canConvertToLong()) {
            throw new Unreadable("its " + name + " is no whole number: " + quoted(found));
        }
        long value = found.longValue();
        if (value < min || value > max) {
            throw new Unreadable(
                    "its " + name + " is " + value + ", outside " + min + " to " + max);
        }
        return value;
    }

    /** Two whole numbers that must be there and within their range. */
    public int[] pair(String name, int min, int max) {
        JsonNode found = needed(name);
        int[] pair = new int[2];
        if (!found.isArray() || found.size() != 2) {
            throw new Unreadable("its " + name + " is not two numbers: " + quoted(found));
        }
        for (int i = 0; i < 2; i++) {
            JsonNode each = found.get(i);
            if (!each.canConvertToInt() || each.intValue() < min || each.intValue() > max) {
                throw new Unreadable(
                        "its %s is %s; each number is a whole one from %d to %d"
                                .formatted(name, quoted(found), min, max));
            }
            pair[i] = each.intValue();
        }
        return pair;
    }

    /** A list, empty if it is left out; what is none is told. */
    private JsonNode list(String name) {
        if (has(name) && !node.get(name).isArray()) {
            tell(name, quoted(node.get(name)) + " is not a list in brackets");
        }
        return node.path(name);
    }

    /** Texts; what is none is told and left out. */
    List<String> texts(String name) {
        List<String> all = new ArrayList<>();
        for (JsonNode each : list(name)) {
            if (each.isTextual()) {
                all.add(each.textValue());
            } else {
                tell(name, quoted(each) + " is no text");
            }
        }
        return all;
    }

    /** Whole numbers; those that are none are told and left out. */
    List<Integer> wholes(String name, int min, int max) {
        List<Integer> all = new ArrayList<>();
        for (JsonNode each : list(name)) {
            if (each.canConvertToInt() && each.intValue() >= min && each.intValue() <= max) {
                all.add(each.intValue());
            } else {
                tell(name, quoted(each) + " lies outside " + min + " to " + max);
            }
        }
        return all;
    }

    /** A number of frames a second that must be there, such as {@code 24} or {@code 30000/1001}. */
    Rational rate(String name, Rational min, Rational max) {
        JsonNode found = needed(name);
        try {
            Rational rate = Rational.parse(found.asText());
            if (rate.compareTo(min) >= 0 && rate.compareTo(max) <= 0) {
                return rate;
            }
        } catch (IllegalArgumentException | ArithmeticException e) {
            // told below, in words of our own
        }
        throw new Unreadable(
                "its " + name + " is " + quoted(found) + ", outside " + min + " to " + max);
    }

    /** A thing by its name. */
    public <T> T named(String name, T otherwise, Function<String, T> find) {
        if (!has(name)) {
            return otherwise;
        }
        JsonNode found = node.get(name);
        try {
            if (found.isTextual()) {
                return find.apply(found.textValue());
            }
            tell(name, quoted(found) + " is no name");
        } catch (IvrikException e) {
            tell(name, e.oneLine());
        } catch (IllegalArgumentException e) {
            tell(name, e.getMessage());
        }
        return otherwise;
    }

    /** One of a few words. */
    public <E extends Enum<E>> E word(String name, E otherwise) {
        return named(name, otherwise, text -> Words.find(text, otherwise.getDeclaringClass()));
    }

    /** Several of a few words; what is none of them is told and stands for {@code otherwise}. */
    <E extends Enum<E>> List<E> words(String name, E otherwise) {
        List<E> words = new ArrayList<>();
        for (String text : texts(name)) {
            try {
                words.add(Words.find(text, otherwise.getDeclaringClass()));
            } catch (IllegalArgumentException e) {
                tell(name, e.getMessage());
                words.add(otherwise);
            }
        }
        return words;
    }

    /** An object within; empty if it is left out or is none. */
    private Optional<Fields> object(String name) {
        if (!has(name)) {
            return Optional.empty();
        }
        if (!node.get(name).isObject()) {
            tell(name, quoted(node.get(name)) + " is not an object in braces");
            return Optional.empty();
        }
        return Optional.of(new Fields(node.get(name), inside(name), problems));
    }

    /** What an object within is read as; empty if it is left out. */
    public <T> Optional<T> optional(String name, Function<Fields, T> reader) {
        return object(name).map(f -> done(f, reader));
    }

    /** What an object within is read as; what stands for it if it is left out or cannot be read. */
    <T> T read(String name, T otherwise, Function<Fields, T> reader) {
        return object(name).flatMap(f -> attempt(f.where, () -> done(f, reader))).orElse(otherwise);
    }

    /** What an object within that must be there is read as. */
    <T> T read(String name, Function<Fields, T> reader) {
        return done(new Fields(needed(name), inside(name), problems), reader);
    }

    /**
     * What each object of a list is read as; one that cannot be read is told and left out.
     *
     * @param one what one of them is called, such as {@code layer}
     */
    public <T> List<T> each(String name, String one, Function<Fields, T> reader) {
        List<T> all = new ArrayList<>();
        int number = 0;
        for (JsonNode each : list(name)) {
            number++;
            String label = inside(one + " " + label(each, number));
            attempt(label, () -> done(new Fields(each, label, problems), reader))
                    .ifPresent(all::add);
        }
        return all;
    }

    private static String label(JsonNode each, int number) {
        for (String name : List.of("name", "id", "dial")) {
            if (each.path(name).isTextual() && !each.path(name).textValue().isEmpty()) {
                return each.path(name).textValue();
            }
        }
        return Integer.toString(number);
    }

    private static <T> T done(Fields fields, Function<Fields, T> reader) {
        T read = reader.apply(fields);
        fields.finish();
        return read;
    }

    /** What is read, unless something keeps it from being so, which is told. */
    private <T> Optional<T> attempt(String what, Supplier<T> read) {
        try {
            return Optional.of(read.get());
        } catch (IvrikException e) {
            problems.accept(what + " was left out: " + e.oneLine());
        } catch (Unreadable | IllegalArgumentException e) {
            problems.accept(what + " was left out: " + e.getMessage());
        }
        return Optional.empty();
    }

    /** The names of all fields there are. */
    List<String> names() {
        List<String> names = new ArrayList<>();
        node.fieldNames().forEachRemaining(names::add);
        return names;
    }

    /** Tells of every field that nobody has asked for. */
    public void finish() {
        node.fieldNames()
                .forEachRemaining(
                        name -> {
                            if (!asked.contains(name)) {
                                tell(
                                        "'"
                                                + name
                                                + "' is not known here and was left out"
                                                + Nearest.to(name, asked)
                                                        .map(n -> "; perhaps " + n + " is meant")
                                                        .orElse(""));
                            }
                        });
    }
}
