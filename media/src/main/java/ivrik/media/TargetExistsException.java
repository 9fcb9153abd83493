package ivrik.media;

import ivrik.core.IvrikException;

import java.nio.file.Path;
import java.util.List;

/** A target file exists, and overwriting was not allowed. */
public final class TargetExistsException extends IvrikException {
    public TargetExistsException(List<Path> existing) {
        super(
                existing.getFirst()
                        + (existing.size() == 1
                                ? " already exists"
                                : " and " + (existing.size() - 1) + " more already exist"),
                "choose another name or use --overwrite",
                null);
    }
}
