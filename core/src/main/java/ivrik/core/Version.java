package ivrik.core;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** The version of this build. */
public final class Version {
    /** Version number, such as {@code 0.3.0}. */
    public static final String NUMBER = read();

    /** Product name and version number. */
    public static final String NAME = "Ivrik " + NUMBER;

    private Version() {}

    private static String read() {
        try (InputStream in = Version.class.getResourceAsStream("version.txt")) {
            return new String(in.readAllBytes(), StandardCharsets.US_ASCII).strip();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
