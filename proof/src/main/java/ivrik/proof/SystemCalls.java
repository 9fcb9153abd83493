package ivrik.proof;

import ivrik.cli.Ivrik;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.media.file.ProjectFile;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * The command line and the window under strace: no network socket is used; nothing is written outside the
 * data folder, the target's folder and the temporary folder, and nothing world-writable; texts in pictures do
 * not appear in the log.
 */
final class SystemCalls implements Trial {
    private static final int SECONDS = 240;
    private static final String CALLS =
            "socket,connect,bind,listen,sendto,sendmsg,open,openat,creat,mkdir,mkdirat,rename,renameat,renameat2,link,linkat,symlink,"
                + "symlinkat,unlink,unlinkat,rmdir";

    /** Devices and kernel files. */
    private static final List<String> NO_FILES = List.of("/dev/", "/proc/");

    private static final Pattern SOCKET =
            Pattern.compile("\\b(socket|connect|bind|listen|send\\w+)\\(");

    /** Java opens and closes these when it starts to use files, to detect the network protocols. */
    private static final Pattern ASKED =
            Pattern.compile("socket\\(AF_INET6?, SOCK_STREAM, IPPROTO_IP\\)");

    private static final int ASKED_TIMES = 3;
    private static final String UNFINISHED = " <unfinished ...>";
    private static final Pattern RESUMED = Pattern.compile("<\\.\\.\\. \\w+ resumed>");
    private static final Pattern LOCAL = Pattern.compile("AF_UNIX|AF_NETLINK");
    private static final Pattern PATH = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");
    private static final String SECRET = "words of the title";

    @Override
    public String name() {
        return "system-calls";
    }

    @Override
    public int run(long seed, Path folder) throws Exception {
        if (!canWatch(folder)) {
            System.out.println(
                    "system-calls: strace is missing or not permitted; nothing was checked");
            return 0;
        }
        Path home = Path.of(System.getProperty("ivrik.home"));
        Path demo = Folders.copy(home.resolve("demo/lantern-week"), folder.resolve("demo"));
        Path project = demo.resolve("lantern-week.ivrik");
        ProjectFile.save(project, withTitle(ProjectFile.open(project).project()));
        Path target = Files.createDirectories(folder.resolve("target"));
        watched(folder, "render", project, "--frames", "0-1", "-o", target.resolve("out.mp4"));
        watched(folder, "demo");
        for (Path made : List.of(target, folder.resolve("data"))) {
            assertOnlyOursToWrite(made);
        }
        Path log = folder.resolve("data/ivrik.log");
        if (Files.exists(log) && Files.readString(log).contains(SECRET)) {
            throw new Failure("the log contains the text of a title");
        }
        return 2;
    }

    private static Project withTitle(Project project) {
        Source title = Source.of("secret", Title.EMPTY.withText(SECRET), project.sequence().size());
        List<Source> sources = new ArrayList<>(project.sources());
        sources.add(title);
        List<Layer> layers = new ArrayList<>(project.layers());
        Look look = BuiltInLooks.named("rgb-split");
        layers.add(Layer.of("secret", "secret", look, new Clip("secret", 0, 240, 0)));
        return project.withSources(sources).withLayers(layers);
    }

    /** Whether strace is installed and permitted. */
    private static boolean canWatch(Path folder) throws Exception {
        String command = "strace -f --seccomp-bpf -qq -o '" + folder.resolve("try") + "' true";
        return new ProcessBuilder("sh", "-c", command)
                        .redirectErrorStream(true)
                        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                        .start()
                        .waitFor()
                == 0;
    }

    private static void watched(Path folder, String name, Object... more) throws Exception {
        Path calls = folder.resolve(name + ".calls");
        Path temporary = Files.createDirectories(folder.resolve("temporary"));
        List<String> command =
                new ArrayList<>(List.of("strace", "-f", "--seccomp-bpf", "-qq", "-s", "4096"));
        command.addAll(List.of("-e", "trace=" + CALLS, "-e", "signal=none", "-o", "" + calls));
        List<String> flags = List.of("-XX:-UsePerfData", "-Djava.io.tmpdir=" + temporary);
        Object[] words = Stream.concat(Stream.of(name), Stream.of(more)).toArray();
        command.addAll(Java.command(flags, Ivrik.class, words));
        command.removeIf(
                w -> w.startsWith("-Dglass.") || w.startsWith("-Dprism.")); // as in a manual start
        ProcessBuilder builder = new ProcessBuilder(command).directory(folder.toFile());
        builder.environment().put("IVRIK_DATA", folder.resolve("data").toString());
        builder.environment().put("TMPDIR", temporary.toString());
        builder.environment().remove("DISPLAY");
        Path said = folder.resolve(name + ".said");
        Process process = builder.redirectErrorStream(true).redirectOutput(said.toFile()).start();
        if (!process.waitFor(SECONDS, TimeUnit.SECONDS)) {
            process.descendants().forEach(ProcessHandle::destroyForcibly);
            throw new Failure(name + " did not end; its output: " + Files.readString(said));
        }
        if (process.exitValue() != 0) {
            String reported = Files.readString(said);
            throw new Failure(
                    name + " ended with " + process.exitValue() + "; its output: " + reported);
        }
        List<String> all = whole(Files.readAllLines(calls));
        long asked = all.stream().filter(c -> ASKED.matcher(c).find()).count();
        if (asked > ASKED_TIMES) {
            throw new Failure(asked + " network sockets");
        }
        for (String call : all) {
            check(call, folder);
        }
    }

    /** Joins calls that strace splits when another thread's call comes between. */
    static List<String> whole(List<String> lines) {
        Map<String, String> begun = new LinkedHashMap<>();
        List<String> whole = new ArrayList<>();
        for (String line : lines) {
            String thread = line.substring(0, Math.max(0, line.indexOf(' ')));
            Matcher resumed = RESUMED.matcher(line);
            if (line.endsWith(UNFINISHED)) {
                begun.put(thread, line.substring(0, line.length() - UNFINISHED.length()));
            } else if (resumed.find() && begun.containsKey(thread)) {
                whole.add(begun.remove(thread) + line.substring(resumed.end()));
            } else {
                whole.add(line);
            }
        }
        whole.addAll(begun.values());
        return whole;
    }

    private static void check(String call, Path folder) throws Failure {
        if (SOCKET.matcher(call).find()) {
            if (!LOCAL.matcher(call).find() && !ASKED.matcher(call).find()) {
                throw new Failure("network access: " + call);
            }
            return;
        }
        boolean reads = call.contains("O_RDONLY") && !call.contains("O_CREAT");
        if (reads || call.contains("= -1 ")) {
            return;
        }
        Matcher paths = PATH.matcher(call);
        while (paths.find()) {
            String path = paths.group(1);
            boolean ours = path.startsWith(folder.toString()) || !path.startsWith("/");
            if (!ours && NO_FILES.stream().noneMatch(path::startsWith)) {
                throw new Failure("written outside: " + call);
            }
        }
    }

    private static void assertOnlyOursToWrite(Path folder) throws IOException, Failure {
        try (var all = Files.walk(folder)) {
            for (Path each : all.toList()) {
                if (Files.getPosixFilePermissions(each)
                        .contains(PosixFilePermission.OTHERS_WRITE)) {
                    throw new Failure(each + " is writable by everyone");
                }
            }
        }
    }
}
