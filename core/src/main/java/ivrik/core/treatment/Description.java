package ivrik.core.treatment;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.UnknownNameException;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Describes a treatment. Window, files, command line and help are derived from it.
 *
 * @param id name in files, such as {@code shift}
 * @param title name in the window
 * @param help effect on the picture, in one sentence
 * @param parameters numbers, with the amount last
 * @param options choices
 * @param series list items per channel
 * @param note remark shown with the controls; usually empty
 * @param tags further words for search
 */
@RecordBuilder
public record Description(
        String id,
        String title,
        String help,
        TreatmentGroup group,
        Control control,
        List<Parameter> parameters,
        List<Option> options,
        Optional<Series> series,
        Set<Trait> traits,
        String note,
        List<String> tags)
        implements DescriptionBuilder.With {
    public Description {
        parameters = List.copyOf(parameters);
        options = List.copyOf(options);
        traits = Set.copyOf(traits);
        tags = List.copyOf(tags);
    }

    /**
     * A treatment with these numbers; an amount with default 100 % is added unless there is one.
     */
    public static Description of(
            String id,
            String title,
            String help,
            TreatmentGroup group,
            Control control,
            Parameter... parameters) {
        boolean own = Stream.of(parameters).anyMatch(p -> p.name().equals(Parameter.AMOUNT));
        Stream<Parameter> amount =
                own ? Stream.empty() : Stream.of(Parameter.strengthened().setting());
        return new Description(
                id,
                title,
                help,
                group,
                control,
                Stream.concat(Stream.of(parameters), amount).toList(),
                List.of(),
                Optional.empty(),
                Set.of(),
                "",
                List.of());
    }

    /** This description with options. */
    public Description choosing(Option... choices) {
        return withOptions(List.of(choices));
    }

    /** This description with a series of items. */
    public Description listing(Series items) {
        return withSeries(Optional.of(items));
    }

    public Description with(Trait... more) {
        Set<Trait> all = EnumSet.noneOf(Trait.class);
        all.addAll(traits);
        all.addAll(List.of(more));
        return withTraits(all);
    }

    /** This description with a remark shown with the controls. */
    public Description noting(String text) {
        return withNote(text);
    }

    /** This description with further words for search. */
    public Description called(String... parts) {
        return withTags(List.of(parts));
    }

    public boolean is(Trait trait) {
        return traits.contains(trait);
    }

    /**
     * The parameter of a name, including those of series.
     *
     * @throws UnknownNameException if there is none
     */
    public Parameter parameter(String name) {
        boolean isOfSeries = series.isPresent() && name.startsWith(series.get().name() + ".");
        String last = isOfSeries ? name.substring(name.lastIndexOf('.') + 1) : name;
        List<Parameter> among = isOfSeries ? series.get().parameters() : parameters;
        return UnknownNameException.find(() -> "parameter of " + id, last, among, Parameter::name);
    }

    /** Whether a parameter of a name exists, including those of series. */
    public boolean knows(String name) {
        if (has(name)) {
            return true;
        }
        String[] parts = name.split("\\.", -1);
        return parts.length == 3
                && series.filter(s -> s.name().equals(parts[0])).isPresent()
                && parts[1].matches("\\d{1,4}")
                && series.get().parameters().stream().anyMatch(p -> p.name().equals(parts[2]));
    }

    public boolean has(String parameter) {
        return parameters.stream().anyMatch(p -> p.name().equals(parameter));
    }

    /** Whether the example settings differ from the defaults. */
    public boolean hasExample() {
        return parameters.stream()
                .anyMatch(p -> p.exampleFirst() != p.rest() || p.exampleLast() != p.rest());
    }

    /** The first parameter. */
    public Parameter main() {
        return parameters.getFirst();
    }
}
