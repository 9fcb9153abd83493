package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.IvrikException;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.Import;
import ivrik.media.decode.MovieReader;
import ivrik.media.decode.NumberedSequence;
import ivrik.media.encode.StillWriter;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;

import javax.imageio.ImageIO;

class StillsTest {
    private final Workers workers = Workers.shared();

    @TempDir Path folder;

    static Frame random(int width, int height, Depth depth, boolean alpha) {
        Random random = new Random(width * 31L + height);
        Plane[] planes = new Plane[4];
        for (int c = 0; c < 4; c++) {
            planes[c] = Plane.of(width, height);
            for (int i = 0; i < width * height; i++) {
                planes[c].data()[i] = depth.toFloat(random.nextInt(1 << depth.bits()));
            }
        }
        return alpha
                ? Frame.straight(planes[0], planes[1], planes[2], planes[3])
                : Frame.opaque(planes[0], planes[1], planes[2]);
    }

    private Frame read(Path file) {
        try (Footage footage = Footage.open(file, workers)) {
            return footage.frame(0, footage.size());
        }
    }

    @ParameterizedTest
    @CsvSource({
        "png,INT8,false",
        "png,INT16,false",
        "png,INT8,true",
        "png,INT16,true",
        "tif,INT16,false",
        "tif,INT16,true"
    })
    void integerStillsRoundTripToTheBit(String ending, Depth depth, boolean alpha)
            throws IOException {
        Frame frame = random(37, 23, depth, alpha);
        Path file = folder.resolve("a." + ending);
        StillWriter.write(frame, file, depth, workers);
        Frame back = read(file);
        for (int c = 0; c < 3; c++) {
            assertThat(back.colour().get(c).sameSamples(frame.colour().get(c))).isTrue();
        }
        assertThat(back.isOpaque()).isEqualTo(!alpha);
        // The JDK's reader sees the same codes.
        Raster raster = ImageIO.read(file.toFile()).getRaster();
        for (int c = 0; c < (alpha ? 4 : 3); c++) {
            Plane plane = c < 3 ? frame.colour().get(c) : frame.coverage().getFirst();
            assertThat(raster.getSample(11, 7, c)).isEqualTo(depth.toCode(plane.at(11, 7)));
        }
    }

    @Test
    void anExrHoldsLinearLightAndRoundTrips() {
        Frame frame = random(20, 10, Depth.INT16, true);
        Path file = folder.resolve("a.exr");
        StillWriter.write(frame, file, Depth.FLOAT, workers);
        Frame back = read(file);
        for (int i = 0; i < 200; i++) {
            if (frame.coverage().getFirst().data()[i] > 0.01) {
                assertThat(back.colour().get(1).data()[i])
                        .isCloseTo(frame.colour().get(1).data()[i], within(2e-6f));
            }
        }
        try (MovieReader raw = new MovieReader(file, workers)) {
            double code = frame.colour().get(0).data()[5];
            double linear = code <= 0.04045 ? code / 12.92 : Math.pow((code + 0.055) / 1.055, 2.4);
            assertThat((double) raw.stored(0).colour().get(0).data()[5])
                    .isCloseTo(linear * frame.coverage().getFirst().data()[5], within(1e-6));
        }
    }

    @Test
    void aPlaneKeepsEveryFloat() {
        Plane plane = Plane.of(4, 1, -3.5f, 1e-20f, 7.25f, 123456.78f);
        Path file = folder.resolve("channel.exr");
        StillWriter.writePlane(plane, file, workers);
        try (MovieReader reader = new MovieReader(file, workers)) {
            assertThat(reader.stored(0).colour().getFirst().sameSamples(plane)).isTrue();
        }
    }

    @ParameterizedTest
    @CsvSource({"1,1", "16384,3", "2,16384"})
    void theSmallestAndTheLargestPicturesWork(int width, int height) {
        Frame frame = random(width, height, Depth.INT8, false);
        Path file = folder.resolve("edge.png");
        StillWriter.write(frame, file, Depth.INT8, workers);
        assertThat(read(file).colour().get(2).sameSamples(frame.colour().get(2))).isTrue();
    }

    @Test
    void unreadablePicturesAreExplained() throws IOException {
        Path text =
                Files.writeString(folder.resolve("notes.png"), "this is only text\n".repeat(50));
        Path empty = Files.createFile(folder.resolve("empty.mp4"));
        Path broken = folder.resolve("broken.png");
        StillWriter.write(random(64, 64, Depth.INT8, false), broken, Depth.INT8, workers);
        Files.write(broken, java.util.Arrays.copyOf(Files.readAllBytes(broken), 60));
        Path svg = Files.writeString(folder.resolve("bad.svg"), "<svg");
        for (Path bad : new Path[] {text, empty, broken, svg}) {
            assertThatThrownBy(() -> read(bad))
                    .isInstanceOf(UnreadableMediaException.class)
                    .satisfies(
                            e ->
                                    assertThat(((IvrikException) e).oneLine())
                                            .contains(bad.getFileName().toString())
                                            .doesNotContain("\n"));
        }
        assertThatThrownBy(() -> read(folder.resolve("gone.mov")))
                .isInstanceOf(MissingFileException.class);
    }

    @Test
    void aNumberedSequenceIsCountedFromItsLowestNumber() {
        for (int n : new int[] {7, 8, 9}) {
            StillWriter.write(
                    random(8 + n, 8, Depth.INT8, false),
                    folder.resolve("shot-000" + n + ".png"),
                    Depth.INT8,
                    workers);
        }
        Path pattern = folder.resolve("shot-%04d.png");
        NumberedSequence sequence = NumberedSequence.of(pattern);
        assertThat(sequence.frames()).isEqualTo(3);
        assertThat(sequence.file(2)).hasFileName("shot-0009.png");
        assertThat(NumberedSequence.around(folder.resolve("shot-0008.png"))).contains(pattern);
        try (Footage footage = Footage.open(pattern, workers)) {
            assertThat(footage.kind()).isEqualTo(Source.Kind.SEQUENCE);
            assertThat(footage.frame(1, footage.size()).width()).isEqualTo(16);
        }
        assertThatThrownBy(() -> NumberedSequence.of(folder.resolve("none-%03d.png")))
                .isInstanceOf(MissingFileException.class);
    }

    @Test
    void aVectorGraphicIsDrawnAtItsDisplaySize() throws IOException {
        Path file =
                Files.writeString(
                        folder.resolve("half.svg"),
                        "<svg xmlns='http://www.w3.org/2000/svg' width='40' height='20' viewBox='0"
                                + " 0 40 20'><rect x='0' y='0' width='20' height='20'"
                                + " fill='#ff8000'/></svg>");
        try (Footage footage = Footage.open(file, workers)) {
            assertThat(footage.size()).isEqualTo(new Size(40, 20));
            Frame large = footage.frame(0, new Size(400, 200));
            assertThat(large.coverage().getFirst().at(199, 100)).isEqualTo(1f);
            assertThat(large.coverage().getFirst().at(200, 100)).isZero();
            assertThat(large.colour().get(1).at(50, 50)).isCloseTo(128 / 255f, within(1e-6f));
        }
        assertThat(Import.source(file, "x").path()).isEqualTo(file.toString());
    }
}
