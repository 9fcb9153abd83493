package ivrik.media.encode;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/**
 * Combines single-part scanline OpenEXR files into one multi-part file (OpenEXR file layout): each header
 * gets a name, type and chunk count, each block its part number.
 */
final class ExrParts {
    private static final int MAGIC = 0x01312f76;
    private static final int VERSION_IN_PARTS = 2 | 0x1000;
    private static final int HEADER = 8;

    private ExrParts() {}

    /**
     * @param header without its final zero byte
     * @param blocks each with its first line and its byte count
     */
    private record Part(byte[] header, List<byte[]> blocks) {
        static Part of(String name, byte[] file) {
            ByteBuffer in = ByteBuffer.wrap(file).order(ByteOrder.LITTLE_ENDIAN);
            in.position(HEADER);
            while (in.get(in.position()) != 0) {
                text(in);
                text(in);
                int size = in.getInt();
                in.position(in.position() + size);
            }
            ByteArrayOutputStream header = new ByteArrayOutputStream();
            header.write(file, HEADER, in.position() - HEADER);
            int table = in.position() + 1;
            int count = (int) ((in.getLong(table) - table) / Long.BYTES);
            List<byte[]> blocks = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                int at = (int) in.getLong(table + i * Long.BYTES);
                byte[] block = new byte[2 * Integer.BYTES + in.getInt(at + Integer.BYTES)];
                in.get(at, block);
                blocks.add(block);
            }
            attribute(header, "name", "string", name.getBytes(StandardCharsets.UTF_8));
            attribute(
                    header, "type", "string", "scanlineimage".getBytes(StandardCharsets.US_ASCII));
            attribute(header, "chunkCount", "int", number(count));
            return new Part(header.toByteArray(), blocks);
        }

        private static void text(ByteBuffer in) {
            while (in.get() != 0) {}
        }
    }

    private static void attribute(
            ByteArrayOutputStream header, String name, String type, byte[] value) {
        header.writeBytes(name.getBytes(StandardCharsets.US_ASCII));
        header.write(0);
        header.writeBytes(type.getBytes(StandardCharsets.US_ASCII));
        header.write(0);
        header.writeBytes(number(value.length));
        header.writeBytes(value);
    }

    private static byte[] number(int value) {
        return ByteBuffer.allocate(Integer.BYTES)
                .order(ByteOrder.LITTLE_ENDIAN)
                .putInt(value)
                .array();
    }

    /**
     * @param names distinct part names
     * @param files single-part files in the same order
     */
    static byte[] join(List<String> names, List<byte[]> files) {
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            parts.add(Part.of(names.get(i), files.get(i)));
        }
        long headers = parts.stream().mapToLong(p -> p.header().length + 1).sum();
        long blocks = parts.stream().mapToLong(p -> p.blocks().size()).sum();
        long bytes =
                parts.stream()
                        .flatMap(p -> p.blocks().stream())
                        .mapToLong(b -> Integer.BYTES + b.length)
                        .sum();
        long first = HEADER + headers + 1 + blocks * Long.BYTES;
        ByteBuffer out =
                ByteBuffer.allocate(Math.toIntExact(first + bytes)).order(ByteOrder.LITTLE_ENDIAN);
        out.putInt(MAGIC).putInt(VERSION_IN_PARTS);
        parts.forEach(p -> out.put(p.header()).put((byte) 0));
        out.put((byte) 0);
        long at = first;
        for (Part part : parts) {
            for (byte[] block : part.blocks()) {
                out.putLong(at);
                at += Integer.BYTES + block.length;
            }
        }
        for (int i = 0; i < parts.size(); i++) {
            for (byte[] block : parts.get(i).blocks()) {
                out.putInt(i).put(block);
            }
        }
        return out.array();
    }
}
