package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.nio.file.Path;

class ColourTagsTest {
    @TempDir Path folder;

    /** The defining equations of the ITU-R recommendations, in double precision. */
    @ParameterizedTest
    @CsvSource({
        "tv, bt709,     0.2126, 0.0722, yuv444p,   8",
        "pc, bt709,     0.2126, 0.0722, yuv444p,   8",
        "tv, smpte170m, 0.299,  0.114,  yuv444p,   8",
        "pc, smpte170m, 0.299,  0.114,  yuv422p,   8",
        "tv, bt2020nc,  0.2627, 0.0593, yuv444p10, 10",
        "tv, bt709,     0.2126, 0.0722, yuv420p12, 12"
    })
    void tagsDecideWhatCodesMean(
            String range, String space, double kr, double kb, String format, int bits) {
        int unit = 1 << (bits - 8);
        int y = 150 * unit;
        int cb = 100 * unit;
        int cr = 170 * unit;
        Path file = folder.resolve("flat.mkv");
        TestMedia.make(
                file,
                new TestMedia.Track(
                        "color=black:s=32x32:r=25:d=0.08,format="
                                + format
                                + ",geq=lum="
                                + y
                                + ":cb="
                                + cb
                                + ":cr="
                                + cr
                                + ",setparams=range="
                                + range
                                + ":colorspace="
                                + space,
                        "ffv1",
                        ""));
        boolean full = range.equals("pc");
        double luma = full ? y / (double) ((1 << bits) - 1) : (y - 16.0 * unit) / (219 * unit);
        double swing = full ? (1 << bits) - 1 : 224.0 * unit;
        double pb = (cb - 128.0 * unit) / swing;
        double pr = (cr - 128.0 * unit) / swing;
        double red = luma + 2 * (1 - kr) * pr;
        double blue = luma + 2 * (1 - kb) * pb;
        double green = (luma - kr * red - kb * blue) / (1 - kr - kb);
        try (Footage footage = Footage.open(file, Workers.shared())) {
            Frame frame = footage.frame(0, footage.size());
            assertThat((double) frame.colour().get(0).at(9, 9)).isCloseTo(red, within(1e-5));
            assertThat((double) frame.colour().get(1).at(9, 9)).isCloseTo(green, within(1e-5));
            assertThat((double) frame.colour().get(2).at(9, 9)).isCloseTo(blue, within(1e-5));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "jpg, mjpeg, yuvj444p, -flags qscale -global_quality 118",
        "webp, libwebp, bgra, -lossless 1",
        "tif, tiff, rgb24, ''",
        "bmp, bmp, bgr24, ''",
        "exr, exr, gbrpf32le, ''"
    })
    void stillsOfOtherFormatsAreRead(String ending, String encoder, String layout, String options) {
        Path file = folder.resolve("flat." + ending);
        TestMedia.make(
                file,
                new TestMedia.Track(
                        "color=0xc86432:s=48x32:d=0.04,format=rgb24,format=" + layout,
                        encoder,
                        options));
        try (Footage footage = Footage.open(file, Workers.shared())) {
            assertThat(footage.size()).isEqualTo(new Size(48, 32));
            assertThat(footage.kind().isStill()).isTrue();
            Frame frame = footage.frame(0, footage.size());
            double within = 0.02;
            // FFmpeg writes codes unchanged into an EXR; Ivrik reads them as linear light.
            java.util.function.DoubleUnaryOperator expected =
                    ending.equals("exr") ? ivrik.core.colour.Transfer.SRGB::fromLinear : v -> v;
            assertThat((double) frame.colour().get(0).at(20, 20))
                    .isCloseTo(expected.applyAsDouble(200 / 255.0), within(within));
            assertThat((double) frame.colour().get(1).at(20, 20))
                    .isCloseTo(expected.applyAsDouble(100 / 255.0), within(within));
            assertThat((double) frame.colour().get(2).at(20, 20))
                    .isCloseTo(expected.applyAsDouble(50 / 255.0), within(within));
        }
    }

    @Test
    void paletteImagesAreRead() throws java.io.IOException {
        var image =
                new java.awt.image.BufferedImage(
                        8, 8, java.awt.image.BufferedImage.TYPE_BYTE_INDEXED);
        image.setRGB(3, 4, 0xffcc6633);
        Path file = folder.resolve("palette.png");
        javax.imageio.ImageIO.write(image, "png", file.toFile());
        try (Footage footage = Footage.open(file, Workers.shared())) {
            Frame frame = footage.frame(0, footage.size());
            assertThat(frame.colour().get(0).at(3, 4)).isEqualTo(0xcc / 255f);
            assertThat(frame.colour().get(1).at(3, 4)).isEqualTo(0x66 / 255f);
            assertThat(frame.colour().get(2).at(3, 4)).isEqualTo(0x33 / 255f);
        }
    }

    @Test
    void alphaOfAMovieIsRead() {
        Path file = folder.resolve("alpha.webm");
        TestMedia.make(
                file,
                new TestMedia.Track(
                        "color=white:s=64x64:r=25:d=0.2,format=yuva420p,geq=lum=235:cb=128:cr=128:a='if(lt(X,32),64,255)'",
                        "libvpx-vp9",
                        "-auto-alt-ref 0 -crf 4 -b 0"));
        try (Footage footage = Footage.open(file, Workers.shared())) {
            Frame frame = footage.frame(3, footage.size());
            assertThat(frame.isOpaque()).isFalse();
            assertThat((double) frame.coverage().getFirst().at(10, 30))
                    .isCloseTo(64 / 255.0, within(0.02));
            assertThat((double) frame.coverage().getFirst().at(54, 30)).isCloseTo(1, within(0.02));
        }
    }
}
