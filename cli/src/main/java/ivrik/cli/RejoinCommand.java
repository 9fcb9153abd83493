package ivrik.cli;

import ivrik.core.picture.Workers;
import ivrik.media.encode.StillWriter;

import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

import java.nio.file.Path;

@Command(
        name = "rejoin",
        mixinStandardHelpOptions = true,
        description =
                "Put the lanes of a folder that separate wrote back into a picture, at its depth.")
final class RejoinCommand implements Runnable {
    @Parameters(paramLabel = "DIR")
    private Path folder;

    @Option(
            names = {"-o", "--out"},
            required = true,
            paramLabel = "OUT",
            description = ".png .tif .exr")
    private Path out;

    @Override
    public void run() {
        Workers workers = Workers.shared();
        SeparationFolder.Picture picture = SeparationFolder.read(folder, workers);
        StillWriter.write(picture.frame(), out, picture.depth(), workers);
    }
}
