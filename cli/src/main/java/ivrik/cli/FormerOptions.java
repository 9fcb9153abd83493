package ivrik.cli;

import picocli.CommandLine;
import picocli.CommandLine.IParameterExceptionHandler;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Options that were renamed with version 3 of the files. They are refused with the current name. */
final class FormerOptions {
    private static final Map<String, String> PRESENT =
            Map.of(
                    "--form", "--format",
                    "--lanes", "--channels",
                    "--lane-form", "--channel-format",
                    "--picked", "--marked",
                    "--taken-as", "--colour-space",
                    "--again", "--restart",
                    "--off", "--correct",
                    "--as-delivered", "--no-conversion",
                    "--sample", "--sampling",
                    "--at-once", "--parallel");

    private FormerOptions() {}

    /** Names the current option in the message for a command line with a former one. */
    static CommandLine refusedBy(CommandLine line) {
        IParameterExceptionHandler usual = line.getParameterExceptionHandler();
        return line.setParameterExceptionHandler(
                (fault, args) -> {
                    Optional<String> former =
                            Stream.of(args)
                                    .map(arg -> arg.split("=", 2)[0])
                                    .filter(PRESENT::containsKey)
                                    .findFirst();
                    if (former.isEmpty()) {
                        return usual.handleParseException(fault, args);
                    }
                    line.getErr()
                            .printf(
                                    "ivrik: the option %s is now named %s%n",
                                    former.get(), PRESENT.get(former.get()));
                    return CommandLine.ExitCode.USAGE;
                });
    }
}
