package ivrik.installer;

import java.io.IOException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * An application image: the jars, a reduced Java runtime, the demo, licences, an icon, and on Linux the start
 * script and a class cache.
 *
 * @param home the built tree
 * @param folder the image
 * @param version version of the build
 */
record Image(Path home, Path folder, String version) {
    /** Java modules of the jars, as listed by jdeps, without those for databases. */
    private static final String MODULES =
            "java.base,java.desktop,java.naming,jdk.incubator.vector,jdk.management,jdk.unsupported";

    /** File with the Java options of every start. */
    private static final String ARGUMENTS = "java.args";

    /** Further options where no start script is used. */
    private static final List<String> MORE_FLAGS =
            List.of(
                    "--add-modules=jdk.incubator.vector",
                    "-XX:MaxRAMPercentage=33",
                    "-Divrik.home=$APPDIR");

    static Image make(Path home, Package.System system) throws IOException, InterruptedException {
        Path work = home.resolve("target/package");
        Trees.remove(work);
        Path input = Files.createDirectories(work.resolve("input"));
        collect(home, input);
        String version = version(input);
        Path runtime = work.resolve("runtime");
        Tool.run(
                "jlink",
                List.of(
                        "--add-modules",
                        MODULES,
                        "--strip-debug",
                        "--no-header-files",
                        "--no-man-pages",
                        "--compress",
                        "zip-9",
                        "--output",
                        runtime.toString()));
        if (system == Package.System.LINUX) {
            strip(runtime);
        }
        List<String> arguments =
                new ArrayList<>(
                        List.of(
                                "--type",
                                "app-image",
                                "--name",
                                "ivrik",
                                "--app-version",
                                version,
                                "--vendor",
                                "Ivrik",
                                "--description",
                                "Separates, moves and rejoins colour channels",
                                "--input",
                                input.toString(),
                                "--main-jar",
                                "ivrik-cli.jar",
                                "--main-class",
                                "ivrik.cli.Ivrik",
                                "--runtime-image",
                                runtime.toString(),
                                "--icon",
                                icon(work, system).toString(),
                                "--dest",
                                work.toString()));
        flags(home).forEach(flag -> arguments.addAll(List.of("--java-options", flag)));
        if (system == Package.System.WINDOWS) {
            arguments.add("--win-console"); // also a console command
        }
        Tool.run("jpackage", arguments);
        Path folder = work.resolve(system == Package.System.MACOS ? "ivrik.app" : "ivrik");
        Image image = new Image(home, folder, version);
        if (system == Package.System.LINUX) {
            image.startByScript();
        }
        return image;
    }

    private static List<String> flags(Path home) throws IOException {
        try (Stream<String> lines = Files.lines(home.resolve("build").resolve(ARGUMENTS))) {
            return Stream.concat(lines.filter(line -> line.startsWith("-")), MORE_FLAGS.stream())
                    .toList();
        }
    }

    /** Strips debug symbols from native libraries, if a tool is available. */
    private static void strip(Path runtime) throws IOException, InterruptedException {
        Path program = Path.of("/usr/bin/strip");
        if (!Files.isExecutable(program)) {
            return;
        }
        List<String> arguments = new ArrayList<>(List.of(program.toString(), "--strip-unneeded"));
        for (Path file : Trees.all(runtime)) {
            if (file.toString().endsWith(".so")) {
                file.toFile().setWritable(true);
                arguments.add(file.toString());
            }
        }
        run(arguments);
    }

    private static void run(List<String> arguments) throws IOException, InterruptedException {
        int exit = new ProcessBuilder(arguments).inheritIO().start().waitFor();
        if (exit != 0) {
            throw new IllegalStateException(arguments.getFirst() + " ended with " + exit);
        }
    }

    private static void collect(Path home, Path input) throws IOException {
        Files.copy(home.resolve("cli/target/ivrik-cli.jar"), input.resolve("ivrik-cli.jar"));
        Files.copy(home.resolve("app/target/ivrik-app.jar"), input.resolve("ivrik-app.jar"));
        for (Path jar : Trees.all(home.resolve("target/lib"))) {
            if (jar.toString().endsWith(".jar")) {
                Files.copy(jar, input.resolve(jar.getFileName()));
            }
        }
        Trees.copy(home.resolve("demo/lantern-week"), input.resolve("demo/lantern-week"));
        for (String paper : List.of("LICENSE", "NOTICE.md")) {
            Files.copy(home.resolve(paper), input.resolve(paper));
        }
    }

    /** The version in the core's jar. */
    private static String version(Path input) throws IOException {
        try (var jar = FileSystems.newFileSystem(input.resolve("ivrik-core.jar"))) {
            return Files.readString(jar.getPath("ivrik/core/version.txt")).strip();
        }
    }

    private static Path icon(Path work, Package.System system) throws IOException {
        return switch (system) {
            case LINUX -> Files.write(work.resolve("ivrik.png"), Icon.png(Icon.SIZE));
            case WINDOWS -> Files.write(work.resolve("ivrik.ico"), Icon.ico());
            case MACOS -> Files.write(work.resolve("ivrik.icns"), Icon.icns());
        };
    }

    /**
     * Starts by the same script as the tree, so that memory settings and class cache are the same; the cache
     * is written last, after all file dates are set.
     */
    private void startByScript() throws IOException, InterruptedException {
        Path start = folder.resolve("bin/ivrik");
        Files.copy(
                home.resolve("installer/src/main/linux/ivrik"),
                start,
                StandardCopyOption.REPLACE_EXISTING);
        Files.setPosixFilePermissions(start, PosixFilePermissions.fromString("rwxr-xr-x"));
        for (String script : List.of("launch.sh", ARGUMENTS, "command.args")) {
            Files.copy(
                    home.resolve("build").resolve(script),
                    folder.resolve("lib/app").resolve(script));
        }
        run(
                List.of(
                        Path.of(System.getProperty("java.home"), "bin/java").toString(),
                        home.resolve("build/Vectors.java").toString(),
                        folder.resolve("lib").toString()));
        Files.delete(folder.resolve("lib/libapplauncher.so"));
        Trees.date(folder);
        Path work = folder.getParent();
        ProcessBuilder builder =
                new ProcessBuilder(start.toString(), "rehearse").directory(work.toFile());
        builder.environment().put("IVRIK_KEEP_CLASSES", folder.resolve("lib/ivrik.aot").toString());
        builder.environment().put("IVRIK_DATA", work.resolve("data").toString());
        builder.redirectErrorStream(true).redirectOutput(work.resolve("cache.log").toFile());
        int exit = builder.start().waitFor();
        if (exit != 0) {
            throw new IllegalStateException(
                    "the class cache could not be made: " + work.resolve("cache.log"));
        }
        Trees.date(folder);
    }
}
