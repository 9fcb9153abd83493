package ivrik.core.json;

import static ivrik.core.json.EnumNames.plain;
import static ivrik.core.json.EnumNames.quoted;

import com.fasterxml.jackson.databind.JsonNode;

import ivrik.core.IvrikException;
import ivrik.core.NearestName;
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
 * One object of a file while it is read. The caller asks for each field by name, with its range and its
 * default. Each error and each field that nobody asked for is reported with its place in the file; all other
 * fields are still read.
 */
public final class Fields {
    private final JsonNode node;
    private final String where;
    private final Consumer<String> problems;
    private final Set<String> asked = new LinkedHashSet<>();

    /**
     * @param where name of the object, such as {@code layer title}; empty for the whole file
     * @param problems receives a message for each error
     */
    Fields(JsonNode node, String where, Consumer<String> problems) {
        this.node = node;
        this.where = where;
        this.problems = problems;
        if (!node.isObject()) {
            throw new Unreadable("expected a JSON object");
        }
    }

    /** An object or value that cannot be read; the message says why. */
    static final class Unreadable extends RuntimeException {
        Unreadable(String what) {
            super(what);
        }
    }

    /** The object in a text, as far as it can be read. */
    public static Fields of(String text, Consumer<String> problems) {
        JsonNode root = Salvage.read(text, problems);
        return new Fields(root, "", problems);
    }

    String where() {
        return where;
    }

    /** Reports an error in this object. */
    void report(String what) {
        problems.accept(where.isEmpty() ? what : where + ": " + what);
    }

    private void report(String name, String what) {
        problems.accept((where.isEmpty() ? name : where + ", " + name) + ": " + what);
    }

    private String inside(String name) {
        return where.isEmpty() ? name : where + ", " + name;
    }

    public boolean has(String name) {
        asked.add(name);
        return node.hasNonNull(name);
    }

    /** A field of any type. */
    JsonNode any(String name) {
        asked.add(name);
        return node.path(name);
    }

    private JsonNode needed(String name) {
        if (!has(name)) {
            throw new Unreadable("required field " + name + " is missing");
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
        report(name, quoted(found) + " is not a string");
        return otherwise;
    }

    /** A required string. */
    public String text(String name) {
        JsonNode found = needed(name);
        if (!found.isTextual()) {
            throw new Unreadable(name + " must be a string, not " + quoted(found));
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
        report(name, quoted(found) + " is not true or false; " + otherwise + " used");
        return otherwise;
    }

    public double number(String name, double otherwise, double min, double max) {
        if (!has(name)) {
            return otherwise;
        }
        return number(node.get(name), name, otherwise, min, max);
    }

    /** A required number. */
    double number(String name, double min, double max) {
        JsonNode found = needed(name);
        if (!found.isNumber()) {
            throw new Unreadable(name + " must be a number, not " + quoted(found));
        }
        return number(found, name, 0, min, max);
    }

    /** A number within this field's value. */
    double number(JsonNode found, String name, double otherwise, double min, double max) {
        if (!found.isNumber()) {
            report(name, quoted(found) + " is not a number; " + plain(otherwise) + " used");
            return otherwise;
        }
        double value = found.doubleValue();
        if (!Double.isFinite(value)) {
            report(name, "not a finite number; " + plain(otherwise) + " used");
            return otherwise;
        }
        double clamped = Math.clamp(value, min, max);
        if (clamped != value) {
            String range = plain(min) + " to " + plain(max);
            report(name, plain(value) + " is outside " + range + "; " + plain(clamped) + " used");
        }
        return clamped;
    }

    public long whole(String name, long otherwise, long min, long max) {
        return has(name) ? whole(node.get(name), name, otherwise, min, max) : otherwise;
    }

    private long whole(JsonNode found, String name, long otherwise, long min, long max) {
        if (!found.isIntegralNumber() || !found.canConvertToLong()) {
            report(name, quoted(found) + " is not an integer; " + otherwise + " used");
            return otherwise;
        }
        long value = found.longValue();
        long clamped = Math.clamp(value, min, max);
        if (clamped != value) {
            report(name, value + " lies outside " + min + " to " + max + "; " + clamped + " used");
        }
        return clamped;
    }

    /** A required integer within a range. */
    public long whole(String name, long min, long max) {
        JsonNode found = needed(name);
        if (!found.isIntegralNumber() || !found.canConvertToLong()) {
            throw new Unreadable(name + " must be an integer, not " + quoted(found));
        }
        long value = found.longValue();
        if (value < min || value > max) {
            throw new Unreadable(
                    name + " is " + value + ", outside the range " + min + " to " + max);
        }
        return value;
    }

    /** Two required integers within a range. */
    public int[] pair(String name, int min, int max) {
        JsonNode found = needed(name);
        int[] pair = new int[2];
        if (!found.isArray() || found.size() != 2) {
            throw new Unreadable(name + " must be two numbers, not " + quoted(found));
        }
        for (int i = 0; i < 2; i++) {
            JsonNode each = found.get(i);
            if (!each.canConvertToInt() || each.intValue() < min || each.intValue() > max) {
                throw new Unreadable(
                        "%s is %s; each number must be an integer from %d to %d"
                                .formatted(name, quoted(found), min, max));
            }
            pair[i] = each.intValue();
        }
        return pair;
    }

    /** A list; empty if the field is missing. Any other type is reported. */
    private JsonNode list(String name) {
        if (has(name) && !node.get(name).isArray()) {
            report(name, quoted(node.get(name)) + " is not a JSON array");
        }
        return node.path(name);
    }

    /** Strings; elements of other types are reported and left out. */
    List<String> texts(String name) {
        List<String> all = new ArrayList<>();
        for (JsonNode each : list(name)) {
            if (each.isTextual()) {
                all.add(each.textValue());
            } else {
                report(name, quoted(each) + " is not a string");
            }
        }
        return all;
    }

    /** Integers; other elements are reported and left out. */
    List<Integer> wholes(String name, int min, int max) {
        List<Integer> all = new ArrayList<>();
        for (JsonNode each : list(name)) {
            if (each.canConvertToInt() && each.intValue() >= min && each.intValue() <= max) {
                all.add(each.intValue());
            } else {
                report(name, quoted(each) + " lies outside " + min + " to " + max);
            }
        }
        return all;
    }

    /** A required frame rate, such as {@code 24} or {@code 30000/1001}. */
    Rational rate(String name, Rational min, Rational max) {
        JsonNode found = needed(name);
        try {
            Rational rate = Rational.parse(found.asText());
            if (rate.compareTo(min) >= 0 && rate.compareTo(max) <= 0) {
                return rate;
            }
        } catch (IllegalArgumentException | ArithmeticException e) {
            // reported below in Ivrik's own words
        }
        throw new Unreadable(
                name + " is " + quoted(found) + ", outside the range " + min + " to " + max);
    }

    /** An object that is found by its name. */
    public <T> T named(String name, T otherwise, Function<String, T> find) {
        if (!has(name)) {
            return otherwise;
        }
        JsonNode found = node.get(name);
        try {
            if (found.isTextual()) {
                return find.apply(found.textValue());
            }
            report(name, quoted(found) + " is not a valid name");
        } catch (IvrikException e) {
            report(name, e.oneLine());
        } catch (IllegalArgumentException e) {
            report(name, e.getMessage());
        }
        return otherwise;
    }

    /** One constant of an enum. */
    public <E extends Enum<E>> E choice(String name, E otherwise) {
        return named(name, otherwise, text -> EnumNames.find(text, otherwise.getDeclaringClass()));
    }

    /**
     * Several constants of an enum; unknown ones are reported and replaced by {@code otherwise}.
     */
    <E extends Enum<E>> List<E> choices(String name, E otherwise) {
        List<E> words = new ArrayList<>();
        for (String text : texts(name)) {
            try {
                words.add(EnumNames.find(text, otherwise.getDeclaringClass()));
            } catch (IllegalArgumentException e) {
                report(name, e.getMessage());
                words.add(otherwise);
            }
        }
        return words;
    }

    /** A nested object; empty if the field is missing or has another type. */
    private Optional<Fields> object(String name) {
        if (!has(name)) {
            return Optional.empty();
        }
        if (!node.get(name).isObject()) {
            report(name, quoted(node.get(name)) + " is not a JSON object");
            return Optional.empty();
        }
        return Optional.of(new Fields(node.get(name), inside(name), problems));
    }

    /** A nested object, converted; empty if the field is missing. */
    public <T> Optional<T> optional(String name, Function<Fields, T> reader) {
        return object(name).map(f -> done(f, reader));
    }

    /** A nested object, converted; {@code otherwise} if the field is missing or unreadable. */
    <T> T read(String name, T otherwise, Function<Fields, T> reader) {
        return object(name).flatMap(f -> attempt(f.where, () -> done(f, reader))).orElse(otherwise);
    }

    /** A required nested object, converted. */
    <T> T read(String name, Function<Fields, T> reader) {
        return done(new Fields(needed(name), inside(name), problems), reader);
    }

    /**
     * The objects of a list, converted; unreadable ones are reported and left out.
     *
     * @param one what to call an element, such as {@code layer}
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

    /** The converted object; empty if it cannot be read, which is reported. */
    private <T> Optional<T> attempt(String what, Supplier<T> read) {
        try {
            return Optional.of(read.get());
        } catch (IvrikException e) {
            problems.accept(what + " skipped: " + e.oneLine());
        } catch (Unreadable | IllegalArgumentException e) {
            problems.accept(what + " skipped: " + e.getMessage());
        }
        return Optional.empty();
    }

    /** The names of all fields in the file. */
    List<String> names() {
        List<String> names = new ArrayList<>();
        node.fieldNames().forEachRemaining(names::add);
        return names;
    }

    /** Reports every field that was never asked for. */
    public void finish() {
        node.fieldNames()
                .forEachRemaining(
                        name -> {
                            if (!asked.contains(name)) {
                                report(
                                        "unknown field '"
                                                + name
                                                + "' skipped"
                                                + NearestName.to(name, asked)
                                                        .map(n -> "; did you mean " + n + "?")
                                                        .orElse(""));
                            }
                        });
    }
}
