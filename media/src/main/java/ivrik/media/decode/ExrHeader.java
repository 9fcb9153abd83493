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
 * One header of an OpenEXR file: which layers its part has, what their colours mean, and where in the
 * file all that stands (OpenEXR file layout).
 *
 * @param name of the part, empty if it has none
 * @param type how it is stored, such as {@code scanlineimage}; empty if it does not say
 * @param chunks how many blocks or tiles there are, 0 if it does not say
 * @param channels all names, such as {@code beauty.R}
 * @param primaries of its colours, BT.709 where it does not say
 * @param start where in the file it begins
 * @param end where what follows it begins
 * @param dataWindow where in the file its data window stands
 * @param displayWindow where in the file its display window stands
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
    /** Bytes that follow a channel's name. */
    private static final int CHANNEL_BYTES = 16;

    /**
     * Reads the header that stands at the buffer's position, and leaves it behind.
     *
     * @param file the whole file, its numbers the small end first
     * @throws RuntimeException if it is cut off
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
            text(file); // its type, which its name says already
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

    /** What stands up to the next zero. */
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
            xy[i] = Math.round(value.getFloat() * 1e5) / 1e5; // floats, as decimals
        }
        return new Primaries(xy);
    }

    boolean isTiled() {
        return type.equals("tiledimage");
    }

    /** Whether it holds samples at several depths, which are no picture. */
    boolean isDeep() {
        return type.startsWith("deep");
    }

    /** Whether there are channels without a layer's name. */
    boolean isPlain() {
        return channels.stream().anyMatch(channel -> channel.indexOf('.') < 0);
    }

    /** The names of all layers that have a name. */
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

    Colours colours() {
        return Colours.of(Tags.word(primaries) + ", linear light", primaries, Transfer.LINEAR);
    }
}
