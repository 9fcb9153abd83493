package ivrik.media.file;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** The SHA-256 hash of a file's content, or its absence; detects changes by other programs. */
public record FileVersion(String sha256) {
    public static final FileVersion NONE = new FileVersion("");

    public static FileVersion of(Path file) {
        if (!Files.isRegularFile(file)) {
            return NONE;
        }
        try {
            return of(Files.readAllBytes(file));
        } catch (IOException e) {
            throw SafeFile.fault(file, e);
        }
    }

    public static FileVersion of(String text) {
        return of(text.getBytes(StandardCharsets.UTF_8));
    }

    private static FileVersion of(byte[] bytes) {
        try {
            return new FileVersion(
                    HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java runtime has SHA-256", e);
        }
    }
}
