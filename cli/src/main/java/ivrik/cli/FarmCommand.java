package ivrik.cli;

import ivrik.cli.farm.FarmException;
import ivrik.cli.farm.FarmFolder;
import ivrik.cli.farm.FarmPlan;
import ivrik.cli.farm.Scheduler;
import ivrik.core.project.Project;
import ivrik.media.decode.Import;
import ivrik.media.decode.ManyFiles;
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
            "Have a project rendered, or a look applied to many clips, by many machines at once.",
            "",
            "A scheduler that is there already is given the parts as jobs, and one job that joins"
                + " what they made. Begun again it goes on: parts that are done are not done again."
                + " All machines must see the same folders. In OUT.farm lie the marks of what is"
                + " done and a log for each part."
        })
final class FarmCommand implements Callable<Integer> {
    private static final int FRAMES_A_PART = 96;

    /** Each part costs its start; at the end those that are done wait for the slowest: docs/scale.md. */
    private static final int PARTS_A_PLACE = 8;

    /** Schedulers take no longer arrays unless they are told to. */
    private static final int MOST_PARTS = 1000;

    private static final int LOOK_AGAIN_MS = 500;

    @Spec private CommandSpec spec;

    @Parameters(
            paramLabel = "INPUT",
            arity = "1..*",
            description = "A project; or with --look clips, one part each.")
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
                    "How many parts a project is cut into; if left out one for 96 frames, and no"
                            + " more than eight times as many as are done at once.")
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
            names = "--at-once",
            paramLabel = "N",
            defaultValue = "500",
            description = "How many parts at a time at most; ${DEFAULT-VALUE} by default.")
    private int atOnce;

    @Option(
            names = "--retries",
            paramLabel = "N",
            defaultValue = "2",
            description = "How often a part that fails is done again; ${DEFAULT-VALUE} by default.")
    private int retries;

    @Option(names = "--copy", description = "Copy what the project is made of into OUT.farm first.")
    private boolean copy;

    @Option(names = "--again", description = "Forget what is done and begin anew.")
    private boolean again;

    @Option(names = "--dry-run", description = "Say what would be done, and do nothing.")
    private boolean dryRun;

    @Option(names = "--no-wait", description = "End when the jobs are given over.")
    private boolean noWait;

    @Option(names = "--cancel", description = "Take back the jobs that are not done.")
    private boolean cancel;

    @Option(
            names = "--program",
            paramLabel = "FILE",
            description = "The command 'ivrik' on the machines, if it is not this one.")
    private Path program;

    private PrintWriter err;

    @Override
    public Integer call() {
        err = spec.commandLine().getErr();
        Path folder = FarmFolder.of(output.out);
        if (cancel) {
            Scheduler.cancel(FarmFolder.open(folder));
            err.println("ivrik: cancelled; what is done stays, and begun again it goes on");
            return 0;
        }
        if (atOnce < 1 || retries < 0 || parts != null && parts < 1) {
            throw new ParameterException(
                    spec.commandLine(), "--parts and --at-once are 1 or more, --retries 0 or more");
        }
        Scheduler chosen = Scheduler.of(scheduler);
        if (again && !dryRun) {
            forget(folder);
        }
        FarmPlan plan = look == null ? planned(folder) : applied();
        if (dryRun) {
            return tell(plan);
        }
        FarmFolder farm = FarmFolder.begin(folder, plan, program(), retries);
        if (farm.isJoined()) {
            err.println("ivrik: all is done already; --again does it anew");
            return 0;
        }
        if (!Scheduler.isAlive(farm)) {
            List<Integer> missing = farm.missing();
            err.printf("ivrik: %d of %d parts to be done%n", missing.size(), farm.parts());
            String said = chosen.submit(farm, missing, atOnce);
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
                    spec.commandLine(), "--program names the command 'ivrik' on the machines");
        }
        return Path.of(here).toAbsolutePath();
    }

    /** A project's parts; it is kept in the folder as it is now, whatever is edited meanwhile. */
    private FarmPlan planned(Path folder) {
        if (inputs.size() > 1) {
            throw new ParameterException(
                    spec.commandLine(), "one project at a time, or clips with --look");
        }
        Path file = Path.of(inputs.getFirst());
        Project project = Inputs.project(file);
        Export.Order order = output.order(project, output.out, List.of(file), scale.value);
        if (FarmFolder.isThere(folder)) {
            SharedExport.check(order.withOverwrite(true)); // what is there is its own
        } else {
            SharedExport.check(order);
        }
        Path kept = dryRun ? file.toAbsolutePath() : keep(project, folder);
        long most = Math.min(MOST_PARTS, SharedExport.count(order));
        long usual =
                Math.min(
                        Math.ceilDiv(order.range().length(), FRAMES_A_PART),
                        (long) PARTS_A_PLACE * atOnce);
        int count = (int) Math.max(1, Math.min(most, parts == null ? usual : parts));
        Path out = output.out.toAbsolutePath().normalize();
        List<List<String>> each =
                IntStream.rangeClosed(1, count)
                        .mapToObj(k -> part(kept, out, k + "/" + count))
                        .toList();
        List<String> join =
                order.form().isMovie()
                        ? List.of("join", out + ".parts", "-o", out.toString(), "--overwrite")
                        : List.of();
        return new FarmPlan(each, join);
    }

    private List<String> part(Path project, Path out, String share) {
        List<String> words = new ArrayList<>(List.of("render", project.toString()));
        words.addAll(List.of("--part", share, "-o", out.toString(), "--overwrite"));
        words.addAll(passedOn());
        return words;
    }

    /** Where the project is that the parts are made of; a farm that goes on has it. */
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

    /** One part for each clip. */
    private FarmPlan applied() {
        look.set(spec.commandLine());
        List<Path> clips = inputs.stream().flatMap(i -> ManyFiles.of(i).stream()).toList();
        if (clips.size() > 1 && !OutputName.isTemplate(output.out.toString())) {
            throw new ParameterException(
                    spec.commandLine(), "of several clips, OUT has {name} where their names come");
        }
        List<List<String>> each = new ArrayList<>();
        for (Batch.Item item : Batch.items(clips, output.out.toString())) {
            List<String> words = new ArrayList<>(List.of("apply"));
            words.add(item.input().toAbsolutePath().toString());
            words.addAll(List.of("-o", item.out().toAbsolutePath().toString(), "--overwrite"));
            words.addAll(passedOn());
            each.add(words);
        }
        return new FarmPlan(each, List.of());
    }

    /** Options of {@code render} and {@code apply} that were given, as they were given, but for the target's. */
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
        List<String> words = new ArrayList<>();
        for (OptionSpec option : spec.commandLine().getParseResult().matchedOptions()) {
            String name = option.longestName();
            if (!names.contains(name)) {
                continue;
            }
            if (option.arity().max() == 0) {
                words.add(name);
                continue;
            }
            for (String value : option.originalStringValues()) {
                words.add(name);
                words.add(name.equals("--look") ? wholeLook(value) : value);
            }
        }
        return words;
    }

    private static String wholeLook(String nameOrFile) {
        return Inputs.file(nameOrFile)
                .map(file -> file.toAbsolutePath().toString())
                .orElse(nameOrFile);
    }

    private int tell(FarmPlan plan) {
        PrintWriter out = spec.commandLine().getOut();
        Stream.concat(plan.parts().stream(), Stream.of(plan.join()))
                .filter(words -> !words.isEmpty())
                .forEach(words -> out.println("ivrik " + String.join(" ", words)));
        err.printf("ivrik: %d parts; nothing was done%n", plan.parts().size());
        return 0;
    }

    /** Shows how far it is. To stop waiting stops nothing else. */
    private int await(FarmFolder farm) {
        int told = -1;
        while (true) {
            boolean alive = Scheduler.isAlive(farm); // before looking, so that nothing slips by
            int done = farm.parts() - farm.missing().size();
            if (done != told) {
                err.printf("ivrik: %d of %d parts are done%n", done, farm.parts());
                told = done;
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
            err.printf("ivrik: part %d is not done: %s%n", part, farm.log(Integer.toString(part)));
        }
        if (farm.missing().isEmpty()) {
            err.printf("ivrik: the parts are not joined: %s%n", farm.log("join"));
        }
        err.println("ivrik: begun again it goes on with what is missing");
        return 1;
    }
}
