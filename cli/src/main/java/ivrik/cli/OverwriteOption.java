package ivrik.cli;

import ivrik.media.encode.OutputFiles;

import picocli.CommandLine.Option;

import java.nio.file.Path;
import java.util.Collection;
import java.util.List;

/** Whether existing files may be replaced; inputs never are. */
final class OverwriteOption {
    @Option(names = "--overwrite", description = "Replace existing files.")
    boolean allowed;

    /** Refuses to overwrite inputs, and other files without permission. */
    void check(Collection<Path> outs, Collection<Path> inputs) {
        List<Path> existing = OutputFiles.existing(outs);
        OutputFiles.protect(existing, inputs);
        if (!allowed) {
            OutputFiles.refuse(existing);
        }
    }
}
