package ivrik.core.treatment;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.UnknownNameException;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * All that the window, the files and the command line need to know of a treatment; its column, its
 * controls, its file form and its help follow from this.
 *
 * @param id the name in files, such as {@code shift}
 * @param title the name in the window
 * @param help what it does to the picture, in one sentence
 * @param parameters its numbers, the amount last
 * @param options its choices
 * @param series what a lane can have any number of
 * @param note what has to be said beside its control; empty for most
 * @param tags other words by which it is looked for
 */
@RecordBuilder
public record Description(
        String id,
        String title,
        String help,
        Group group,
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

    /** A treatment with these numbers; unless it has an amount of its own, one at rest at 100 % is added. */
    public static Description of(
            String id,
            String title,
            String help,
            Group group,
            Control control,
            Parameter... parameters) {
        boolean own = Stream.of(parameters).anyMatch(p -> p.name().equals(Parameter.AMOUNT));
        Stream<Parameter> amount =
                own ? Stream.empty() : Stream.of(Parameter.amount(100).setting());
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

    /** With choices. */
    public Description choosing(Option... choices) {
        return withOptions(List.of(choices));
    }

    /** With things that a lane can have any number of. */
    public Description listing(Series things) {
        return withSeries(Optional.of(things));
    }

    public Description with(Trait... more) {
        Set<Trait> all = EnumSet.noneOf(Trait.class);
        all.addAll(traits);
        all.addAll(List.of(more));
        return withTraits(all);
    }

    /** With something that has to be said beside its control. */
    public Description noting(String text) {
        return withNote(text);
    }

    /** With other words by which it is looked for. */
    public Description called(String... words) {
        return withTags(List.of(words));
    }

    public boolean is(Trait trait) {
        return traits.contains(trait);
    }

    /**
     * The parameter of a name, those of a series included.
     *
     * @throws UnknownNameException if there is none
     */
    public Parameter parameter(String name) {
        boolean isOfSeries = series.isPresent() && name.startsWith(series.get().name() + ".");
        String last = isOfSeries ? name.substring(name.lastIndexOf('.') + 1) : name;
        List<Parameter> among = isOfSeries ? series.get().parameters() : parameters;
        return UnknownNameException.find(() -> "parameter of " + id, last, among, Parameter::name);
    }

    /** Whether there is a parameter of a name, those of a series included. */
    public boolean knows(String name) {
        if (has(name)) {
            return true;
        }
        String[] words = name.split("\\.", -1);
        return words.length == 3
                && series.filter(s -> s.name().equals(words[0])).isPresent()
                && words[1].matches("\\d{1,4}")
                && series.get().parameters().stream().anyMatch(p -> p.name().equals(words[2]));
    }

    public boolean has(String parameter) {
        return parameters.stream().anyMatch(p -> p.name().equals(parameter));
    }

    /** The number looked at first. */
    public Parameter main() {
        return parameters.getFirst();
    }
}
