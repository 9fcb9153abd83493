package ivrik.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.measure.Scope.Channel;
import ivrik.core.picture.Region;
import ivrik.core.picture.Size;

import org.junit.jupiter.api.Test;

import java.util.Arrays;
import java.util.Random;

/** Scopes against a count pixel by pixel. */
class ScopeTest {
    private static final Size SIZE = new Size(37, 23);
    private static final Region PART = new Region(5, 4, 20, 11);

    private final int[] pixels = new Random(4).ints(37 * 23).map(i -> i | 0xff000000).toArray();
    private final Scope all = new Scope(pixels, SIZE, Region.all(SIZE));
    private final Scope part = new Scope(pixels, SIZE, PART);

    private int[] rgb(int x, int y) {
        int word = pixels[y * 37 + x];
        return new int[] {word >> 16 & 255, word >> 8 & 255, word & 255};
    }

    private static double luma(int[] rgb) {
        return 0.2126 * rgb[0] + 0.7152 * rgb[1] + 0.0722 * rgb[2];
    }

    @Test
    void theHistogramIsTheCountOfEachCode() {
        int[][] plain = new int[4][256];
        for (int y = 0; y < 23; y++) {
            for (int x = 0; x < 37; x++) {
                for (int c = 0; c < 3; c++) {
                    plain[c][rgb(x, y)[c]]++;
                }
                plain[3][(int) Math.round(luma(rgb(x, y)))]++;
            }
        }
        for (Channel channel : Channel.values()) {
            assertThat(all.histogram(channel)).containsExactly(plain[channel.ordinal()]);
        }
        assertThat(all.count()).isEqualTo(37 * 23);
    }

    /** Picture columns map to waveform columns from left to right. */
    @Test
    void theWaveformIsTheCountInEachColumnOfThePart() {
        int[] plain = new int[7 * 256];
        for (int y = 4; y < 15; y++) {
            for (int x = 0; x < 20; x++) {
                plain[x * 7 / 20 * 256 + rgb(5 + x, y)[1]]++;
            }
        }
        assertThat(part.waveform(Channel.GREEN, 7)).containsExactly(plain);
        assertThat(Arrays.stream(part.waveform(Channel.LUMA, 200)).sum()).isEqualTo(220);
    }

    /** Cb = (B - Y) / 1.8556, Cr = (R - Y) / 1.5748. */
    @Test
    void vectorsAreTheCountOfEachPairOfColourDifferences() {
        int[] plain = new int[256 * 256];
        for (int y = 4; y < 15; y++) {
            for (int x = 5; x < 25; x++) {
                int[] rgb = rgb(x, y);
                int cb = (int) Math.round(128 + (rgb[2] - luma(rgb)) / 1.8556);
                int cr = (int) Math.round(128 + (rgb[0] - luma(rgb)) / 1.5748);
                plain[cr * 256 + cb]++;
            }
        }
        assertThat(part.vectors()).containsExactly(plain);
    }

    @Test
    void greyIsInTheMiddleAndFullColoursAtTheEdge() {
        assertThat(Scope.cb(0xff777777)).isEqualTo(128);
        assertThat(Scope.cr(0xff777777)).isEqualTo(128);
        assertThat(Scope.cr(0xffff0000)).isEqualTo(255);
        assertThat(Scope.cb(0xff0000ff)).isEqualTo(255);
        assertThat(Scope.cr(0xff00ffff)).isEqualTo(1);
    }
}
