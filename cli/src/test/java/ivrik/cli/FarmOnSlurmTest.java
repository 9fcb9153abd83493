package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.media.decode.Import;
import ivrik.media.file.ProjectFile;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIf;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/**
 * A farm on a real Slurm of two nodes, which the test starts if Slurm is installed: one part is killed, one
 * node fails, one node's disk is full. The test mostly waits for Slurm, so other tests run beside it.
 */
@EnabledIf("isInstalled")
@Execution(ExecutionMode.CONCURRENT)
class FarmOnSlurmTest {
    private static final String FRAMES = "0-7";

    @TempDir Path folder;
    private Path slurm;
    private Path program;
    private Path project;

    static boolean isInstalled() {
        boolean there =
                Stream.of("slurmctld", "slurmd", "sbatch")
                        .allMatch(
                                name ->
                                        Stream.of("/usr/bin", "/usr/sbin")
                                                .anyMatch(p -> Files.exists(Path.of(p, name))));
        boolean may = "root".equals(System.getProperty("user.name"));
        if (!there || !may) {
            System.out.println("FarmOnSlurmTest: no Slurm here, or not root: nothing was tried");
        }
        return there && may;
    }

    @BeforeEach
    void aSlurmAndAProject() throws Exception {
        slurm = folder.resolve("slurm");
        Path script = Files.createFile(folder.resolve("slurm.sh"));
        try (var in = FarmOnSlurmTest.class.getResourceAsStream("slurm.sh")) {
            Files.write(script, in.readAllBytes());
        }
        Process start =
                new ProcessBuilder("bash", script.toString(), slurm.toString(), "" + port())
                        .redirectErrorStream(true)
                        .redirectOutput(folder.resolve("slurm.txt").toFile())
                        .start();
        assertThat(start.waitFor(60, TimeUnit.SECONDS)).isTrue();
        assertThat(start.exitValue()).as(Files.readString(folder.resolve("slurm.txt"))).isZero();
        project = folder.resolve("tram.ivrik");
        Path tram = Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media/tram.webm");
        ProjectFile.save(
                project,
                Import.project(Import.source(tram, "tram"), BuiltInLooks.named("rgb-split")));
    }

    /** The first of three free ports. */
    private static int port() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    @AfterEach
    void stop() throws Exception {
        for (String name : List.of("n1", "n2", "ctld")) {
            kill(name);
        }
        ProcessHandle.allProcesses()
                .filter(p -> p.info().commandLine().orElse("").contains(folder.toString()))
                .filter(p -> p.pid() != ProcessHandle.current().pid())
                .forEach(ProcessHandle::destroyForcibly);
    }

    private void kill(String daemon) throws IOException {
        Path file = slurm.resolve(daemon + ".pid");
        if (Files.exists(file)) {
            ProcessHandle.of(Long.parseLong(Files.readString(file).strip()))
                    .ifPresent(ProcessHandle::destroyForcibly);
        }
    }

    /** Writes the command that runs after a shell snippet; {@code $3} is the number of the part. */
    private void command(String before) throws IOException {
        Path plain = Separately.program(folder.resolve("plain"));
        program = Separately.program(folder.resolve("command"));
        Files.writeString(
                program,
                "#!/usr/bin/env bash\ncd '"
                        + folder
                        + "'\n"
                        + before
                        + "\nexec '"
                        + plain
                        + "' \"$@\"\n");
    }

    /**
     * Runs {@code farm} in its own process with the settings of this Slurm; returns the process.
     */
    private Process farm(String... more) throws IOException {
        List<String> words = new ArrayList<>(List.of("farm", project.toString()));
        words.addAll(List.of("--frames", FRAMES, "--scale", "0.25", "--parts", "4"));
        words.addAll(List.of("--program", program.toString(), "-o", stills("farmed")));
        words.addAll(List.of(more));
        ProcessBuilder builder =
                new ProcessBuilder(Separately.command(words.toArray(String[]::new)));
        builder.environment().put("SLURM_CONF", slurm.resolve("slurm.conf").toString());
        return builder.redirectErrorStream(true).redirectOutput(said().toFile()).start();
    }

    private Path said() {
        return folder.resolve("said.txt");
    }

    private String stills(String name) {
        return folder.resolve(name + "-%04d.png").toString();
    }

    private int end(Process farm) throws Exception {
        assertThat(farm.waitFor(150, TimeUnit.SECONDS)).as(Files.readString(said())).isTrue();
        return farm.exitValue();
    }

    private void assertSameAsInOneGo() throws Exception {
        Process whole =
                Separately.ivrik(
                        folder,
                        "render",
                        "" + project,
                        "--frames",
                        FRAMES,
                        "--scale",
                        "0.25",
                        "-o",
                        stills("whole"));
        assertThat(whole.waitFor()).isZero();
        for (int n = 0; n < 8; n++) {
            assertThat(Path.of(String.format(stills("farmed"), n)))
                    .hasSameBinaryContentAs(Path.of(String.format(stills("whole"), n)));
        }
    }

    @Test
    void killedPartsAndLostNodesAreRepeated() throws Exception {
        command(
                """
                case $3 in
                  2) [ -e killed ] || { touch killed; kill -9 $$; } ;;
                  3) [ -e lost ] || { echo "$SLURMD_NODENAME" >lost.new; mv lost.new lost; sleep 600; } ;;
                esac\
                """);
        Process farm = farm();
        Path lost = folder.resolve("lost");
        CompletableFuture<?> ended = farm.onExit();
        while (!Files.exists(lost) && !ended.isDone()) {
            Thread.sleep(100);
        }
        assertThat(ended.isDone()).as(Files.readString(said())).isFalse();
        kill(Files.readString(lost).strip());
        assertThat(end(farm)).as(Files.readString(said())).isZero();
        assertThat(folder.resolve("killed")).exists();
        assertSameAsInOneGo();
    }

    @Test
    void aFullDiskIsNamedAndTheRestIsRenderedLater() throws Exception {
        command("[ ! -e mended ] && [ \"$SLURMD_NODENAME\" = n2 ] && ulimit -f 8");
        assertThat(end(farm("--retries", "0"))).as(Files.readString(said())).isEqualTo(1);
        String said = Files.readString(said());
        assertThat(said).contains("failed").contains("run again to render the missing parts");
        String log = said.lines().filter(l -> l.contains(" failed: ")).findFirst().orElseThrow();
        assertThat(Path.of(log.substring(log.indexOf(": /") + 2))).content().contains("farmed-");
        Files.createFile(folder.resolve("mended"));
        assertThat(end(farm("--retries", "0"))).as(Files.readString(said())).isZero();
        assertSameAsInOneGo();
    }

    @Test
    void jobsAreCancelled() throws Exception {
        command("touch \"begun-$3\"; sleep 600");
        assertThat(end(farm("--no-wait"))).as(Files.readString(said())).isZero();
        while (!Files.exists(folder.resolve("begun-1"))) {
            Thread.sleep(100);
        }
        assertThat(end(farm("--cancel"))).as(Files.readString(said())).isZero();
        assertThat(Files.readString(said())).contains("finished parts are kept");
        for (String left = jobs(); !left.isEmpty(); left = jobs()) {
            Thread.sleep(200); // until Slurm has ended the jobs
        }
        assertThat(Path.of(stills("farmed") + ".farm/done")).isEmptyDirectory();
    }

    private String jobs() throws Exception {
        ProcessBuilder builder = new ProcessBuilder("squeue", "--noheader");
        builder.environment().put("SLURM_CONF", slurm.resolve("slurm.conf").toString());
        Process process = builder.start();
        String said = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor()).isZero();
        return said.strip();
    }
}
