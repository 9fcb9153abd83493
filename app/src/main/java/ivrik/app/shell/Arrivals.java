package ivrik.app.shell;

import ivrik.media.file.LookLibrary;
import ivrik.media.file.ProjectFile;
import ivrik.media.grade.GradeFile;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * Files from a drop, a dialog or the command line, each to those who know its kind: a project is opened, looks are
 * kept, grades laid on, packages unpacked, anything else brought in as footage.
 *
 * @param open opens a project
 */
record Arrivals(Consumer<Path> open, Works works, Importer importer) {
    /**
     * @param then run when all footage is in, or said not to be
     */
    void take(List<Path> files, Runnable then) {
        project(files).ifPresent(open);
        works.looks().bringIn(files.stream().filter(LookLibrary::isLook).toList());
        works.grades().use(files.stream().filter(GradeFile::isGrade).toList());
        files.stream().filter(PackWork::isPackage).forEach(works.packages()::unpack);
        importer.bringIn(
                files.stream().filter(Arrivals::isFootage).map(Path::toAbsolutePath).toList(),
                then);
    }

    /** The one that is opened. */
    static Optional<Path> project(List<Path> files) {
        return files.stream().filter(Arrivals::isProject).findFirst();
    }

    private static boolean isProject(Path file) {
        return file.toString().endsWith(ProjectFile.ENDING);
    }

    private static boolean isFootage(Path file) {
        return !isProject(file)
                && !LookLibrary.isLook(file)
                && !GradeFile.isGrade(file)
                && !PackWork.isPackage(file);
    }
}
