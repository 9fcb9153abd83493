package ivrik.media.decode;

import ivrik.media.UnreadableMediaException;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Set;

/** The kind of a file by its first bytes, independent of its name. */
enum FileKind {
    TIFF,
    EXR,
    /** CMYK JPEG. */
    INKED_JPEG,
    ANIMATED_WEBP,
    /** A still image in an ISO media container. */
    HEIF,
    SVG,
    /** Anything else; FFmpeg decides. */
    OTHER;

    private static final int LOOK = 1 << 16;
    private static final Set<String> HEIF_BRANDS =
            Set.of("heic", "heix", "heim", "heis", "hevc", "mif1", "avif");

    static FileKind of(Path path) {
        byte[] start;
        try (InputStream in = Files.newInputStream(path)) {
            start = in.readNBytes(LOOK);
        } catch (IOException e) {
            throw new UnreadableMediaException(
                    "cannot read " + path, "check the read permission", e);
        }
        if (begins(start, "II*\0")
                || begins(start, "MM\0*")
                || begins(start, "II+\0")
                || begins(start, "MM\0+")) {
            return TIFF;
        }
        if (begins(start, "v/1\1")) {
            return EXR;
        }
        if (at(start, 4, "ftyp")
                && start.length >= 12
                && HEIF_BRANDS.contains(new String(start, 8, 4, StandardCharsets.US_ASCII))) {
            return HEIF;
        }
        if (begins(start, "RIFF") && at(start, 8, "WEBPVP8X") && start.length > 20) {
            return (start[20] & 2) != 0 ? ANIMATED_WEBP : OTHER;
        }
        if (start.length > 2 && (start[0] & 0xff) == 0xff && (start[1] & 0xff) == 0xd8) {
            return inks(start) == 4 ? INKED_JPEG : OTHER;
        }
        return isSvg(start) ? SVG : OTHER;
    }

    private static boolean begins(byte[] bytes, String text) {
        return at(bytes, 0, text);
    }

    private static boolean at(byte[] bytes, int from, String text) {
        if (bytes.length < from + text.length()) {
            return false;
        }
        for (int i = 0; i < text.length(); i++) {
            if (bytes[from + i] != text.charAt(i)) {
                return false;
            }
        }
        return true;
    }

    /** Number of components in a JPEG frame header (ITU-T T.81, B.2.2). */
    private static int inks(byte[] jpeg) {
        int i = 2;
        while (i + 9 < jpeg.length && (jpeg[i] & 0xff) == 0xff) {
            int marker = jpeg[i + 1] & 0xff;
            boolean frame =
                    marker >= 0xc0
                            && marker <= 0xcf
                            && marker != 0xc4
                            && marker != 0xc8
                            && marker != 0xcc;
            if (frame) {
                return jpeg[i + 9] & 0xff;
            }
            i += marker == 0xff ? 1 : 2 + ((jpeg[i + 2] & 0xff) << 8 | jpeg[i + 3] & 0xff);
        }
        return 0;
    }

    /**
     * Whether text contains an svg element. Compressed SVG is recognised by its first bytes and its name.
     */
    private static boolean isSvg(byte[] start) {
        String text = new String(start, StandardCharsets.UTF_8);
        if (text.startsWith("\uFEFF")) {
            text = text.substring(1);
        }
        return text.stripLeading().startsWith("<")
                && text.toLowerCase(Locale.ROOT).contains("<svg");
    }
}
