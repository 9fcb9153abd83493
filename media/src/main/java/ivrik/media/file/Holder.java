package ivrik.media.file;

import java.time.DateTimeException;
import java.time.Instant;

/** Who has a project open. */
public record Holder(String user, Owner owner, Instant since) {
    private static final Holder UNKNOWN = new Holder("somebody", Owner.self(), Instant.EPOCH);

    /** In plain words. */
    public String words() {
        return this == UNKNOWN
                ? user
                : user
                        + (owner.isOfThisMachine()
                                ? " in another window here"
                                : " on " + owner.machine())
                        + ", since "
                        + When.words(since);
    }

    String text() {
        return user + "\n" + owner.token() + "\n" + since + "\n";
    }

    /** What {@link #text} wrote; what is unreadable is somebody. */
    static Holder parse(String text) {
        String[] lines = text.split("\n", -1);
        if (lines.length >= 3 && Owner.parse(lines[1]).isPresent()) {
            try {
                return new Holder(lines[0], Owner.parse(lines[1]).get(), Instant.parse(lines[2]));
            } catch (DateTimeException e) {
                return UNKNOWN;
            }
        }
        return UNKNOWN;
    }
}
