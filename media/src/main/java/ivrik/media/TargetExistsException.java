package ivrik.media;

import ivrik.core.IvrikException;

import java.nio.file.Path;
import java.util.List;

/** What would be written is there already, and nobody said that it may be replaced. */
public final class TargetExistsException extends IvrikException {
    public TargetExistsException(List<Path> existing) {
        super(
                existing.getFirst()
                        + (existing.size() == 1
                                ? " is there already"
                                : " and " + (existing.size() - 1) + " more are there already"),
                "choose another name, or say --overwrite",
                null);
    }
}
