package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.project.Source.FootageSettings;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * OpenEXR files with several layers, parts and windows, written by the definition of the file layout.
 */
class OpenExrTest {
    @TempDir Path folder;

    @Test
    void layersOfAnOpenExrAreListedAndChosen() throws IOException {
        int[] window = {0, 0, 3, 2};
        Path file =
                exr(
                        folder.resolve("layers.exr"),
                        new String[] {
                            "beauty.B", "beauty.G", "beauty.R", "glow.B", "glow.G", "glow.R"
                        },
                        new float[] {3, 2, 1, 30, 20, 10},
                        window,
                        window);
        try (Footage footage = Footage.open(file, Workers.shared())) {
            assertThat(footage.delivered(0, footage.size()).colour().get(0).at(0, 0)).isEqualTo(1);
            assertThat(footage.notices(file))
                    .anyMatch(r -> r.contains("beauty") && r.contains("glow"));
        }
        try (Footage footage =
                Footage.open(
                        file, FootageSettings.AUTOMATIC.withImageLayer("glow"), Workers.shared())) {
            assertThat(footage.delivered(0, footage.size()).colour().get(2).at(1, 2)).isEqualTo(31);
        }
        assertThatThrownBy(
                        () ->
                                Footage.open(
                                        file,
                                        FootageSettings.AUTOMATIC.withImageLayer("fog"),
                                        Workers.shared()))
                .isInstanceOf(UnreadableMediaException.class)
                .hasMessageContaining("fog");
    }

    @Test
    void partsOfAnOpenExrAreListedAndChosen() throws IOException {
        // Two single-part files, the second with an offset window, joined to one file of two parts.
        byte[] beauty = part("beauty", new String[] {"B", "G", "R"}, new float[] {3, 2, 1}, 0);
        byte[] glow = part("glow", new String[] {"B", "G", "R"}, new float[] {30, 20, 10}, 7);
        Path file = folder.resolve("parts.exr");
        Files.write(file, inParts(beauty, glow));
        try (Footage footage = Footage.open(file, Workers.shared())) {
            assertThat(footage.layers()).containsExactly("beauty", "glow");
            assertThat(footage.delivered(0, footage.size()).colour().get(0).at(2, 1)).isEqualTo(3);
        }
        try (Footage footage =
                Footage.open(
                        file, FootageSettings.AUTOMATIC.withImageLayer("glow"), Workers.shared())) {
            assertThat(footage.layers()).containsExactly("glow", "beauty");
            assertThat(footage.size()).isEqualTo(new Size(4, 3));
            assertThat(footage.delivered(0, footage.size()).colour().get(2).at(1, 2)).isEqualTo(31);
        }
        Files.write(file, java.util.Arrays.copyOf(Files.readAllBytes(file), 700));
        assertThatThrownBy(() -> Footage.open(file, Workers.shared()))
                .isInstanceOf(UnreadableMediaException.class)
                .hasMessageContaining("parts.exr");
    }

    /** A file of one named part whose windows begin at {@code start}. */
    private byte[] part(String name, String[] channels, float[] values, int start)
            throws IOException {
        int[] window = {start, start, start + 3, start + 2};
        byte[] plain =
                Files.readAllBytes(
                        exr(folder.resolve(name + ".exr"), channels, values, window, window));
        var bytes = new ByteArrayOutputStream();
        bytes.write(plain, 0, 8);
        attribute(bytes, "name", "string", name.getBytes());
        attribute(bytes, "type", "string", "scanlineimage".getBytes());
        attribute(bytes, "chunkCount", "int", little(3));
        bytes.write(plain, 8, plain.length - 8);
        return bytes.toByteArray();
    }

    /**
     * OpenEXR file layout: headers, a zero, tables, and chunks that begin with the number of their part.
     */
    private static byte[] inParts(byte[]... files) throws IOException {
        var headers = new ByteArrayOutputStream();
        var chunks = new ByteArrayOutputStream();
        int lines = 3;
        int line = 8 + 4 * 4 * 3;
        int[] bodies = new int[files.length];
        headers.write(new byte[] {0x76, 0x2f, 0x31, 0x01, 2, 0x10, 0, 0});
        for (int p = 0; p < files.length; p++) {
            bodies[p] = files[p].length - lines * line;
            headers.write(files[p], 8, bodies[p] - 8 * lines - 8);
        }
        headers.write(0);
        int at = headers.size() + files.length * 8 * lines;
        for (int p = 0; p < files.length; p++) {
            for (int y = 0; y < lines; y++) {
                headers.write(little(at + chunks.size(), 0));
                chunks.write(little(p));
                chunks.write(files[p], bodies[p] + y * line, line);
            }
        }
        headers.write(chunks.toByteArray());
        return headers.toByteArray();
    }

    @Test
    void openExrWindowsMayHaveAnOffset() throws IOException {
        Path file =
                exr(
                        folder.resolve("window.exr"),
                        new String[] {"B", "G", "R"},
                        new float[] {3, 2, 1},
                        new int[] {12, 21, 13, 22},
                        new int[] {10, 20, 14, 23});
        try (Footage footage = Footage.open(file, Workers.shared())) {
            assertThat(footage.size()).isEqualTo(new Size(5, 4));
            Frame frame = footage.delivered(0, footage.size());
            assertThat(frame.colour().get(0).at(2, 1)).isEqualTo(1);
            assertThat(frame.colour().get(0).at(3, 2)).isEqualTo(2);
            assertThat(frame.colour().get(0).at(0, 0)).isZero();
            assertThat(frame.colour().get(0).at(4, 3)).isZero();
        }
    }

    /** An uncompressed OpenEXR of scanlines, written by the definition of the file layout. */
    static Path exr(
            Path file,
            String[] channels,
            float[] values,
            int[] data,
            int[] display,
            float... chromaticities)
            throws IOException {
        var bytes = new ByteArrayOutputStream();
        bytes.write(new byte[] {0x76, 0x2f, 0x31, 0x01, 2, 0, 0, 0});
        var list = new ByteArrayOutputStream();
        for (String channel : channels) {
            list.write(channel.getBytes());
            list.write(0);
            list.write(little(2, 0, 1, 1));
        }
        list.write(0);
        attribute(bytes, "channels", "chlist", list.toByteArray());
        if (chromaticities.length > 0) {
            int[] bits = new int[8];
            java.util.Arrays.setAll(bits, i -> Float.floatToRawIntBits(chromaticities[i]));
            attribute(bytes, "chromaticities", "chromaticities", little(bits));
        }
        attribute(bytes, "compression", "compression", new byte[1]);
        attribute(bytes, "dataWindow", "box2i", little(data));
        attribute(bytes, "displayWindow", "box2i", little(display));
        attribute(bytes, "lineOrder", "lineOrder", new byte[1]);
        attribute(bytes, "pixelAspectRatio", "float", little(Float.floatToRawIntBits(1)));
        attribute(bytes, "screenWindowCenter", "v2f", new byte[8]);
        attribute(bytes, "screenWindowWidth", "float", little(Float.floatToRawIntBits(1)));
        bytes.write(0);
        int width = data[2] - data[0] + 1;
        int height = data[3] - data[1] + 1;
        int line = 8 + 4 * width * channels.length;
        for (int y = 0; y < height; y++) {
            bytes.write(little(bytes.size() - 8 * y + 8 * (height - y) + y * (line + 8) - 0, 0));
        }
        byte[] head = bytes.toByteArray();
        // The offset table is written again once the length of the header is known.
        int start = head.length - 8 * height;
        var out = new ByteArrayOutputStream();
        out.write(head, 0, start);
        for (int y = 0; y < height; y++) {
            out.write(little(head.length + y * line, 0));
        }
        for (int y = 0; y < height; y++) {
            out.write(little(data[1] + y, line - 8));
            for (int c = 0; c < channels.length; c++) {
                for (int x = 0; x < width; x++) {
                    out.write(little(Float.floatToRawIntBits(values[c] + x)));
                }
            }
        }
        return Files.write(file, out.toByteArray());
    }

    private static void attribute(ByteArrayOutputStream out, String name, String type, byte[] value)
            throws IOException {
        out.write(name.getBytes());
        out.write(0);
        out.write(type.getBytes());
        out.write(0);
        out.write(little(value.length));
        out.write(value);
    }

    private static byte[] little(int... numbers) {
        var buffer =
                java.nio.ByteBuffer.allocate(4 * numbers.length)
                        .order(java.nio.ByteOrder.LITTLE_ENDIAN);
        for (int n : numbers) {
            buffer.putInt(n);
        }
        return buffer.array();
    }
}
