package ivrik.cli;

import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancel;
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

/** Many clips, made one after the other, and told about. */
final class ManyClips {
    private final OutputOptions output;
    private final List<Path> also;
    private final Function<Path, Project> project;
    private final PrintWriter out;
    private final PrintWriter err;

    /**
     * @param also files besides the clips that each is made from
     * @param project what is made of a clip
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
     * @param again whether those that are finished are made again
     * @return the exit code
     */
    int make(List<Path> clips, boolean again, boolean json) {
        List<Item> items = Batch.items(clips, output.out.toString());
        List<Report> reports = Batch.run(items, also, again, new Making(), Cancel.NEVER);
        if (json) {
            out.println(InfoCommand.text(tree(reports)));
        }
        tell(reports);
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
                    output.saying(item.words() + ": ", output.range(made), err));
        }
    }

    /** Notes on those that were made, then what could not be. */
    private void tell(List<Report> reports) {
        for (Report report : reports) {
            if (report.outcome() == Outcome.DONE) {
                report.words()
                        .forEach(
                                w -> err.printf("ivrik: note: %s: %s%n", report.item().input(), w));
            }
        }
        err.printf(
                "ivrik: %d made, %d finished before and left, %d could not be made%n",
                Batch.count(reports, Outcome.DONE),
                Batch.count(reports, Outcome.LEFT),
                Batch.count(reports, Outcome.FAILED));
        for (Report report : reports) {
            if (report.outcome() == Outcome.FAILED) {
                err.printf(
                        "ivrik: %s: %s%n",
                        report.item().input(), String.join("; ", report.words()));
            }
        }
    }

    private static Map<String, Object> tree(List<Report> reports) {
        Map<String, Object> tree = new LinkedHashMap<>();
        for (Outcome outcome : Outcome.values()) {
            tree.put(word(outcome), Batch.count(reports, outcome));
        }
        tree.put("clips", reports.stream().map(ManyClips::tree).toList());
        return tree;
    }

    private static Map<String, Object> tree(Report report) {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("input", report.item().input().toString());
        tree.put("output", report.item().out().toString());
        tree.put("outcome", word(report.outcome()));
        tree.put("words", report.words());
        return tree;
    }

    private static String word(Outcome outcome) {
        return outcome.name().toLowerCase(Locale.ROOT);
    }
}
