package ivrik.cli;

import ivrik.cli.farm.FarmException;
import ivrik.cli.farm.FarmFolder;
import ivrik.cli.farm.FarmPlan;
import ivrik.cli.farm.Scheduler;
import ivrik.core.project.Project;
import ivrik.media.decode.FilePatterns;
import ivrik.media.decode.Import;
import ivrik.media.encode.Batch;
import ivrik.media.encode.Export;
import ivrik.media.encode.OutputName;
import ivrik.media.encode.SharedExport;
import ivrik.media.file.ProjectFile;
import ivrik.media.pack.ProjectPackage;
import ivrik.media.pack.Unpacking;

import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

@Command(
        name = "farm",
        mixinStandardHelpOptions = true,
        description = {
            "Render a project, or apply a look to many clips, on several computers.",
            "",
            "Submits the parts as jobs to an existing scheduler, and one job that joins"
                    + " them. Run again, it continues: finished parts are skipped. All computers"
                    + " must see the same folders. OUT.farm holds the state and one log per part."
        })
final class FarmCommand implements Callable<Integer> {
    private static final int FRAMES_A_PART = 96;

    /**
     * Each part has an overhead, and at the end finished nodes wait for the slowest; {@code docs/scale.md}
     * derives the number.
     */
    private static final int PARTS_A_PLACE = 8;

    /** Default limit of job arrays in schedulers. */
    private static final int MAX_PARTS = 1000;

    private static final int LOOK_AGAIN_MS = 500;

    @Spec private CommandSpec spec;

    @Parameters(
            paramLabel = "INPUT",
            arity = "1..*",
            description = "A project; or clips with --look, one part per clip.")
    private List<String> inputs;

    @ArgGroup(exclusive = false)
    private LookOptions look;

    @Mixin(name = "output")
    private OutputOptions output;

    @Mixin(name = "scale")
    private ScaleOption scale;

    @Option(
            names = "--parts",
            paramLabel = "N",
            description =
                    "Number of parts. Default: one per 96 frames, at most eight times --parallel.")
    private Integer parts;

    @Option(
            names = "--scheduler",
            paramLabel = "NAME|FILE",
            defaultValue = "slurm",
            description =
                    "slurm, local (this machine, or GNU parallel), kubernetes (a manifest), or a"
                            + " script; ${DEFAULT-VALUE} by default.")
    private String scheduler;

    @Option(
            names = "--parallel",
            paramLabel = "N",
            defaultValue = "500",
            description = "Largest number of parts at a time. Default: ${DEFAULT-VALUE}.")
    private int parallel;

    @Option(
            names = "--retries",
            paramLabel = "N",
            defaultValue = "2",
            description = "Number of retries of a failed part. Default: ${DEFAULT-VALUE}.")
    private int retries;

    @Option(names = "--copy", description = "Copy the project and its footage to OUT.farm first.")
    private boolean copy;

    @Option(names = "--restart", description = "Discard finished parts and start again.")
    private boolean again;

    @Option(names = "--dry-run", description = "Print the commands without running them.")
    private boolean dryRun;

    @Option(names = "--no-wait", description = "Return after submitting the jobs.")
    private boolean noWait;

    @Option(names = "--cancel", description = "Cancel unfinished jobs.")
    private boolean cancel;

    @Option(
            names = "--program",
            paramLabel = "FILE",
            description = "Path of the 'ivrik' command on the other computers, if different.")
    private Path program;

    private PrintWriter err;

    @Override
    public Integer call() {
        err = spec.commandLine().getErr();
        Path folder = FarmFolder.of(output.out);
        if (cancel) {
            Scheduler.cancel(FarmFolder.open(folder));
            err.println("ivrik: cancelled; finished parts are kept; run again to continue");
            return 0;
        }
        if (parallel < 1 || retries < 0 || parts != null && parts < 1) {
            throw new ParameterException(
                    spec.commandLine(),
                    "--parts and --parallel must be at least 1, --retries at least 0");
        }
        Scheduler chosen = Scheduler.of(scheduler);
        if (again && !dryRun) {
            forget(folder);
        }
        FarmPlan plan = look == null ? planned(folder) : applied();
        if (dryRun) {
            return report(plan);
        }
        FarmFolder farm = FarmFolder.begin(folder, plan, program(), retries);
        if (farm.isJoined()) {
            err.println("ivrik: all parts are finished; use --restart to render again");
            return 0;
        }
        if (!Scheduler.isAlive(farm)) {
            List<Integer> missing = farm.missing();
            err.printf("ivrik: %d of %d parts to render%n", missing.size(), farm.parts());
            String said = chosen.submit(farm, missing, parallel);
            if (!said.isEmpty()) {
                err.println("ivrik: note: " + said);
            }
        }
        return noWait || farm.jobs().isEmpty() ? 0 : await(farm);
    }

    private void forget(Path folder) {
        if (FarmFolder.isThere(folder) && Scheduler.isAlive(FarmFolder.open(folder))) {
            throw FarmException.atWork(folder);
        }
        FarmFolder.remove(folder);
        SharedExport.forget(output.out);
    }

    private Path program() {
        String here = program == null ? System.getProperty("ivrik.program") : program.toString();
        if (here == null) {
            throw new ParameterException(
                    spec.commandLine(),
                    "--program must name the 'ivrik' command on the other computers");
        }
        return Path.of(here).toAbsolutePath();
    }

    /**
     * Plans the parts of a project. The farm folder keeps the project as it is now, unaffected by later
     * edits.
     */
    private FarmPlan planned(Path folder) {
        if (inputs.size() > 1) {
            throw new ParameterException(
                    spec.commandLine(), "give one project, or clips with --look");
        }
        Path file = Path.of(inputs.getFirst());
        Project project = InputFiles.project(file);
        Export.Order order = output.order(project, output.out, List.of(file), scale.value);
        if (FarmFolder.isThere(folder)) {
            SharedExport.check(order.withOverwrite(true)); // existing output belongs to this farm
        } else {
            SharedExport.check(order);
        }
        Path kept = dryRun ? file.toAbsolutePath() : keep(project, folder);
        long most = Math.min(MAX_PARTS, SharedExport.count(order));
        long usual =
                Math.min(
                        Math.ceilDiv(order.range().length(), FRAMES_A_PART),
                        (long) PARTS_A_PLACE * parallel);
        int count = (int) Math.max(1, Math.min(most, parts == null ? usual : parts));
        Path out = output.out.toAbsolutePath().normalize();
        List<List<String>> each =
                IntStream.rangeClosed(1, count)
                        .mapToObj(k -> part(kept, out, k + "/" + count))
                        .toList();
        List<String> join =
                order.format().isMovie()
                        ? List.of("join", out + ".parts", "-o", out.toString(), "--overwrite")
                        : List.of();
        return new FarmPlan(each, join);
    }

    private List<String> part(Path project, Path out, String share) {
        List<String> arguments = new ArrayList<>(List.of("render", project.toString()));
        arguments.addAll(List.of("--part", share, "-o", out.toString(), "--overwrite"));
        arguments.addAll(passedOn());
        return arguments;
    }

    /** The project that the parts render; a continued farm keeps its own. */
    private Path keep(Project project, Path folder) {
        Path own = folder.resolve("project" + ProjectFile.ENDING);
        Path copies = folder.resolve("copies");
        if (!FarmFolder.isThere(folder)) {
            FarmFolder.prepare(folder);
            ProjectFile.save(own, project);
            if (copy) {
                Path zip = folder.resolve("copies.zip");
                ProjectPackage.write(project, Import.name(own), zip);
                Unpacking.into(zip, copies);
                zip.toFile().delete();
            }
        } else if (!ProjectFile.open(own).project().equals(project)) {
            throw FarmException.ofSomethingElse(folder);
        }
        return copy ? copies.resolve(own.getFileName()) : own;
    }

    /** Plans one part per clip. */
    private FarmPlan applied() {
        look.set(spec.commandLine());
        List<Path> clips = inputs.stream().flatMap(i -> FilePatterns.of(i).stream()).toList();
        if (clips.size() > 1 && !OutputName.isTemplate(output.out.toString())) {
            throw new ParameterException(
                    spec.commandLine(), "with several clips, OUT must contain {name}");
        }
        List<List<String>> each = new ArrayList<>();
        for (Batch.Item item : Batch.items(clips, output.out.toString())) {
            List<String> arguments = new ArrayList<>(List.of("apply"));
            arguments.add(item.input().toAbsolutePath().toString());
            arguments.addAll(List.of("-o", item.out().toAbsolutePath().toString(), "--overwrite"));
            arguments.addAll(passedOn());
            each.add(arguments);
        }
        return new FarmPlan(each, List.of());
    }

    /** The given options of {@code render} or {@code apply}, without those for the target. */
    private List<String> passedOn() {
        Stream<OptionSpec> theirs =
                Stream.of(
                                spec.mixins().get("output").options(),
                                spec.argGroups().getFirst().options(),
                                spec.mixins().get("scale").options())
                        .flatMap(List::stream);
        Set<String> names =
                theirs.map(OptionSpec::longestName)
                        .filter(name -> !name.equals("--out") && !name.equals("--overwrite"))
                        .collect(Collectors.toSet());
        List<String> arguments = new ArrayList<>();
        for (OptionSpec option : spec.commandLine().getParseResult().matchedOptions()) {
            String name = option.longestName();
            if (!names.contains(name)) {
                continue;
            }
            if (option.arity().max() == 0) {
                arguments.add(name);
                continue;
            }
            for (String value : option.originalStringValues()) {
                arguments.add(name);
                arguments.add(name.equals("--look") ? wholeLook(value) : value);
            }
        }
        return arguments;
    }

    private static String wholeLook(String nameOrFile) {
        return InputFiles.file(nameOrFile)
                .map(file -> file.toAbsolutePath().toString())
                .orElse(nameOrFile);
    }

    private int report(FarmPlan plan) {
        PrintWriter out = spec.commandLine().getOut();
        Stream.concat(plan.parts().stream(), Stream.of(plan.join()))
                .filter(arguments -> !arguments.isEmpty())
                .forEach(arguments -> out.println("ivrik " + String.join(" ", arguments)));
        err.printf("ivrik: %d parts; dry run, nothing submitted%n", plan.parts().size());
        return 0;
    }

    /** Shows progress. Interrupting the wait does not stop the jobs. */
    private int await(FarmFolder farm) {
        int reported = -1;
        while (true) {
            boolean alive =
                    Scheduler.isAlive(farm); // read before the check, so that no progress is missed
            int done = farm.parts() - farm.missing().size();
            if (done != reported) {
                err.printf("ivrik: %d of %d parts finished%n", done, farm.parts());
                reported = done;
            }
            if (farm.isJoined()) {
                return 0;
            }
            if (!alive) {
                return failed(farm);
            }
            try {
                Thread.sleep(LOOK_AGAIN_MS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return 1;
            }
        }
    }

    private int failed(FarmFolder farm) {
        for (int part : farm.missing()) {
            err.printf("ivrik: part %d failed: %s%n", part, farm.log(Integer.toString(part)));
        }
        if (farm.missing().isEmpty()) {
            err.printf("ivrik: joining failed: %s%n", farm.log("join"));
        }
        err.println("ivrik: run again to render the missing parts");
        return 1;
    }
}
