package ivrik.proof;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Random;

/**
 * Pictures, movies, graphics, tables and separated channels with wrong, missing or additional bytes, read in
 * a separate process: each is read or refused within 10 s of processor time with a message that names the
 * file, and the process survives.
 */
final class MediaMutants implements Trial {
    private static final Duration BOUND = Duration.ofSeconds(10);

    /** Wall-clock limit for a starved process. */
    private static final Duration PATIENCE = Duration.ofMinutes(3);

    private static final byte[] TELLING = {0, 1, 0x7f, (byte) 0xff, (byte) 0x80, '-', '9', '<'};

    private final int times;

    /**
     * @param times files per process
     */
    MediaMutants(int times) {
        this.times = times;
    }

    @Override
    public String name() {
        return "media-mutants";
    }

    @Override
    public int run(long seed, Path folder) throws Exception {
        Random random = new Random(seed);
        List<Path> whole = Samples.files();
        Process process =
                new ProcessBuilder(
                                Java.command(
                                        List.of("-Xmx1g", "-Divrik.data=" + folder.resolve("data")),
                                        MediaReader.class,
                                        folder,
                                        Samples.still()))
                        .redirectError(folder.resolve("errors.txt").toFile())
                        .start();
        try (var asked = process.outputWriter();
                BufferedReader said = process.inputReader()) {
            ask(asked, Samples.still());
            said.readLine(); // the process is running
            for (int i = 0; i < times; i++) {
                Path file = mutant(whole.get(random.nextInt(whole.size())), folder, i, random);
                ask(asked, file);
                check(process, said, file);
            }
        } finally {
            process.destroyForcibly();
        }
        return times;
    }

    private static void ask(Writer asked, Path file) throws IOException {
        asked.write(file + "\n");
        asked.flush();
    }

    private static void check(Process process, BufferedReader said, Path file) throws Exception {
        long begun = System.nanoTime();
        Duration before = own(process);
        while (!said.ready()) {
            if (!process.isAlive()) {
                throw new Failure(file + " ended the process with " + process.exitValue());
            }
            Duration took = Duration.ofNanos(System.nanoTime() - begun);
            if (own(process).minus(before).compareTo(BOUND) > 0 || took.compareTo(PATIENCE) > 0) {
                throw new Failure(
                        file + " was neither read nor refused after " + took.toSeconds() + " s");
            }
            Thread.sleep(2);
        }
        String answer = said.readLine();
        if (!answer.isEmpty()) {
            throw new Failure(file + ": " + answer);
        }
        try (var left = Files.list(file.getParent())) {
            for (Path path :
                    left.filter(p -> p.getFileName().toString().startsWith("m")).toList()) {
                Folders.remove(path);
            }
        }
    }

    /** Processor time of all threads. */
    private static Duration own(Process process) {
        return process.info().totalCpuDuration().orElse(Duration.ZERO);
    }

    /** A copy of a file, or of a folder with one file replaced. */
    private static Path mutant(Path whole, Path folder, int number, Random random)
            throws IOException {
        Path copy = folder.resolve("m" + number + "-" + whole.getFileName());
        if (!Files.isDirectory(whole)) {
            Files.write(copy, spoilt(Files.readAllBytes(whole), random));
            return copy;
        }
        Files.createDirectories(copy);
        List<Path> files;
        try (var all = Files.list(whole)) {
            files = all.sorted().toList();
        }
        Path wrong =
                random.nextBoolean() ? files.getLast() : files.get(random.nextInt(files.size()));
        for (Path file : files) {
            byte[] bytes = Files.readAllBytes(file);
            Path to = copy.resolve(file.getFileName());
            Files.write(to, file.equals(wrong) ? spoilt(bytes, random) : bytes);
        }
        return copy;
    }

    private static byte[] spoilt(byte[] bytes, Random random) {
        int at = random.nextInt(random.nextBoolean() ? bytes.length : Math.min(200, bytes.length));
        switch (random.nextInt(5)) {
            case 0 -> {
                return Arrays.copyOf(bytes, at);
            }
            case 1 -> {
                byte[] longer = Arrays.copyOf(bytes, bytes.length + 1 + random.nextInt(64));
                System.arraycopy(
                        bytes, at, longer, longer.length - bytes.length + at, bytes.length - at);
                return longer;
            }
            case 2 -> {
                int length = Math.min(bytes.length - at, 1 + random.nextInt(16));
                byte[] noise = new byte[length];
                random.nextBytes(noise);
                System.arraycopy(noise, 0, bytes, at, length);
                return bytes;
            }
            case 3 -> {
                for (int i = 0; i < 1 + bytes.length / 200; i++) {
                    bytes[random.nextInt(bytes.length)] ^= (byte) (1 << random.nextInt(8));
                }
                return bytes;
            }
            default -> {
                bytes[at] = TELLING[random.nextInt(TELLING.length)];
                return bytes;
            }
        }
    }
}
