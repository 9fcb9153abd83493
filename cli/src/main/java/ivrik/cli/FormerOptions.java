package ivrik.cli;

import picocli.CommandLine;
import picocli.CommandLine.IParameterExceptionHandler;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Options and values that were renamed with version 3 of the files. They are refused with the current name. */
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

    /** Options with a former value, as they may be typed. */
    private static final Pattern FINEST = Pattern.compile("--quality[= ]finest");

    private FormerOptions() {}

    /** Names the current option or value in the message for a command line with a former one. */
    static CommandLine refusedBy(CommandLine line) {
        IParameterExceptionHandler usual = line.getParameterExceptionHandler();
        return line.setParameterExceptionHandler(
                (fault, args) -> {
                    String former = renamed(args);
                    if (former.isEmpty()) {
                        return usual.handleParseException(fault, args);
                    }
                    line.getErr().printf("ivrik: %s%n", former);
                    return CommandLine.ExitCode.USAGE;
                });
    }

    /** The message for the first former option or value; empty if there is none. */
    private static String renamed(String... args) {
        if (FINEST.matcher(String.join(" ", args).toLowerCase(Locale.ROOT)).find()) {
            return "the quality 'finest' is now named 'best'";
        }
        return Stream.of(args)
                .map(arg -> arg.split("=", 2)[0])
                .filter(PRESENT::containsKey)
                .findFirst()
                .map(arg -> "the option " + arg + " is now named " + PRESENT.get(arg))
                .orElse("");
    }
}
