package ivrik.proof;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * All formats read and written under valgrind: no access outside allocated memory, and none to freed memory.
 */
final class NativeMemory implements Trial {
    /** The dynamic linker reads its own strings by words. */
    private static final String LINKER = "dl-load.c";

    private static final Pattern BLOCK =
            Pattern.compile("Address 0x\\w+ is .* (a block of size|free'd)");

    @Override
    public String name() {
        return "native-memory";
    }

    @Override
    public int run(long seed, Path folder) throws Exception {
        Path log = folder.resolve("valgrind.log");
        List<String> command =
                new ArrayList<>(
                        List.of(
                                "valgrind",
                                "--smc-check=all",
                                "--error-limit=no",
                                "--undef-value-errors=no",
                                "--log-file=" + log));
        command.addAll(
                Java.command(
                        List.of("-Xint", "-Xshare:off", "-XX:+UseSerialGC", "-Xmx512m"),
                        MediaMatrix.class,
                        Files.createDirectories(folder.resolve("media")),
                        seed));
        Process process;
        try {
            process =
                    new ProcessBuilder(command)
                            .redirectOutput(folder.resolve("said.txt").toFile())
                            .redirectError(folder.resolve("errors.txt").toFile())
                            .start();
        } catch (java.io.IOException e) {
            System.out.println("native-memory: valgrind is not installed, nothing was checked");
            return 0;
        }
        int exit = process.waitFor();
        if (exit != 0) {
            throw new Failure(
                    "exit " + exit + ": " + Files.readString(folder.resolve("errors.txt")));
        }
        String[] faults = Files.readString(log).split("==\\d+== \\R");
        for (String fault : faults) {
            if (BLOCK.matcher(fault).find() && !fault.contains(LINKER)) {
                throw new Failure(fault);
            }
        }
        return (int) Files.readAllLines(folder.resolve("said.txt")).stream().count();
    }
}
