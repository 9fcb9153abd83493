package ivrik.cli;

import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;

import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;

@Command(
        name = "looks",
        mixinStandardHelpOptions = true,
        description = "List the built-in looks and your own, with their dials.")
final class LooksCommand implements Runnable {
    @Spec private CommandSpec spec;

    @Option(names = "--json", description = "Print JSON.")
    private boolean json;

    @Override
    public void run() {
        var out = spec.commandLine().getOut();
        if (json) {
            out.println(
                    InfoCommand.text(
                            Stream.concat(
                                            BuiltInLooks.shelf().stream().map(LooksCommand::tree),
                                            InputFiles.kept().stream().map(LooksCommand::tree))
                                    .toList()));
            return;
        }
        List<Look> all = new ArrayList<>(BuiltInLooks.all());
        all.addAll(InputFiles.kept());
        for (Look look : all) {
            out.printf("%s%n  %s%n", look.name(), look.note());
            for (Dial dial : look.dials()) {
                if (!dial.choices().isEmpty()) {
                    out.printf(
                            "  %-14s %s; default %s%n",
                            dial.name(),
                            String.join(", ", dial.choices()),
                            dial.choice(dial.value().rest()));
                    continue;
                }
                out.printf(
                        "  %-14s %s to %s %s, default %s, neutral at %s%n",
                        dial.name(),
                        plain(dial.min()),
                        plain(dial.max()),
                        dial.unit(),
                        plain(dial.value().rest()),
                        plain(dial.rest()));
            }
        }
    }

    private static Map<String, Object> tree(BuiltInLook built) {
        return tree(built.look(), built.group().title(), d -> built.zero().get(d.name()));
    }

    /** One of the user's own looks, whose dials are neutral at their default. */
    private static Map<String, Object> tree(Look own) {
        return tree(own, "Your looks", Dial::rest);
    }

    private static Map<String, Object> tree(
            Look look, String group, Function<Dial, Double> neutral) {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("name", look.name());
        tree.put("title", look.title());
        tree.put("group", group);
        tree.put("note", look.note());
        tree.put("tags", look.tags());
        tree.put("separation", look.separation());
        List<Map<String, Object>> dials =
                look.dials().stream()
                        .map(
                                d -> {
                                    Map<String, Object> dial = new LinkedHashMap<>();
                                    dial.put("name", d.name());
                                    dial.put("unit", d.unit());
                                    dial.put("min", d.min());
                                    dial.put("max", d.max());
                                    dial.put("rest", d.value().rest());
                                    dial.put("neutral", d.rest());
                                    if (!d.choices().isEmpty()) {
                                        dial.put("choices", d.choices());
                                    }
                                    return dial;
                                })
                        .toList();
        tree.put("dials", dials);
        Map<String, Double> zero = new LinkedHashMap<>();
        look.dials().forEach(d -> zero.put(d.name(), neutral.apply(d)));
        tree.put("zero", zero);
        return tree;
    }

    static String plain(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }
}
