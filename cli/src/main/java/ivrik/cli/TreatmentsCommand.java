package ivrik.cli;

import ivrik.core.treatment.Description;
import ivrik.core.treatment.Option;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.PictureTreatment;
import ivrik.core.treatment.Series;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

@Command(
        name = "treatments",
        mixinStandardHelpOptions = true,
        description = "List the treatments with parameters, ranges and options.")
final class TreatmentsCommand implements Runnable {
    @Spec private CommandSpec spec;

    @picocli.CommandLine.Option(names = "--json", description = "Print JSON.")
    private boolean json;

    @Override
    public void run() {
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.println(
                    InfoCommand.text(
                            Treatments.all().stream().map(TreatmentsCommand::tree).toList()));
            return;
        }
        for (Treatment treatment : Treatments.all()) {
            Description d = treatment.description();
            out.printf("%s (%s)%n  %s%n", d.id(), of(treatment), d.help());
            parameters(d).forEach(p -> out.println("  " + line(p)));
            for (Option option : d.options()) {
                out.printf("  %-14s %s%n", option.name(), String.join(" | ", option.choices()));
            }
        }
    }

    private static String of(Treatment treatment) {
        return treatment instanceof PictureTreatment ? "whole picture" : "per channel";
    }

    /** Parameters, including those of the first item of each series. */
    private static List<Parameter> parameters(Description d) {
        List<Parameter> all = new ArrayList<>(d.parameters());
        d.series().ifPresent(series -> series.parameters().forEach(p -> all.add(first(series, p))));
        return all;
    }

    private static Parameter first(Series series, Parameter p) {
        return Parameter.of(
                series.address(0, p.name()), p.title(), p.unit(), p.min(), p.max(), p.rest(), 1);
    }

    private static String line(Parameter p) {
        return String.format(
                        "%-14s %s to %s %s, default %s",
                        p.name(),
                        LooksCommand.plain(p.min()),
                        LooksCommand.plain(p.max()),
                        p.unit(),
                        LooksCommand.plain(p.rest()))
                .replace(" ,", ",");
    }

    private static Map<String, Object> tree(Treatment treatment) {
        Description d = treatment.description();
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("name", d.id());
        tree.put("title", d.title());
        tree.put("of", treatment instanceof PictureTreatment ? "picture" : "channels");
        tree.put("help", d.help());
        tree.put("parameters", d.parameters().stream().map(TreatmentsCommand::tree).toList());
        d.series()
                .ifPresent(
                        series -> {
                            Map<String, Object> items = new LinkedHashMap<>();
                            items.put("name", series.name());
                            items.put(
                                    "parameters",
                                    series.parameters().stream()
                                            .map(TreatmentsCommand::tree)
                                            .toList());
                            tree.put("series", items);
                        });
        List<Map<String, Object>> options = new ArrayList<>();
        for (Option option : d.options()) {
            Map<String, Object> each = new LinkedHashMap<>();
            each.put("name", option.name());
            each.put("help", option.help());
            each.put("choices", option.choices());
            options.add(each);
        }
        tree.put("options", options);
        return tree;
    }

    private static Map<String, Object> tree(Parameter p) {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("name", p.name());
        tree.put("title", p.title());
        tree.put("unit", p.unit());
        tree.put("min", p.min());
        tree.put("max", p.max());
        tree.put("default", p.rest());
        return tree;
    }
}
