package ivrik.cli;

import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.project.Takes;
import ivrik.core.project.Takes.OfLayer;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;
import ivrik.media.UnreadableMediaException;
import ivrik.media.encode.Export;
import ivrik.media.encode.LaneExport;
import ivrik.media.encode.LaneForm;
import ivrik.media.encode.Share;
import ivrik.media.encode.SharedExport;
import ivrik.media.encode.TakeExport;

import picocli.CommandLine.Command;
import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import picocli.CommandLine.TypeConversionException;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

@Command(name = "render", mixinStandardHelpOptions = true, description = "Render a project.")
final class RenderCommand implements Runnable {
    @Spec private CommandSpec spec;

    @Parameters(paramLabel = "PROJECT")
    private Path file;

    @Mixin(name = "scale")
    private ScaleOption scale;

    @Option(
            names = "--lanes",
            description =
                    "Write the treated lanes of every look, before they are rejoined, into the"
                            + " folder OUT: LAYER/LOOK/LANE-0000.exr, or as --lane-form says.")
    private boolean lanes;

    @Option(
            names = "--lane-form",
            paramLabel = "FORM",
            defaultValue = "float",
            description =
                    "float: an EXR for each lane, its values as they are; layers: one EXR with a"
                            + " part for each lane; greys or inked: 16-bit PNG. ${DEFAULT-VALUE} by"
                            + " default.")
    private String laneForm;

    @Option(
            names = "--take",
            paramLabel = "NAME",
            description =
                    "What is kept under that name in place of what is done now; may be there"
                            + " several times, with {take} in OUT.")
    private List<String> takes = List.of();

    @Option(names = "--picked", description = "Every take that is picked in the project.")
    private boolean picked;

    @Option(
            names = "--part",
            paramLabel = "K/N",
            converter = Part.class,
            description =
                    "Only the K-th of N parts, as several machines do it. Stills go to their names;"
                            + " a movie's gather in OUT.parts until 'ivrik join' puts them"
                            + " together.")
    private Share part;

    @Mixin private OutputOptions output;

    @Override
    public void run() {
        if (part != null && (lanes || picked || !takes.isEmpty())) {
            throw new ParameterException(
                    spec.commandLine(), "--part goes with none of --lanes, --take and --picked");
        }
        Project project = Inputs.project(file);
        if (part != null) {
            writePart(project);
            return;
        }
        if (lanes) {
            writeLanes(project);
            return;
        }
        if (picked || !takes.isEmpty()) {
            writeTakes(project);
            return;
        }
        output.export(project, List.of(file), scale.value, spec.commandLine().getErr());
    }

    private void writePart(Project project) {
        PrintWriter err = spec.commandLine().getErr();
        SharedExport.run(
                        output.order(project, output.out, List.of(file), scale.value),
                        part,
                        Workers.shared(),
                        output.saying(output.range(project), err),
                        Cancel.NEVER)
                .forEach(word -> err.println("ivrik: note: " + word));
    }

    /** {@code K/N}. */
    static final class Part implements ITypeConverter<Share> {
        @Override
        public Share convert(String text) {
            try {
                return Share.parse(text);
            } catch (IllegalArgumentException e) {
                throw new TypeConversionException(e.getMessage());
            }
        }
    }

    private void writeTakes(Project project) {
        PrintWriter err = spec.commandLine().getErr();
        List<OfLayer> wanted =
                Stream.concat(
                                picked ? Takes.picked(project).stream() : Stream.of(),
                                takes.stream().flatMap(n -> Takes.named(project, n).stream()))
                        .distinct()
                        .toList();
        if (wanted.isEmpty()) {
            throw new UnreadableMediaException(
                    "no take is picked in " + file,
                    "pick some in the window, or name them with --take");
        }
        List<Export.Order> orders =
                TakeExport.orders(
                        output.order(project, output.out, List.of(file), scale.value), wanted);
        long frames = orders.stream().mapToLong(o -> o.range().length()).sum();
        TakeExport.run(
                        orders,
                        Workers.shared(),
                        output.saying(new FrameRange(0, frames - 1), err),
                        Cancel.NEVER)
                .forEach(word -> err.println("ivrik: note: " + word));
    }

    private void writeLanes(Project project) {
        FrameRange range = output.range(project);
        LaneExport treated = new LaneExport(project, range, LaneForm.named(laneForm), output.out);
        output.overwriting.check(
                treated.files(),
                Stream.concat(Stream.of(file), treated.inputs().stream()).toList());
        treated.write(
                scale.value,
                Workers.shared(),
                output.saying(range, spec.commandLine().getErr()),
                Cancel.NEVER);
    }
}
