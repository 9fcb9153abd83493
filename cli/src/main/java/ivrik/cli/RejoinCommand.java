package ivrik.cli;

import ivrik.core.threads.Workers;
import ivrik.media.encode.StillWriter;

import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

import java.nio.file.Path;
import java.util.List;

@Command(
        name = "rejoin",
        mixinStandardHelpOptions = true,
        description =
                "Rejoin the channels in a folder written by 'separate' into a picture of the"
                        + " original bit depth.")
final class RejoinCommand implements Runnable {
    @Parameters(paramLabel = "DIR")
    private Path folder;

    @Option(
            names = {"-o", "--out"},
            required = true,
            paramLabel = "OUT",
            description = ".png .tif .exr")
    private Path out;

    @Mixin private OverwriteOption overwriting;

    @Override
    public void run() {
        Workers workers = Workers.shared();
        overwriting.check(List.of(out), SeparationFolder.contents(folder));
        SeparationFolder.Picture picture = SeparationFolder.read(folder, workers);
        StillWriter.write(picture.frame(), out, picture.depth(), workers);
    }
}
