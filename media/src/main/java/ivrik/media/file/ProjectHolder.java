package ivrik.media.file;

import java.time.DateTimeException;
import java.time.Instant;

/** The user and process that have a project open. */
public record ProjectHolder(String user, ProcessOwner owner, Instant since) {
    private static final ProjectHolder UNKNOWN =
            new ProjectHolder("another user", ProcessOwner.self(), Instant.EPOCH);

    /** Description for the user. */
    public String description() {
        return this == UNKNOWN
                ? user
                : user
                        + (owner.isOfThisMachine()
                                ? " in another window on this computer"
                                : " on " + owner.machine())
                        + ", since "
                        + TimeText.of(since);
    }

    String text() {
        return user + "\n" + owner.token() + "\n" + since + "\n";
    }

    /** Parses {@link #text}; unreadable text is an unknown user. */
    static ProjectHolder parse(String text) {
        String[] lines = text.split("\n", -1);
        if (lines.length >= 3 && ProcessOwner.parse(lines[1]).isPresent()) {
            try {
                return new ProjectHolder(
                        lines[0], ProcessOwner.parse(lines[1]).get(), Instant.parse(lines[2]));
            } catch (DateTimeException e) {
                return UNKNOWN;
            }
        }
        return UNKNOWN;
    }
}
