package ivrik.media.decode;

import ivrik.core.colour.Primaries;
import ivrik.core.colour.Transfer;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * One header of an OpenEXR file, with the positions of its attributes (OpenEXR file layout).
 *
 * @param name name of the part; empty if it has none
 * @param type storage type, such as {@code scanlineimage}; empty if not declared
 * @param chunks number of scanline blocks or tiles; 0 if not declared
 * @param channels channel names, such as {@code beauty.R}
 * @param primaries primaries of the colours; BT.709 if not declared
 * @param start offset of the header
 * @param end offset after the header
 * @param dataWindow offset of the data window
 * @param displayWindow offset of the display window
 */
record ExrHeader(
        String name,
        String type,
        int chunks,
        List<String> channels,
        Primaries primaries,
        int start,
        int end,
        int dataWindow,
        int displayWindow) {
    /** Bytes after a channel's name. */
    private static final int CHANNEL_BYTES = 16;

    /**
     * Reads the header at the buffer's position and advances the buffer.
     *
     * @param file the whole file, little-endian
     * @throws RuntimeException if the file is truncated
     */
    static ExrHeader read(ByteBuffer file) {
        String partName = "";
        String type = "";
        int chunks = 0;
        List<String> channels = List.of();
        Primaries primaries = Primaries.SRGB;
        int dataWindow = 0;
        int displayWindow = 0;
        int start = file.position();
        for (String name = text(file); !name.isEmpty(); name = text(file)) {
            text(file); // attribute type; implied by the name
            int size = file.getInt();
            ByteBuffer value = file.slice(file.position(), size).order(ByteOrder.LITTLE_ENDIAN);
            switch (name) {
                case "name" -> partName = StandardCharsets.UTF_8.decode(value).toString();
                case "type" -> type = StandardCharsets.UTF_8.decode(value).toString();
                case "chunkCount" -> chunks = value.getInt();
                case "channels" -> channels = channels(value);
                case "chromaticities" -> primaries = primaries(value);
                case "dataWindow" -> dataWindow = file.position();
                case "displayWindow" -> displayWindow = file.position();
                default -> {}
            }
            file.position(file.position() + size);
        }
        return new ExrHeader(
                partName,
                type,
                chunks,
                channels,
                primaries,
                start,
                file.position(),
                dataWindow,
                displayWindow);
    }

    /** A null-terminated string. */
    private static String text(ByteBuffer file) {
        int start = file.position();
        while (file.get() != 0) {}
        byte[] text = new byte[file.position() - 1 - start];
        file.get(start, text);
        return new String(text, StandardCharsets.UTF_8);
    }

    private static List<String> channels(ByteBuffer list) {
        List<String> channels = new ArrayList<>();
        for (String name = text(list); !name.isEmpty(); name = text(list)) {
            channels.add(name);
            list.position(list.position() + CHANNEL_BYTES);
        }
        return List.copyOf(channels);
    }

    private static Primaries primaries(ByteBuffer value) {
        double[] xy = new double[8];
        for (int i = 0; i < 8; i++) {
            xy[i] = Math.round(value.getFloat() * 1e5) / 1e5; // floats, rounded to decimals
        }
        return new Primaries(xy);
    }

    boolean isTiled() {
        return type.equals("tiledimage");
    }

    /** Whether the part holds deep data, which is not supported. */
    boolean isDeep() {
        return type.startsWith("deep");
    }

    /** Whether some channels belong to no layer. */
    boolean isPlain() {
        return channels.stream().anyMatch(channel -> channel.indexOf('.') < 0);
    }

    /** Names of all layers. */
    Set<String> layers() {
        Set<String> layers = new LinkedHashSet<>();
        for (String channel : channels) {
            int dot = channel.lastIndexOf('.');
            if (dot > 0) {
                layers.add(channel.substring(0, dot));
            }
        }
        return layers;
    }

    FootageColours colours() {
        return FootageColours.of(
                FrameColourTags.name(primaries) + ", linear light", primaries, Transfer.LINEAR);
    }
}
