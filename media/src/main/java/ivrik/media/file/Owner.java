package ivrik.media.file;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.io.IOException;
import java.net.InetAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A process as it is named in the names of files that belong to it, so that another can tell whether
 * it still lives.
 *
 * @param machine its machine's name, of small letters, digits and hyphens
 * @param pid its number there
 * @param began when it began, in milliseconds since 1970: numbers are used again
 */
public record Owner(String machine, long pid, long began) {
    private static final Logger LOG = LoggerFactory.getLogger(Owner.class);
    private static final Pattern TOKEN = Pattern.compile("(\\d+)-([0-9a-z]+)-([0-9a-z-]+)");

    /** Two readings of when a process began may be rounded differently. */
    private static final long ROUNDING_MS = 1000;

    private static final Owner SELF = of(ProcessHandle.current(), thisMachine());

    /** This process. */
    public static Owner self() {
        return SELF;
    }

    private static Owner of(ProcessHandle process, String machine) {
        long began = process.info().startInstant().map(Instant::toEpochMilli).orElse(0L);
        return new Owner(machine, process.pid(), began);
    }

    private static String thisMachine() {
        String name = "here"; // a machine without a name has no disk that others share
        try {
            Path kernel = Path.of("/proc/sys/kernel/hostname");
            name =
                    Files.isReadable(kernel)
                            ? Files.readString(kernel).strip()
                            : InetAddress.getLocalHost().getHostName();
        } catch (IOException e) {
            LOG.warn("this machine's name", e);
        }
        String plain = name.toLowerCase(Locale.ROOT).replaceAll("[^0-9a-z]+", "-");
        return plain.length() > 24 ? plain.substring(0, 24) : plain;
    }

    /** As a part of a file's name, without dots. */
    public String token() {
        return pid + "-" + Long.toString(began, Character.MAX_RADIX) + "-" + machine;
    }

    /** What {@link #token} wrote; empty for anything else. */
    public static Optional<Owner> parse(String token) {
        Matcher parts = TOKEN.matcher(token);
        if (!parts.matches()) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    new Owner(
                            parts.group(3),
                            Long.parseLong(parts.group(1)),
                            Long.parseLong(parts.group(2), Character.MAX_RADIX)));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    /** Whether it ran on this machine; of others nobody here can tell whether they live. */
    public boolean isOfThisMachine() {
        return machine.equals(SELF.machine);
    }

    /** Whether it has certainly ended. */
    public boolean isGone() {
        return isOfThisMachine()
                && ProcessHandle.of(pid)
                        .filter(ProcessHandle::isAlive)
                        .map(process -> of(process, machine))
                        .filter(now -> Math.abs(now.began - began) <= ROUNDING_MS)
                        .isEmpty();
    }
}
