package ivrik.installer;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Arrays;

import javax.imageio.ImageIO;

/** The icon and the container files that hold it. */
class IconTest {
    @ParameterizedTest
    @ValueSource(ints = {48, 256, 512})
    void theIconHasThreeColoursOnDark(int size) {
        BufferedImage icon = Icon.draw(size);
        assertThat(icon.getRGB(0, 0) >>> 24).as("the corner is empty").isLessThan(200);
        assertThat(icon.getRGB(size / 16, size / 2) | 0xff000000).isEqualTo(0xff1c1b1b);
        boolean[] seen = new boolean[8];
        for (int y = 0; y < size; y++) {
            for (int x = 0; x < size; x++) {
                int rgb = icon.getRGB(x, y);
                seen[(rgb >> 21 & 4) | (rgb >> 14 & 2) | (rgb >> 7 & 1)] = true;
            }
        }
        assertThat(seen).as("each colour alone, each two, and all three").doesNotContain(false);
    }

    @Test
    void theWindowsIconIsValid() throws IOException {
        byte[] ico = Icon.ico();
        ByteBuffer head = ByteBuffer.wrap(ico).order(ByteOrder.LITTLE_ENDIAN);
        assertThat(head.getShort(2)).as("an icon").isEqualTo((short) 1);
        int length = head.getInt(14);
        int from = head.getInt(18);
        assertThat(from + length).isEqualTo(ico.length);
        assertPicture(Arrays.copyOfRange(ico, from, ico.length), 256);
    }

    @Test
    void theMacosIconIsValid() throws IOException {
        byte[] icns = Icon.icns();
        ByteBuffer head = ByteBuffer.wrap(icns);
        assertThat(new String(icns, 0, 4)).isEqualTo("icns");
        assertThat(head.getInt(4)).isEqualTo(icns.length);
        assertThat(new String(icns, 8, 4)).isEqualTo("ic09");
        assertThat(head.getInt(12)).isEqualTo(icns.length - 8);
        assertPicture(Arrays.copyOfRange(icns, 16, icns.length), 512);
    }

    private static void assertPicture(byte[] png, int size) throws IOException {
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(png));
        assertThat(image.getWidth()).isEqualTo(size);
        assertThat(image.getRGB(size / 16, size / 2)).isEqualTo(0xff1c1b1b);
    }
}
