package ivrik.cli;

import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;

import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

import java.nio.file.Path;
import java.util.List;

@Command(
        name = "separate",
        mixinStandardHelpOptions = true,
        description =
                "Export the channels of a picture as 32-bit float OpenEXR files, with"
                        + " separation.json.")
final class SeparateCommand implements Runnable {
    @Parameters(paramLabel = "INPUT")
    private Path input;

    @Option(
            names = "--model",
            required = true,
            paramLabel = "MODEL",
            description =
                    "rgb, cmy, cmyk, cmyk:0.6, ycbcr-601, ycbcr-709, ycbcr-2020, ycocg, xyz, lms,"
                            + " lab, oklab, hsv, or primaries:RRGGBB,RRGGBB,RRGGBB.")
    private String model;

    @Option(
            names = "--frame",
            defaultValue = "0",
            paramLabel = "N",
            description = "Frame number, counted from 0.")
    private long frame;

    @Option(
            names = {"-o", "--out"},
            required = true,
            paramLabel = "DIR")
    private Path out;

    @Mixin private InputOptions reading;

    @Mixin private OverwriteOption overwriting;

    @Override
    public void run() {
        Workers workers = Workers.shared();
        Separation separation = Separations.named(model);
        overwriting.check(SeparationFolder.files(out, separation), List.of(input));
        try (Footage footage = Footage.open(input, reading.reading(), workers)) {
            SeparationFolder.write(
                    out,
                    new SeparationFolder.Picture(
                            reading.delivered
                                    ? footage.delivered(frame, footage.size())
                                    : footage.frame(frame, footage.size()),
                            footage.depth()),
                    separation,
                    workers);
        }
    }
}
