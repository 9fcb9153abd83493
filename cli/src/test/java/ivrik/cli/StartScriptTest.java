package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.DisabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Runs the start script in a built folder that was moved or copied. A stand-in for Java prints its arguments
 * and writes an empty class cache where one is requested, as long as the former cache is still in place.
 */
@DisabledOnOs(OS.WINDOWS)
class StartScriptTest {
    @TempDir Path folder;

    private Path home;

    private void write(String name, String text) throws IOException {
        Path file = home.resolve(name);
        Files.createDirectories(file.getParent());
        Files.writeString(file, text);
        Files.setLastModifiedTime(file, FileTime.fromMillis(1000));
    }

    private void program(Path file, String text) throws IOException {
        Files.createDirectories(file.getParent());
        Files.writeString(file, text);
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rwxr-xr-x"));
    }

    /** Runs the script; returns stdout and stderr together. */
    private String run(Path jdk) throws IOException, InterruptedException {
        return run(jdk, "looks");
    }

    private String run(Path jdk, String... words) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of("bash", home.resolve("ivrik").toString()));
        command.addAll(List.of(words));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().put("IVRIK_JDK", jdk.toString());
        builder.environment().put("IVRIK_DATA", folder.resolve("data").toString());
        builder.environment().merge("PATH", "", (path, none) -> folder + "/tools:" + path);
        builder.environment().remove("DBUS_SESSION_BUS_ADDRESS");
        builder.redirectErrorStream(true);
        Process process = builder.start();
        String said = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor()).isZero();
        return said;
    }

    /** Copies the folder; returns the stand-in for Java. */
    private Path copied() throws IOException {
        home = Files.createDirectory(folder.resolve("copied")).toRealPath();
        Files.createDirectory(home.resolve("build"));
        for (String script :
                List.of("ivrik", "build/launch.sh", "build/java.args", "build/command.args")) {
            Files.copy(
                    Path.of(System.getProperty("ivrik.home"), script),
                    home.resolve(script),
                    StandardCopyOption.REPLACE_EXISTING);
        }
        for (String module : new String[] {"core", "media", "cli", "app"}) {
            write(module + "/pom.xml", "");
            write(module + "/src/main/a", "");
            Files.setLastModifiedTime(
                    home.resolve(module + "/src/main"), FileTime.fromMillis(1000));
        }
        write("pom.xml", "");
        write("cli/target/ivrik-cli.jar", "");
        write("app/target/ivrik-app.jar", "");
        write("target/ivrik.aot", "made elsewhere");
        write("target/ivrik.aot.for", "/where/it/was/built");
        Files.createDirectories(home.resolve("demo/lantern-week"));
        Files.writeString(home.resolve("target/built"), "");
        Path jdk = folder.resolve("jdk");
        Files.createDirectory(jdk);
        Files.writeString(jdk.resolve("release"), "JAVA_VERSION=\"25\"\n");
        program(jdk.resolve("bin/javac"), "#!/bin/sh\n");
        program(
                jdk.resolve("bin/java"),
                """
                #!/bin/sh
                case "$*" in
                  *AOTCacheOutput=*)
                    [ -e ivrik.aot ] && [ -e ivrik.aot.for ] || exit 1
                    echo "$*" > rehearsed
                    for told in "$@"; do
                      case "$told" in -XX:AOTCacheOutput=*) : > "${told#*=}" ;; esac
                    done ;;
                  *) echo "told $*" ;;
                esac
                """);
        return jdk;
    }

    /** Waits for the class cache, which is written beside the work. */
    private void awaitCache() throws IOException, InterruptedException {
        Path madeFor = home.resolve("target/ivrik.aot.for");
        for (int i = 0; i < 400 && !Files.readString(madeFor).equals(home.toString()); i++) {
            Thread.sleep(50);
        }
        assertThat(madeFor).hasContent(home.toString());
    }

    @Test
    void aCopiedFolderStartsSilentlyAndRebuildsItsClassCache() throws Exception {
        Path jdk = copied();
        String first = run(jdk);
        assertThat(first.lines()).as("no other message").hasSize(1);
        assertThat(first)
                .startsWith("told @" + home + "/build/java.args ")
                .doesNotContain("AOTCache")
                .endsWith("looks\n");
        awaitCache();
        assertThat(Files.readString(home.resolve("target/rehearsed")))
                .as("as the window is started, for which the cache is made")
                .doesNotContain("command.args")
                .endsWith("rehearse\n");
        String second = run(jdk);
        assertThat(second.lines()).hasSize(1);
        assertThat(second).contains("-XX:AOTCache=" + home.resolve("target/ivrik.aot"));
    }

    @Test
    void heapHeadroomExceedsTheStartOfTheNextMarking() throws Exception {
        String said = flags("@" + System.getProperty("ivrik.home") + "/build/java.args");
        assertThat(said).containsPattern("G1UseAdaptiveIHOP *= false");
        assertThat(100 - flag(said, "MinHeapFreeRatio"))
                .isLessThan(flag(said, "InitiatingHeapOccupancyPercent"));
    }

    @Test
    void commandsHaveMoreJavaFlagsThanTheWindow() throws Exception {
        Path jdk = copied();
        String more = "@" + home + "/build/command.args";
        assertThat(run(jdk, "render", "a.ivrik")).contains(more);
        assertThat(run(jdk, "--help")).contains(more);
        assertThat(run(jdk, new String[0])).doesNotContain(more);
        assertThat(run(jdk, "demo")).doesNotContain(more);
        assertThat(run(jdk, "a.ivrik")).doesNotContain(more);
    }

    @Test
    void javaAcceptsEveryFlagOfACommand() throws Exception {
        String said = flags("@" + System.getProperty("ivrik.home") + "/build/command.args");
        assertThat(said).containsPattern("AOTReplayTraining *= false");
        assertThat(flag(said, "Tier3InvocationThreshold")).isEqualTo(1000);
        assertThat(flag(said, "Tier3MinInvocationThreshold")).isEqualTo(500);
    }

    /** All flags that Java uses, given the flags on its command line. */
    private static String flags(String reported) throws Exception {
        Process java =
                new ProcessBuilder(
                                Path.of(System.getProperty("java.home"), "bin/java").toString(),
                                reported,
                                "-XX:+PrintFlagsFinal",
                                "-version")
                        .redirectError(ProcessBuilder.Redirect.DISCARD)
                        .start();
        String said = new String(java.getInputStream().readAllBytes());
        assertThat(java.waitFor()).as("Java accepts the flag").isZero();
        return said;
    }

    private static int flag(String said, String name) {
        Matcher matcher = Pattern.compile(name + " *= (\\d+)").matcher(said);
        assertThat(matcher.find()).isTrue();
        return Integer.parseInt(matcher.group(1));
    }

    @Test
    void aRunningIvrikDoesNotBlockARebuild() throws Exception {
        Path jdk = copied();
        Files.delete(home.resolve("target/built"));
        program(folder.resolve("tools/mvn"), "#!/bin/sh\n");
        program(
                jdk.resolve("bin/java"),
                """
                #!/bin/sh
                case "$*" in
                  *AOTCacheOutput=*) : > new.aot ;;
                  *) flock -n %s/target/lock echo nobody waits || echo held ;;
                esac
                """
                        .formatted(home));
        assertThat(run(jdk)).contains("building Ivrik").endsWith("nobody waits\n");
        assertThat(home.resolve("target/built")).exists();
    }

    @Test
    void theVectorModuleIsExtractedOncePerJava() throws Exception {
        Path jdk = copied();
        assertThat(run(jdk)).contains("--add-modules=jdk.incubator.vector");
        awaitCache();
        program(
                jdk.resolve("bin/java"),
                """
                #!/bin/sh
                case "$*" in
                  *Vectors.java*) : > "$2/vectors.jar" ; echo made >> "$2/made" ;;
                  *AOTCacheOutput=*) : > new.aot ;;
                  *) echo "told $*" ;;
                esac
                """);
        Path vectors = home.resolve("target/vectors.jar");
        String with = "@" + home + "/target/vectors.args -Xbootclasspath/a:" + vectors;
        for (String java : List.of("25.0.3", "25.0.4")) {
            Files.writeString(jdk.resolve("release"), "JAVA_VERSION=\"" + java + "\"\n");
            write("target/ivrik.aot.for", home.toString());
            assertThat(run(jdk)).contains(with).doesNotContain("incubator", "AOTCache=");
            awaitCache();
            assertThat(run(jdk)).contains(with, "AOTCache=").doesNotContain("incubator");
        }
        assertThat(home.resolve("target/made")).hasContent("made\nmade\n");
    }

    @Test
    void withoutASettingsServiceTheToolkitUsesMemory() throws Exception {
        Path jdk = copied();
        program(jdk.resolve("bin/java"), "#!/bin/sh\necho \"settings: $GSETTINGS_BACKEND\"\n");
        assertThat(run(jdk)).contains("settings: memory");
    }

    /** Setting a new variable moves the whole environment while other threads read it. */
    @Test
    void theScriptSetsTheToolkitsEnvironmentVariables() throws Exception {
        Path jdk = copied();
        program(
                jdk.resolve("bin/java"),
                "#!/bin/sh\necho \"display: $GDK_BACKEND $IBUS_ENABLE_SYNC_MODE\"\n");
        assertThat(run(jdk)).contains("display: x11 1");
    }

    @Test
    void vectorClassesAreCompiledBeforeTheyRun() throws Exception {
        List<String> wanted = new ArrayList<>(List.of("quiet"));
        for (Path file : SourceFiles.all()) {
            if (Files.readString(file).contains("\nimport jdk.incubator.vector.")) {
                String all = SourceFiles.className(file) + "::*";
                wanted.add("CompileThresholdScaling," + all + ",0.001");
                wanted.add("BackgroundCompilation," + all + ",false");
            }
        }
        assertThat(wanted).hasSizeGreaterThan(2);
        assertThat(Files.readAllLines(SourceFiles.tree().resolve("build/command.args")))
                .filteredOn(line -> line.startsWith("-XX:CompileCommand="))
                .map(line -> line.substring("-XX:CompileCommand=".length()))
                .containsExactlyInAnyOrderElementsOf(wanted);
    }

    @Test
    void theHeapFollowsThePictureBudgetOrTheMachine() throws Exception {
        Path jdk = copied();
        write("target/ivrik.aot.for", home.toString());
        Path settings = Files.createDirectory(folder.resolve("data")).resolve("window.json");
        String third = "-Xmx" + Math.min(4096, machineMb() / 3) + "m ";
        assertThat(run(jdk)).contains(third);
        Files.writeString(settings, "{\"darkroom\" : true, \"memoryMb\" : 1536}");
        assertThat(run(jdk)).contains("-Xmx1920m");
        Files.writeString(settings, "{\"memoryMb\":300}");
        assertThat(run(jdk)).contains("-Xmx1024m");
        for (String none : new String[] {"{\"memoryMb\":0}", "{}", "damaged \"memoryMb\""}) {
            Files.writeString(settings, none);
            assertThat(run(jdk)).contains(third).endsWith("looks\n");
        }
    }

    /** The memory of this process's machine or container in MB, as Java reports it. */
    private static long machineMb() {
        var system =
                (com.sun.management.OperatingSystemMXBean)
                        java.lang.management.ManagementFactory.getOperatingSystemMXBean();
        return system.getTotalMemorySize() >> 20;
    }
}
