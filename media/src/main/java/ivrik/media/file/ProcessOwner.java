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
 * Identity of a process in the names of its files, so that others can tell whether it is running.
 *
 * @param machine host name: lower-case letters, digits and hyphens
 * @param pid process id
 * @param began start time in milliseconds since 1970, because process ids are reused
 */
public record ProcessOwner(String machine, long pid, long began) {
    private static final Logger LOG = LoggerFactory.getLogger(ProcessOwner.class);
    private static final Pattern TOKEN = Pattern.compile("(\\d+)-([0-9a-z]+)-([0-9a-z-]+)");

    /** Tolerance of start times. */
    private static final long ROUNDING_MS = 1000;

    private static final ProcessOwner SELF = of(ProcessHandle.current(), thisMachine());

    /** This process. */
    public static ProcessOwner self() {
        return SELF;
    }

    private static ProcessOwner of(ProcessHandle process, String machine) {
        long began = process.info().startInstant().map(Instant::toEpochMilli).orElse(0L);
        return new ProcessOwner(machine, process.pid(), began);
    }

    private static String thisMachine() {
        String name = "here"; // a machine without a name shares no disk
        try {
            Path kernel = Path.of("/proc/sys/kernel/hostname");
            name =
                    Files.isReadable(kernel)
                            ? Files.readString(kernel).strip()
                            : InetAddress.getLocalHost().getHostName();
        } catch (IOException e) {
            LOG.warn("the host name cannot be read", e);
        }
        String plain = name.toLowerCase(Locale.ROOT).replaceAll("[^0-9a-z]+", "-");
        return plain.length() > 24 ? plain.substring(0, 24) : plain;
    }

    /** The identity as part of a file name, without dots. */
    public String token() {
        return pid + "-" + Long.toString(began, Character.MAX_RADIX) + "-" + machine;
    }

    /** Parses {@link #token}; empty for anything else. */
    public static Optional<ProcessOwner> parse(String token) {
        Matcher parts = TOKEN.matcher(token);
        if (!parts.matches()) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    new ProcessOwner(
                            parts.group(3),
                            Long.parseLong(parts.group(1)),
                            Long.parseLong(parts.group(2), Character.MAX_RADIX)));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    /** Whether the process ran on this machine; the state of others is unknown. */
    public boolean isOfThisMachine() {
        return machine.equals(SELF.machine);
    }

    /** Whether the process has certainly ended. */
    public boolean isGone() {
        return isOfThisMachine()
                && ProcessHandle.of(pid)
                        .filter(ProcessHandle::isAlive)
                        .map(process -> of(process, machine))
                        .filter(now -> Math.abs(now.began - began) <= ROUNDING_MS)
                        .isEmpty();
    }
}
