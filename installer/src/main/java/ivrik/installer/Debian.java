package ivrik.installer;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.util.EnumSet;
import java.util.Set;

/**
 * The image as a Debian package in {@code /opt/ivrik}, with a command, a desktop entry, file types, AppStream
 * data and an icon. It has no maintainer scripts; Debian's triggers do the rest.
 */
final class Debian {
    private static final String CONTROL =
            """
            Package: ivrik
            Version: %s
            Section: graphics
            Priority: optional
            Architecture: %s
            Installed-Size: %d
            Depends: bash, libc6
            Recommends: libgtk-3-0t64 | libgtk-3-0, libasound2t64 | libasound2
            Maintainer: The makers of Ivrik <ivrik@ivrik.invalid>
            Description: separates, moves and rejoins colour channels
             Animated chromatic aberration, RGB split glitches, channel blurs, halation and
             retro screens. Java is included.
            """;

    private Debian() {}

    static Path make(Image image) throws IOException, InterruptedException {
        Path work = image.folder().getParent();
        Path root = work.resolve("root");
        Path linux = image.home().resolve("installer/src/main/linux");
        Trees.copy(image.folder(), root.resolve("opt/ivrik"));
        Path programs = Files.createDirectories(root.resolve("usr/bin"));
        Files.createSymbolicLink(programs.resolve("ivrik"), Path.of("../../opt/ivrik/bin/ivrik"));
        Path share = root.resolve("usr/share");
        Trees.copy(linux.resolve("ivrik.desktop"), share.resolve("applications/ivrik.desktop"));
        Trees.copy(linux.resolve("ivrik-mime.xml"), share.resolve("mime/packages/ivrik.xml"));
        Path metainfo = share.resolve("metainfo/ivrik.metainfo.xml");
        write(
                metainfo,
                Files.readString(linux.resolve("ivrik.metainfo.xml"))
                        .replace("VERSION", image.version()));
        Path icons = Files.createDirectories(share.resolve("icons/hicolor/512x512/apps"));
        Files.write(icons.resolve("ivrik.png"), Icon.png(Icon.SIZE));
        write(
                share.resolve("doc/ivrik/copyright"),
                Files.readString(image.home().resolve("LICENSE"))
                        + "\n"
                        + Files.readString(image.home().resolve("NOTICE.md")));
        String architecture = architecture();
        long kilobytes = Trees.bytes(root) / 1024;
        write(
                root.resolve("DEBIAN/control"),
                String.format(CONTROL, image.version(), architecture, kilobytes));
        onlyOursToWrite(root);
        Trees.date(root);
        Path deb = work.resolve("ivrik_" + image.version() + "_" + architecture + ".deb");
        ProcessBuilder builder =
                new ProcessBuilder(
                        "dpkg-deb",
                        "--root-owner-group",
                        "-Zxz",
                        "-z3",
                        "--build",
                        "" + root,
                        "" + deb);
        builder.environment().put("SOURCE_DATE_EPOCH", "" + Trees.DATE.getEpochSecond());
        Process process = builder.inheritIO().start();
        if (process.waitFor() != 0) {
            throw new IllegalStateException("dpkg-deb ended with " + process.exitValue());
        }
        return deb;
    }

    private static String architecture() {
        return System.getProperty("os.arch").equals("aarch64") ? "arm64" : "amd64";
    }

    private static void write(Path file, String text) throws IOException {
        Files.createDirectories(file.getParent());
        Files.writeString(file, text);
    }

    /** Makes files readable by all and writable by their owner, whatever the umask. */
    private static void onlyOursToWrite(Path root) throws IOException {
        for (Path each : Trees.all(root)) {
            if (Files.isSymbolicLink(each)) {
                continue;
            }
            Set<PosixFilePermission> rights =
                    EnumSet.of(
                            PosixFilePermission.OWNER_READ,
                            PosixFilePermission.OWNER_WRITE,
                            PosixFilePermission.GROUP_READ,
                            PosixFilePermission.OTHERS_READ);
            if (Files.isDirectory(each) || isProgram(each)) {
                rights.add(PosixFilePermission.OWNER_EXECUTE);
                rights.add(PosixFilePermission.GROUP_EXECUTE);
                rights.add(PosixFilePermission.OTHERS_EXECUTE);
            }
            Files.setPosixFilePermissions(each, rights);
        }
    }

    private static boolean isProgram(Path file) throws IOException {
        return Files.getPosixFilePermissions(file).contains(PosixFilePermission.OWNER_EXECUTE);
    }
}
