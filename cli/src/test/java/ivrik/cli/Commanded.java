package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferUShort;
import java.awt.image.Raster;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Path;
import java.util.Random;

import javax.imageio.ImageIO;

/** Runs the command as scripts do; pictures are written and read by the JDK. */
abstract class Commanded {
    @TempDir Path folder;

    String out;
    String err;

    final int ivrik(String... words) {
        StringWriter o = new StringWriter();
        StringWriter e = new StringWriter();
        int exit = Ivrik.run(new PrintWriter(o, true), new PrintWriter(e, true), words);
        out = o.toString();
        err = e.toString();
        return exit;
    }

    @BeforeEach
    void settingsOfItsOwn() {
        System.setProperty("ivrik.data", folder.resolve("data").toString());
    }

    final Path picture8(String name, boolean alpha) throws IOException {
        BufferedImage image =
                new BufferedImage(
                        40, 30, alpha ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        Random random = new Random(5);
        for (int y = 0; y < 30; y++) {
            for (int x = 0; x < 40; x++) {
                image.setRGB(x, y, random.nextInt() & (x == 3 ? 0x00ffffff : -1));
            }
        }
        Path file = folder.resolve(name);
        ImageIO.write(image, "png", file.toFile());
        return file;
    }

    final Path picture16(String name) throws IOException {
        short[] samples = new short[40 * 30 * 3];
        Random random = new Random(6);
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (short) random.nextInt();
        }
        var model =
                new java.awt.image.ComponentColorModel(
                        java.awt.color.ColorSpace.getInstance(java.awt.color.ColorSpace.CS_sRGB),
                        false,
                        false,
                        java.awt.Transparency.OPAQUE,
                        DataBuffer.TYPE_USHORT);
        var raster =
                Raster.createInterleavedRaster(
                        new DataBufferUShort(samples, samples.length),
                        40,
                        30,
                        120,
                        3,
                        new int[] {0, 1, 2},
                        null);
        Path file = folder.resolve(name);
        ImageIO.write(new BufferedImage(model, raster, false, null), "png", file.toFile());
        return file;
    }

    static void assertSamePixels(Path a, Path b) throws IOException {
        Raster p = ImageIO.read(a.toFile()).getRaster();
        Raster q = ImageIO.read(b.toFile()).getRaster();
        assertThat(q.getNumBands()).isEqualTo(p.getNumBands());
        assertThat(q.getSampleModel().getDataType()).isEqualTo(p.getSampleModel().getDataType());
        assertThat(q.getPixels(0, 0, q.getWidth(), q.getHeight(), (int[]) null))
                .containsExactly(p.getPixels(0, 0, p.getWidth(), p.getHeight(), (int[]) null));
    }
}
