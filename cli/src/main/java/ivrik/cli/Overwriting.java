package ivrik.cli;

import ivrik.media.encode.OutputFiles;

import picocli.CommandLine.Option;

import java.nio.file.Path;
import java.util.Collection;
import java.util.List;

/** Whether files that are there may be replaced; those that are read never are. */
final class Overwriting {
    @Option(names = "--overwrite", description = "Replace files that are there already.")
    boolean allowed;

    /** Refuses to write over an input, and over anything else unless it is allowed. */
    void check(Collection<Path> outs, Collection<Path> inputs) {
        List<Path> existing = OutputFiles.existing(outs);
        OutputFiles.protect(existing, inputs);
        if (!allowed) {
            OutputFiles.refuse(existing);
        }
    }
}
