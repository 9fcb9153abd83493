package ivrik.app.shell;

import ivrik.media.file.LookLibrary;
import ivrik.media.file.ProjectFile;
import ivrik.media.grade.GradeFile;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * Dispatches files from a drop, a dialog or the command line by kind: projects are opened, looks saved,
 * grades applied, packages extracted, and all others imported as footage.
 *
 * @param open opens a project
 */
record IncomingFiles(Consumer<Path> open, ProjectActions works, Importer importer) {
    /**
     * @param then executed after all footage was imported or reported
     */
    void take(List<Path> files, Runnable then) {
        project(files).ifPresent(open);
        works.looks().importLooks(files.stream().filter(LookLibrary::isLook).toList());
        works.grades().use(files.stream().filter(GradeFile::isGrade).toList());
        files.stream().filter(PackageActions::isPackage).forEach(works.packages()::unpack);
        importer.importFiles(
                files.stream().filter(IncomingFiles::isFootage).map(Path::toAbsolutePath).toList(),
                then);
    }

    /** The first project among the files. */
    static Optional<Path> project(List<Path> files) {
        return files.stream().filter(IncomingFiles::isProject).findFirst();
    }

    private static boolean isProject(Path file) {
        return file.toString().endsWith(ProjectFile.ENDING);
    }

    private static boolean isFootage(Path file) {
        return !isProject(file)
                && !LookLibrary.isLook(file)
                && !GradeFile.isGrade(file)
                && !PackageActions.isPackage(file);
    }
}
