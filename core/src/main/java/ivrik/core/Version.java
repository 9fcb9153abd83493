package ivrik.core;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** Which Ivrik this is, as its build says. */
public final class Version {
    /** Numbers with points between them. */
    public static final String NUMBER = read();

    /** With the name. */
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
