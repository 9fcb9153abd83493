package ivrik.media.file;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Times as text. */
public final class TimeText {
    private static final DateTimeFormatter TODAY =
            DateTimeFormatter.ofPattern("'today at' HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter BEFORE =
            DateTimeFormatter.ofPattern("d MMMM 'at' HH:mm", Locale.ENGLISH);

    private TimeText() {}

    /** {@code today at 14:02}, or {@code 3 May at 09:15}. */
    public static String of(Instant time) {
        ZonedDateTime local = time.atZone(ZoneId.systemDefault());
        return (local.toLocalDate().equals(LocalDate.now()) ? TODAY : BEFORE).format(local);
    }
}
