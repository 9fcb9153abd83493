package ivrik.media.file;

import ivrik.core.IvrikException;

import java.nio.file.Path;

/** A project is open in another window. */
public final class ProjectLockedException extends IvrikException {
    private final transient ProjectHolder holder;

    public ProjectLockedException(Path project, ProjectHolder holder) {
        super(
                project.getFileName() + " is already open: " + holder.description(),
                "close it there, open it read-only, or open a copy",
                null);
        this.holder = holder;
    }

    public ProjectHolder holder() {
        return holder;
    }
}
