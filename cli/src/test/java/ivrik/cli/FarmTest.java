package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.media.file.ProjectFile;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.DisabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** A project rendered by several processes, started here by a stand-in for the scheduler. */
@DisabledOnOs(OS.WINDOWS)
class FarmTest extends Commanded {
    private Path project;
    private Path program;

    @BeforeEach
    void aProjectAndACommand() throws IOException {
        Files.createDirectory(folder.resolve("It's a näme 🏮"));
        project = folder.resolve("It's a näme 🏮/some.ivrik");
        Path demo =
                Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/lantern-week.ivrik");
        Project whole = ProjectFile.open(demo).project();
        List<Layer> shots =
                whole.layers().stream().filter(l -> l.id().matches("shots|title")).toList();
        ProjectFile.save(project, whole.withLayers(shots));
        program = Separately.program(folder.resolve("command"));
    }

    private int farm(String... more) {
        List<String> words = new ArrayList<>(List.of("farm", "--program", "" + program));
        words.addAll(List.of(more));
        if (!words.contains("--scheduler")) {
            words.addAll(List.of("--scheduler", "local"));
        }
        return ivrik(words.toArray(String[]::new));
    }

    private String beside(String name) {
        return project.resolveSibling(name).toString();
    }

    private int movie(String out, String... more) {
        return farm(
                Stream.concat(
                                Stream.of("" + project, "--scale", "0.125", "--frames", "20-134"),
                                Stream.concat(Stream.of("-o", beside(out)), Stream.of(more)))
                        .toArray(String[]::new));
    }

    @Test
    void aMovieOfSeveralPartsEqualsASingleRender() throws IOException {
        assertThat(
                        ivrik(
                                "render",
                                "" + project,
                                "--scale",
                                "0.125",
                                "--frames",
                                "20-134",
                                "-o",
                                beside("whole.mp4")))
                .as(err)
                .isZero();
        assertThat(movie("out.mp4", "--dry-run")).as(err).isZero();
        assertThat(out).contains("--part 1/2").contains("--part 2/2").contains("ivrik join");
        assertThat(Path.of(beside("out.mp4.farm"))).doesNotExist();
        assertThat(movie("out.mp4", "--copy")).as(err).isZero();
        assertThat(err).contains("0 of 2 parts finished").contains("2 of 2 parts finished");
        assertThat(Path.of(beside("out.mp4"))).hasSameBinaryContentAs(Path.of(beside("whole.mp4")));
        assertThat(Path.of(beside("out.mp4.farm/logs/2.txt"))).content().contains("ended with 0");
        assertThat(movie("out.mp4", "--copy")).as(err).isZero();
        assertThat(err).contains("all parts are finished");
    }

    @ParameterizedTest
    @CsvSource({
        "command -v parallel, command -v no-such-parallel",
        "set -euo pipefail, FARM_HOSTS=:" // ":" names this machine for
        // GNU parallel
    })
    void aSiteMayChangeTheScript(String what, String with) throws IOException {
        assertThat(movie("out.mkv", "--scheduler", "" + script(what, with))).as(err).isZero();
        assertThat(err).contains("2 of 2 parts finished");
        assertThat(Path.of(beside("out.mkv"))).exists();
    }

    /** Writes the script for machines without a scheduler, with one text replaced. */
    private Path script(String what, String with) throws IOException {
        String script;
        try (InputStream in = Ivrik.class.getResourceAsStream("farm/local.sh")) {
            script = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
        assertThat(script).contains(what);
        return Files.writeString(folder.resolve("own.sh"), script.replace(what, with));
    }

    @Test
    void slowlyStartingJobsAreNotTakenForDone() throws IOException {
        Path slow = Files.createDirectory(folder.resolve("slow")).resolve("setsid");
        Files.writeString(slow, "#!/bin/sh\nsleep 2\nPATH=${PATH#*:}\nexec setsid \"$@\"\n");
        Files.setPosixFilePermissions(slow, PosixFilePermissions.fromString("rwxr-xr-x"));
        String strict = "set -euo pipefail";
        Path own = script(strict, strict + "\nPATH='" + slow.getParent() + "':$PATH");
        assertThat(movie("out.mkv", "--scheduler", "" + own)).as(err).isZero();
        assertThat(err).contains("2 of 2 parts finished");
    }

    @Test
    void failedPartsAreRetriedNamedAndContinued() throws IOException {
        Path working = Separately.program(folder.resolve("working"));
        // kills the second part each time
        Files.writeString(
                program,
                "#!/bin/sh\ncase \"$3\" in 2) kill -9 $$ ;; *) exec "
                        + working
                        + " \"$@\" ;; esac\n");
        assertThat(movie("out.mkv", "--retries", "1")).isEqualTo(1);
        assertThat(err).contains("part 2 failed").contains("run again to render the missing parts");
        assertThat(Path.of(beside("out.mkv"))).doesNotExist();
        assertThat(Path.of(beside("out.mkv.farm/logs/join.txt"))).content().contains("missing: 2");
        assertThat(Path.of(beside("out.mkv.farm/logs/local.txt")))
                .content()
                .as("twice")
                .containsPattern("(?s)Killed.*Killed");
        Separately.program(program);
        assertThat(movie("out.mkv", "--retries", "1")).as(err).isZero();
        assertThat(err).contains("1 of 2 parts to render");
        assertThat(Path.of(beside("out.mkv"))).exists();
        assertThat(movie("out.mkv", "--parts", "1")).isEqualTo(1);
        assertThat(err).contains("belongs to another job").contains("--restart");
        assertThat(movie("out.mkv", "--parts", "1", "--restart", "--overwrite")).as(err).isZero();
        assertThat(err).contains("1 of 1 parts finished");
        assertThat(movie("out.mkv", "--parallel", "0")).isEqualTo(2);
    }

    @Test
    void eachClipIsOnePart() throws IOException {
        picture8("a b.png", false);
        picture8("ü.png", false);
        assertThat(
                        farm(
                                folder + "/*.png",
                                "--look",
                                "rgb-split",
                                "--set",
                                "red-x=7",
                                "-o",
                                folder + "/{name}-split.png"))
                .as(err)
                .isZero();
        assertThat(
                        ivrik(
                                "apply",
                                folder + "/ü.png",
                                "--look",
                                "rgb-split",
                                "--set",
                                "red-x=7",
                                "-o",
                                folder + "/one.png"))
                .as(err)
                .isZero();
        assertThat(folder.resolve("ü-split.png")).hasSameBinaryContentAs(folder.resolve("one.png"));
        assertThat(folder.resolve("a b-split.png")).exists();
    }

    @Test
    void jobsAreCancelled() throws Exception {
        Files.writeString(program, "#!/bin/sh\nsleep 600\n");
        assertThat(movie("out.mkv", "--no-wait")).as(err).isZero();
        String job = Files.readString(Path.of(beside("out.mkv.farm/jobs"))).strip();
        ProcessHandle leader = ProcessHandle.of(Long.parseLong(job)).orElseThrow();
        assertThat(leader.isAlive()).isTrue();
        assertThat(movie("out.mkv", "--restart")).isEqualTo(1);
        assertThat(err).contains("are still running").contains("--cancel");
        assertThat(farm("" + project, "-o", beside("out.mkv"), "--cancel")).as(err).isZero();
        leader.onExit().get(20, java.util.concurrent.TimeUnit.SECONDS);
    }

    @Test
    void aManifestIsWrittenAndIndivisibleWorkIsRefused() throws IOException {
        assertThat(
                        ivrik(
                                "farm",
                                "" + project,
                                "--scheduler",
                                "kubernetes",
                                "--program",
                                "/usr/bin/ivrik",
                                "-o",
                                beside("stills-%04d.png"),
                                "--parts",
                                "7"))
                .as(err)
                .isZero();
        assertThat(err).contains("kubectl apply");
        assertThat(Path.of(beside("stills-%04d.png.farm/job.yaml")))
                .content()
                .contains("completions: 7")
                .contains("completionMode: Indexed");
        assertThat(movie("out.gif")).isEqualTo(1);
        assertThat(err).contains("cannot be rendered in parts");
        assertThat(movie("out.mkv", "--parts", "9", "--dry-run")).as(err).isZero();
        assertThat(err).as("at most as many threads as blocks").contains("2 parts");
    }

    @Test
    void aMissingSchedulerIsReported() throws IOException {
        Path own = Files.writeString(folder.resolve("own.sh"), "no-such-scheduler \"$1\"\n");
        assertThat(farm("" + project, "--scheduler", "" + own, "-o", beside("out.mkv")))
                .isEqualTo(1);
        assertThat(err).contains("no-such-scheduler").contains("--scheduler");
    }
}
