package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.awt.image.BufferedImage;
import java.awt.image.IndexColorModel;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

import javax.imageio.ImageIO;

/** Small pictures written by other programs, against the same pictures as PNG read by the JDK. */
class StillFormatsTest {
    private static final Path FORMATS = Path.of("src/test/resources/formats");

    @TempDir Path folder;

    /** The difference between a file and a picture in 8-bit codes: mean and maximum. */
    record Apart(double mean, double most) {}

    static Apart apart(Path file, String reference) throws IOException {
        try (Footage footage = Footage.open(file, Workers.shared())) {
            BufferedImage image = ImageIO.read(FORMATS.resolve(reference).toFile());
            Raster wanted =
                    image.getColorModel() instanceof IndexColorModel palette
                            ? palette.convertToIntDiscrete(image.getRaster(), false).getRaster()
                            : image.getRaster();
            assertThat(footage.size()).isEqualTo(new Size(wanted.getWidth(), wanted.getHeight()));
            Frame got = footage.frame(0, footage.size());
            double largest = (1 << wanted.getSampleModel().getSampleSize(0)) - 1;
            double sum = 0;
            double most = 0;
            for (int y = 0; y < wanted.getHeight(); y++) {
                for (int x = 0; x < wanted.getWidth(); x++) {
                    for (int c = 0; c < 3; c++) {
                        int band = wanted.getNumBands() < 3 ? 0 : c;
                        double want = 255 * wanted.getSample(x, y, band) / largest;
                        double off = Math.abs(255 * got.colour().get(c).at(x, y) - want);
                        sum += off;
                        most = Math.max(most, off);
                    }
                }
            }
            return new Apart(sum / got.size().pixels() / 3, most);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "strips8.tif,       base8.png,   INT8,  0.001",
        "packbits8.tif,     base8.png,   INT8,  0.001",
        "tiles8.tif,        base8.png,   INT8,  0.001",
        "planar8.tif,       base8.png,   INT8,  0.001",
        "lzw16.tif,         base.png,    INT16, 0.001",
        "zip16.tif,         base.png,    INT16, 0.001",
        "tiles16.tif,       base.png,    INT16, 0.001",
        "big16.tif,         base.png,    INT16, 0.001",
        "bigendian16.tif,   base.png,    INT16, 0.001",
        "whole32.tif,       base.png,    INT16, 0.001",
        "float32.tif,       base.png,    FLOAT, 0.001",
        "half16.tif,        base.png,    FLOAT, 0.1",
        "unassociated16.tif, base.png,   INT16, 0.001",
        "associated8.tif,   base8.png,   INT8,  2.0",
        "jpeg8.tif,         base8.png,   INT8,  45",
        "cmyk8.tif,         base8.png,   INT8,  2.0",
        "palette.tif,       palette.png, INT8,  0.001",
        "plain.tga,         base8.png,   INT8,  0.001",
        "rle.tga,           base8.png,   INT8,  0.001",
        "plain.bmp,         base8.png,   INT8,  0.001",
        "plain.ppm,         base8.png,   INT8,  0.001",
        "plain.jpg,         base8.png,   INT8,  14",
        "progressive.jpg,   base8.png,   INT8,  40",
        "grey.jpg,          grey.png,    INT8,  4",
        "cmyk.jpg,          base8.png,   INT8,  50",
        "odd.heic,          odd.png,     INT10, 1.0",
        "grid.heic,         grid.png,    INT10, 1.0"
    })
    void pixelsAreAsTheyWereWritten(String name, String reference, String depth, double most)
            throws IOException {
        Path file = FORMATS.resolve(name);
        Apart apart = apart(file, reference);
        assertThat(apart.most()).as("%s", apart).isLessThanOrEqualTo(most);
        assertThat(apart.mean()).as("%s", apart).isLessThanOrEqualTo(Math.max(0.001, most / 2));
        try (Footage footage = Footage.open(file, Workers.shared())) {
            assertThat(footage.depth().name()).isEqualTo(depth);
            assertThat(footage.kind()).isEqualTo(Source.Kind.STILL);
            assertThat(footage.frames()).isEqualTo(1);
        }
    }

    @Test
    void premultipliedColourIsDivided() throws IOException {
        for (String name : new String[] {"associated8.tif", "unassociated16.tif"}) {
            try (Footage footage = Footage.open(FORMATS.resolve(name), Workers.shared())) {
                Frame frame = footage.frame(0, footage.size());
                assertThat(frame.coverage().getFirst().at(3, 4)).isBetween(0.498f, 0.503f);
            }
        }
    }

    /** The Exif orientations, written out. */
    private static int[] upright(int orientation, int x, int y, int w, int h) {
        return switch (orientation) {
            case 2 -> new int[] {w - 1 - x, y};
            case 3 -> new int[] {w - 1 - x, h - 1 - y};
            case 4 -> new int[] {x, h - 1 - y};
            case 5 -> new int[] {y, x};
            case 6 -> new int[] {y, h - 1 - x};
            case 7 -> new int[] {w - 1 - y, h - 1 - x};
            case 8 -> new int[] {w - 1 - y, x};
            default -> new int[] {x, y};
        };
    }

    @ParameterizedTest
    @ValueSource(strings = {"tif", "jpg"})
    void picturesFollowTheirOrientation(String ending) throws IOException {
        Raster stored = ImageIO.read(FORMATS.resolve("base8.png").toFile()).getRaster();
        int w = stored.getWidth();
        int h = stored.getHeight();
        for (int o = 1; o <= 8; o++) {
            Path file = FORMATS.resolve("orient" + o + "." + ending);
            try (Footage footage = Footage.open(file, Workers.shared())) {
                assertThat(footage.size()).isEqualTo(o < 5 ? new Size(w, h) : new Size(h, w));
                Frame frame = footage.frame(0, footage.size());
                double sum = 0;
                for (int y = 0; y < frame.height(); y++) {
                    for (int x = 0; x < frame.width(); x++) {
                        int[] from = upright(o, x, y, w, h);
                        double want = stored.getSample(from[0], from[1], 1);
                        sum += Math.abs(255 * frame.colour().get(1).at(x, y) - want);
                    }
                }
                assertThat(sum / frame.size().pixels())
                        .as("orientation %d", o)
                        .isLessThan(ending.equals("tif") ? 1e-3 : 2);
            }
        }
    }

    @Test
    void theContentDecidesTheFormat() throws IOException {
        Path lies = folder.resolve("lies.png");
        Files.copy(FORMATS.resolve("plain.jpg"), lies, StandardCopyOption.REPLACE_EXISTING);
        assertThat(apart(lies, "base8.png").most()).isLessThan(14);
        try (Footage footage = Footage.open(lies, Workers.shared())) {
            assertThat(footage.notices(lies))
                    .anyMatch(r -> r.contains("png") && r.contains("jpeg"));
        }
        Path tiff = Files.copy(FORMATS.resolve("lzw16.tif"), folder.resolve("t.jpeg"));
        assertThat(apart(tiff, "base.png").most()).isLessThan(0.001);
        try (Footage footage = Footage.open(FORMATS.resolve("plain.jpg"), Workers.shared())) {
            assertThat(footage.notices(FORMATS.resolve("plain.jpg"))).isEmpty();
        }
    }

    @Test
    void numberedJpegsAndTargasOpen() throws IOException {
        for (String ending : new String[] {"jpg", "tga"}) {
            for (int i = 0; i < 3; i++) {
                Files.copy(
                        FORMATS.resolve("plain." + ending),
                        folder.resolve("s-%03d.%s".formatted(i, ending)));
            }
            try (Footage footage =
                    Footage.open(folder.resolve("s-%03d." + ending), Workers.shared())) {
                assertThat(footage.frames()).isEqualTo(3);
                assertThat(footage.frame(2, footage.size()).size()).isEqualTo(new Size(24, 18));
            }
        }
    }

    @Test
    void textIsNoMovieAndNothingIsFetched() throws IOException {
        for (String text :
                new String[] {
                    "only words\n".repeat(40),
                    "#EXTM3U\n#EXT-X-TARGETDURATION:1\n#EXTINF:1,\nhttp://localhost:1/a.ts\n",
                    "ffconcat version 1.0\nfile /etc/hostname\n"
                }) {
            for (String name : new String[] {"notes.txt", "list.m3u8", "movie.mp4", "tty.ans"}) {
                Path file = Files.writeString(folder.resolve(name), text);
                assertThatThrownBy(() -> Footage.open(file, Workers.shared()))
                        .as(name)
                        .isInstanceOf(UnreadableMediaException.class)
                        .hasMessageContaining(name);
            }
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "width='100%' height='100%' viewBox='0 0 80 40' | 80 | 40",
                "width='50%' viewBox='0 0 80 40'                 | 80 | 40",
                "viewBox='0 0 80 40'                             | 80 | 40",
                "width='20' height='30' viewBox='0 0 80 40'      | 20 | 30",
                "viewBox='0 0 4e9 1e9'                           | 4096 | 1024"
            })
    void aVectorGraphicHasItsDeclaredSize(String root, int width, int height) throws IOException {
        Path file =
                Files.writeString(
                        folder.resolve("g.svg"),
                        "<svg xmlns='http://www.w3.org/2000/svg' "
                                + root
                                + "><rect width='80' height='40' fill='#ff0000'/></svg>");
        try (Footage footage = Footage.open(file, Workers.shared())) {
            assertThat(footage.size()).isEqualTo(new Size(width, height));
            assertThat(footage.notices(file)).hasSize(width == 4096 ? 1 : 0);
        }
    }

    @Test
    void aVectorGraphicReadsPicturesOfItsFolderOnly() throws IOException {
        Path inside = Files.createDirectories(folder.resolve("art"));
        Files.copy(FORMATS.resolve("base8.png"), folder.resolve("secret.png"));
        Files.copy(FORMATS.resolve("base8.png"), inside.resolve("p.png"));
        Files.createSymbolicLink(inside.resolve("way-out.png"), folder.resolve("secret.png"));
        String picture =
                "<image href='%s' x='%d' width='10' height='10' preserveAspectRatio='none'/>";
        Path file =
                Files.writeString(
                        inside.resolve("g.svg"),
                        "<svg xmlns='http://www.w3.org/2000/svg' width='60' height='10'>"
                                + "<style>@import url('http://localhost:1/x.css');"
                                + " .a { fill: #00ff00 }"
                                + " @media (prefers-color-scheme: dark) { .a { fill: #0000ff } }"
                                + " @media print { .a { fill: #ffffff } }"
                                + " @media screen { .b { fill: #ff0000 } }</style>"
                                + "<rect class='a' width='10' height='10'/>"
                                + "<rect class='b' x='10' width='10' height='10'/>"
                                + picture.formatted("p.png", 20)
                                + picture.formatted("../secret.png", 30)
                                + picture.formatted("way-out.png", 40)
                                + picture.formatted("http://localhost:1/p.png", 50)
                                + "</svg>");
        try (Footage footage = Footage.open(file, Workers.shared())) {
            Frame frame = footage.frame(0, footage.size());
            assertThat(frame.colour().get(1).at(5, 5)).isEqualTo(1);
            assertThat(frame.colour().get(2).at(5, 5)).isZero();
            assertThat(frame.colour().get(0).at(15, 5)).isEqualTo(1);
            assertThat(frame.colour().get(1).at(15, 5)).isZero();
            float[] covered = new float[4];
            for (int i = 0; i < 4; i++) {
                covered[i] = frame.coverage().getFirst().at(25 + 10 * i, 5);
            }
            assertThat(covered).containsExactly(1, 0, 0, 0);
        }
    }
}
