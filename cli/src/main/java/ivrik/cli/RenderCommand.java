package ivrik.cli;

import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.project.Takes;
import ivrik.core.project.Takes.OfLayer;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.UnreadableMediaException;
import ivrik.media.encode.ChannelExport;
import ivrik.media.encode.ChannelFormat;
import ivrik.media.encode.Export;
import ivrik.media.encode.ExportShare;
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
            names = "--channels",
            description =
                    "Export the treated channels of every look, before the rejoin, into the folder"
                            + " OUT: LAYER/LOOK/CHANNEL-0000.exr, or as --channel-format selects.")
    private boolean channels;

    @Option(
            names = "--channel-format",
            paramLabel = "FORMAT",
            defaultValue = "float",
            description =
                    "float: one EXR per channel, unclamped; layers: one multi-part EXR; greys or"
                            + " inked: 16-bit PNG. Default: ${DEFAULT-VALUE}.")
    private String channelFormat;

    @Option(
            names = "--take",
            paramLabel = "NAME",
            description =
                    "Render this take instead of the current looks; may be repeated with {take} in"
                            + " OUT.")
    private List<String> takes = List.of();

    @Option(names = "--marked", description = "Render every take marked for export.")
    private boolean marked;

    @Option(
            names = "--part",
            paramLabel = "K/N",
            converter = Part.class,
            description =
                    "Render part K of N, to share work between computers. Stills are written"
                            + " directly; movie parts are collected in OUT.parts for 'ivrik join'.")
    private ExportShare part;

    @Mixin private OutputOptions output;

    @Override
    public void run() {
        if (part != null && (channels || marked || !takes.isEmpty())) {
            throw new ParameterException(
                    spec.commandLine(),
                    "--part cannot be combined with --channels, --take or --marked");
        }
        Project project = InputFiles.project(file);
        if (part != null) {
            writePart(project);
            return;
        }
        if (channels) {
            writeChannels(project);
            return;
        }
        if (marked || !takes.isEmpty()) {
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
                        Cancellation.NEVER)
                .forEach(word -> err.println("ivrik: note: " + word));
    }

    /** {@code K/N}. */
    static final class Part implements ITypeConverter<ExportShare> {
        @Override
        public ExportShare convert(String text) {
            try {
                return ExportShare.parse(text);
            } catch (IllegalArgumentException e) {
                throw new TypeConversionException(e.getMessage());
            }
        }
    }

    private void writeTakes(Project project) {
        PrintWriter err = spec.commandLine().getErr();
        List<OfLayer> wanted =
                Stream.concat(
                                marked ? Takes.marked(project).stream() : Stream.of(),
                                takes.stream().flatMap(n -> Takes.named(project, n).stream()))
                        .distinct()
                        .toList();
        if (wanted.isEmpty()) {
            throw new UnreadableMediaException(
                    "no take is marked for export in " + file,
                    "mark takes in the window or name them with --take");
        }
        List<Export.Order> orders =
                TakeExport.orders(
                        output.order(project, output.out, List.of(file), scale.value), wanted);
        long frames = orders.stream().mapToLong(o -> o.range().length()).sum();
        TakeExport.run(
                        orders,
                        Workers.shared(),
                        output.saying(new FrameRange(0, frames - 1), err),
                        Cancellation.NEVER)
                .forEach(word -> err.println("ivrik: note: " + word));
    }

    private void writeChannels(Project project) {
        FrameRange range = output.range(project);
        ChannelExport treated =
                new ChannelExport(project, range, ChannelFormat.named(channelFormat), output.out);
        output.overwriting.check(
                treated.files(),
                Stream.concat(Stream.of(file), treated.inputs().stream()).toList());
        treated.write(
                scale.value,
                Workers.shared(),
                output.saying(range, spec.commandLine().getErr()),
                Cancellation.NEVER);
    }
}
