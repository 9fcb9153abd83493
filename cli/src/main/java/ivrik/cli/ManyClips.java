package ivrik.cli;

import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancellation;
import ivrik.media.encode.Batch;
import ivrik.media.encode.Batch.Item;
import ivrik.media.encode.Batch.Outcome;
import ivrik.media.encode.Batch.Report;

import picocli.CommandLine;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;

/** Renders several clips in order and reports the results. */
final class ManyClips {
    private final OutputOptions output;
    private final List<Path> also;
    private final Function<Path, Project> project;
    private final PrintWriter out;
    private final PrintWriter err;

    /**
     * @param also further input files of every clip
     * @param project project for a clip
     */
    ManyClips(
            OutputOptions output,
            List<Path> also,
            Function<Path, Project> project,
            CommandLine command) {
        this.output = output;
        this.also = also;
        this.project = project;
        this.out = command.getOut();
        this.err = command.getErr();
    }

    /**
     * @param again whether to render finished clips again
     * @return the exit code
     */
    int make(List<Path> clips, boolean again, boolean json) {
        List<Item> items = Batch.items(clips, output.out.toString());
        List<Report> reports = Batch.run(items, also, again, new Making(), Cancellation.NEVER);
        if (json) {
            out.println(InfoCommand.text(tree(reports)));
        }
        report(reports);
        return Batch.count(reports, Outcome.FAILED) == 0 ? 0 : 1;
    }

    private final class Making implements Batch.Maker {
        @Override
        public FrameRange frames(Item item) {
            return output.range(project.apply(item.input()));
        }

        @Override
        public List<String> make(Item item) {
            Project made = project.apply(item.input());
            return output.export(
                    made,
                    item.out(),
                    also,
                    1,
                    output.saying(item.progress() + ": ", output.range(made), err));
        }
    }

    /** Prints notes on rendered clips, then failures. */
    private void report(List<Report> reports) {
        for (Report report : reports) {
            if (report.outcome() == Outcome.DONE) {
                report.notes()
                        .forEach(
                                w -> err.printf("ivrik: note: %s: %s%n", report.item().input(), w));
            }
        }
        err.printf(
                "ivrik: %d rendered, %d already finished, %d failed%n",
                Batch.count(reports, Outcome.DONE),
                Batch.count(reports, Outcome.LEFT),
                Batch.count(reports, Outcome.FAILED));
        for (Report report : reports) {
            if (report.outcome() == Outcome.FAILED) {
                err.printf(
                        "ivrik: %s: %s%n",
                        report.item().input(), String.join("; ", report.notes()));
            }
        }
    }

    private static Map<String, Object> tree(List<Report> reports) {
        Map<String, Object> tree = new LinkedHashMap<>();
        for (Outcome outcome : Outcome.values()) {
            tree.put(title(outcome), Batch.count(reports, outcome));
        }
        tree.put("clips", reports.stream().map(ManyClips::tree).toList());
        return tree;
    }

    private static Map<String, Object> tree(Report report) {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("input", report.item().input().toString());
        tree.put("output", report.item().out().toString());
        tree.put("outcome", title(report.outcome()));
        tree.put("notes", report.notes());
        return tree;
    }

    private static String title(Outcome outcome) {
        return outcome.name().toLowerCase(Locale.ROOT);
    }
}
