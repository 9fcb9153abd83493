package ivrik.media.file;

import ivrik.core.IvrikException;

import java.nio.file.Path;

/** A project is open in another window. */
public final class ProjectHeldException extends IvrikException {
    private final transient Holder holder;

    public ProjectHeldException(Path project, Holder holder) {
        super(
                project.getFileName() + " is open already: " + holder.words(),
                "close it there, open it to look, or open a copy",
                null);
        this.holder = holder;
    }

    public Holder holder() {
        return holder;
    }
}
