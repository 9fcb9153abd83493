package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Depth;
import ivrik.core.project.Project;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Import;
import ivrik.media.encode.StillWriter;
import ivrik.media.file.Journal;
import ivrik.media.file.ProcessOwner;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.ProjectLock;
import ivrik.media.file.ProjectLockedException;
import ivrik.media.file.RecoverableWork;
import ivrik.media.file.SafeFile;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;

/** Files written beside their target: their leftovers, and the process that may delete them. */
@EnabledOnOs({OS.LINUX, OS.MAC})
class SafeFileTest {
    @TempDir Path folder;

    /** A process of this machine that has ended. */
    private static ProcessOwner ended() throws IOException, InterruptedException {
        Process process = new ProcessBuilder("sleep", "60").start();
        ProcessOwner owner =
                new ProcessOwner(
                        ProcessOwner.self().machine(),
                        process.pid(),
                        process.toHandle().info().startInstant().orElseThrow().toEpochMilli());
        assertThat(owner.isGone()).isFalse();
        process.destroyForcibly().waitFor();
        return owner;
    }

    private Project project() {
        Path picture = folder.resolve("p.png");
        StillWriter.write(
                StillsTest.random(8, 6, Depth.INT8, false), picture, Depth.INT8, Workers.shared());
        return Import.project(Import.source(picture, "p"), BuiltInLooks.named("rgb-split"));
    }

    @Test
    void aLinkStaysALinkAndPermissionsStay() throws IOException {
        Path real = Files.writeString(folder.resolve("real.ivrik"), "before");
        Files.setPosixFilePermissions(real, PosixFilePermissions.fromString("rw-------"));
        Path second = Files.createSymbolicLink(folder.resolve("second"), Path.of("real.ivrik"));
        Path first = Files.createSymbolicLink(folder.resolve("first.ivrik"), second);
        SafeFile.write(first, "after");
        assertThat(first).isSymbolicLink();
        assertThat(second).isSymbolicLink();
        assertThat(real).isRegularFile().hasContent("after");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(real)))
                .isEqualTo("rw-------");
        Files.setPosixFilePermissions(real, PosixFilePermissions.fromString("rwxr-x---"));
        SafeFile.write(real, "again");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(real)))
                .isEqualTo("rwxr-x---");
    }

    @Test
    void aPipeIsNotReplaced() throws IOException, InterruptedException {
        Path pipe = folder.resolve("pipe.png");
        new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor();
        assertThatThrownBy(() -> SafeFile.write(pipe, "x"))
                .isInstanceOf(UnwritableTargetException.class)
                .hasMessageContaining("not a regular file");
        assertThat(Files.isRegularFile(pipe)).isFalse();
    }

    @Test
    void leftoversOfKilledProcessesAreDeleted() throws IOException, InterruptedException {
        Path dead = Files.createFile(folder.resolve(".o.mp4." + ended().token() + ".1.part"));
        Path alive =
                Files.createFile(
                        folder.resolve(".o.mp4." + ProcessOwner.self().token() + ".9.part"));
        ProcessOwner far = new ProcessOwner("another-machine", 1, 1);
        Path elsewhere = Files.createFile(folder.resolve(".o.mp4." + far.token() + ".1.part"));
        Path others = Files.createFile(folder.resolve(".o.mp4." + ended().token() + ".notes"));
        SafeFile.write(folder.resolve("o.mp4"), "whole");
        assertThat(dead).doesNotExist();
        assertThat(alive).exists();
        assertThat(elsewhere).exists();
        assertThat(others).exists();
    }

    @Test
    void aReusedProcessIdIsRecognised() {
        ProcessOwner self = ProcessOwner.self();
        assertThat(self.isGone()).isFalse();
        assertThat(new ProcessOwner(self.machine(), self.pid(), self.began() - 60_000).isGone())
                .isTrue();
        assertThat(new ProcessOwner("another-machine", 1, 1).isGone()).isFalse();
        assertThat(ProcessOwner.parse(self.token())).contains(self);
        assertThat(ProcessOwner.parse("123")).isEmpty();
    }

    @Test
    void journalsArePrivateAndOnePerWindow() throws IOException {
        Path file = folder.resolve("p.ivrik");
        Project project = project();
        ProjectFile.save(file, project);
        Journal first = Journal.beside(file);
        Journal second = Journal.beside(file);
        assertThat(first.file()).isNotEqualTo(second.file());
        first.write(project);
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(first.file())))
                .isEqualTo("rw-------");
        assertThat(ProjectFile.open(first.file()).project()).isEqualTo(project);
        assertThat(RecoverableWork.of(file)).as("its window is running").isEmpty();
        first.clear();
        assertThat(first.file()).doesNotExist();
    }

    @Test
    void lostWorkStaysUntilRestoredOrDeleted() throws IOException, InterruptedException {
        Path file = folder.resolve("p.ivrik");
        Project project = project();
        Journal journal = Journal.beside(file);
        journal.write(project);
        String token = ProcessOwner.self().token();
        Path left =
                Files.move(
                        journal.file(),
                        Path.of(journal.file().toString().replace(token, ended().token())));
        Path old = Files.copy(left, folder.resolve(".p.ivrik.journal"));
        Files.setLastModifiedTime(old, FileTime.fromMillis(1000));
        assertThat(RecoverableWork.of(file))
                .extracting(RecoverableWork::file)
                .containsExactly(left, old);
        RecoverableWork lost = RecoverableWork.of(file).getFirst();
        assertThat(lost.read().project()).isEqualTo(project);
        Journal next = Journal.beside(file);
        lost.becomes(next);
        assertThat(left).doesNotExist();
        assertThat(next.file()).exists();
        assertThat(RecoverableWork.of(file)).extracting(RecoverableWork::file).containsExactly(old);
        RecoverableWork.of(file).getFirst().discard();
        assertThat(RecoverableWork.of(file)).isEmpty();
    }

    @Test
    void oneProcessLocksAProjectWithoutLeftovers() throws IOException {
        Path file = Files.writeString(folder.resolve("p.ivrik"), "{}");
        try (ProjectLock held = ProjectLock.take(file)) {
            assertThat(held).isNotNull();
            assertThatThrownBy(() -> ProjectLock.take(file))
                    .isInstanceOf(ProjectLockedException.class)
                    .hasMessageContaining(System.getProperty("user.name"));
        }
        ProjectLock.take(file).close();
        try (var files = Files.list(folder)) {
            assertThat(files).containsExactly(file);
        }
    }
}
