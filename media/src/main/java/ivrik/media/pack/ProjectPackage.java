package ivrik.media.pack;

import ivrik.core.json.ProjectJson;
import ivrik.core.project.Project;
import ivrik.media.encode.OutputFiles;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.SafeFile;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * A project and all its files in one zip file: the project first, its media in a folder. The same project
 * gives the same bytes.
 */
public final class ProjectPackage {
    /** Date of all entries, so that the package depends only on its content. */
    private static final LocalDateTime TIME = LocalDateTime.of(1980, 1, 1, 0, 0);

    private ProjectPackage() {}

    /**
     * Writes a package completely or not at all.
     *
     * @param project with absolute media paths
     * @param name name of the project file without its extension
     * @throws ivrik.media.MissingFileException if a file of the project is missing
     * @throws ivrik.media.UnwritableTargetException if {@code zip} is one of the files, or cannot be written
     */
    public static void write(Project project, String name, Path zip) {
        PackedFiles packed = new PackedFiles(project);
        OutputFiles.protect(OutputFiles.existing(List.of(zip)), packed.files().values());
        try (SafeFile safe = new SafeFile(zip)) {
            try (ZipOutputStream to =
                    new ZipOutputStream(
                            new BufferedOutputStream(Files.newOutputStream(safe.aside())),
                            StandardCharsets.UTF_8)) {
                begin(to, name + ProjectFile.ENDING, Deflater.DEFAULT_COMPRESSION);
                to.write(ProjectJson.write(packed.project()).getBytes(StandardCharsets.UTF_8));
                for (var file : packed.files().entrySet()) {
                    begin(to, file.getKey(), Deflater.NO_COMPRESSION);
                    Files.copy(file.getValue(), to);
                }
            }
            safe.finish();
        } catch (IOException e) {
            throw SafeFile.fault(zip, e);
        }
    }

    private static void begin(ZipOutputStream to, String name, int level) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTimeLocal(TIME);
        to.setLevel(level);
        to.putNextEntry(entry);
    }
}
