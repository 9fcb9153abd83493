package ivrik.media.pixel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.cache.FrameCache;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;
import ivrik.media.ffmpeg.FrameMemory;

import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.javacpp.BytePointer;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.lang.foreign.ValueLayout;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;

/** A picture kept as stored bytes gives the same rows in every way of reading. */
class StoredPictureTest {
    private static final Workers WORKERS = Workers.shared();
    private static final int WIDTH = 37;
    private static final int HEIGHT = 45;

    /** Passes a picture of random bytes to the work, then releases it. */
    private static void noise(int width, String format, Consumer<AVFrame> work) {
        AVFrame frame = av_frame_alloc();
        try {
            frame.format(av_get_pix_fmt(format));
            frame.width(width);
            frame.height(HEIGHT);
            assertThat(av_frame_get_buffer(frame, 0)).isZero();
            Random random = new Random(3);
            for (int p = 0; p < av_pix_fmt_count_planes(frame.format()); p++) {
                FrameMemory memory = FrameMemory.of(frame, p);
                for (long i = 0; i < memory.buffer().byteSize(); i++) {
                    memory.buffer().set(ValueLayout.JAVA_BYTE, i, (byte) random.nextInt());
                }
            }
            work.accept(frame);
        } finally {
            av_frame_free(frame);
        }
    }

    private static void same(List<Plane> planes, List<Plane> wanted) {
        for (int c = 0; c < 3; c++) {
            assertThat(planes.get(c).sameSamples(wanted.get(c))).as("channel " + c).isTrue();
        }
    }

    /** Reads row after row with one reader. */
    private static List<Plane> rowByRow(ColourRows rows) {
        float[][] planes = new float[3][rows.width() * rows.height()];
        float[][] rgb = new float[3][rows.width()];
        ColourRows.Reader reader = rows.reader();
        for (int y = 0; y < rows.height(); y++) {
            reader.row(y, rgb);
            for (int c = 0; c < 3; c++) {
                System.arraycopy(rgb[c], 0, planes[c], y * rows.width(), rows.width());
            }
        }
        return Arrays.stream(planes).map(p -> Plane.of(rows.width(), rows.height(), p)).toList();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "yuv420p",
                "yuv422p",
                "yuv444p",
                "yuv411p",
                "yuvj420p",
                "nv12",
                "yuv420p10le",
                "p010le",
                "yuv422p12le",
                "gbrp",
                "rgb24",
                "bgr0",
                "rgb48le",
                "gbrp10le",
                "gbrpf32le"
            })
    void rowsAndChannelsEqualThePlanes(String format) {
        for (int width : new int[] {WIDTH, WIDTH + 1}) {
            noise(
                    width,
                    format,
                    frame -> {
                        List<Plane> wanted = PixelReader.read(frame, WORKERS).colour();
                        StoredPicture stored = PixelReader.stored(frame).orElseThrow();
                        av_frame_make_writable(frame);
                        for (int p = 0; p < av_pix_fmt_count_planes(frame.format()); p++) {
                            FrameMemory.of(frame, p)
                                    .buffer()
                                    .fill((byte) 0); // the stored picture has its own copy
                        }
                        ColourRows rows = stored.rows();
                        same(rows.toPlanes(WORKERS), wanted);
                        same(rowByRow(rows), wanted);
                        same(
                                rows.channels().orElseThrow().stream()
                                        .map(channel -> channel.toPlane(WORKERS))
                                        .toList(),
                                wanted);
                        same(rowByRow(ColourRows.of(rows.channels().orElseThrow())), wanted);
                    });
        }
    }

    /** FFmpeg's line length exceeds the needed length by at most 64 bytes. */
    @ParameterizedTest
    @ValueSource(strings = {"yuv420p", "nv12"})
    void aStoredPictureTakesItsBytesOnly(String format) {
        noise(
                640,
                format,
                frame ->
                        assertThat(FrameCache.bytes(PixelReader.stored(frame).orElseThrow()))
                                .isBetween(640L * HEIGHT * 3 / 2, (640L + 64) * (HEIGHT + 1) * 2));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "rgba",
                "yuva420p",
                "gray",
                "gray10le",
                "ya8",
                "pal8",
                "monob",
                "bayer_rggb8"
            })
    void alphaGreyAndUnusualLayoutsAreNotStored(String format) {
        noise(WIDTH, format, frame -> assertThat(PixelReader.stored(frame)).isEmpty());
    }

    @ParameterizedTest
    @ValueSource(strings = {"gbrp", "yuv444p"})
    void bottomUpRowsAreNotStored(String format) {
        noise(
                WIDTH,
                format,
                frame -> {
                    int line = frame.linesize(0);
                    BytePointer first = frame.data(0);
                    frame.data(0, first.getPointer(BytePointer.class, (HEIGHT - 1L) * line));
                    frame.linesize(0, -line);
                    assertThat(PixelReader.stored(frame)).isEmpty();
                    assertThat(PixelReader.read(frame, WORKERS).width()).isEqualTo(WIDTH);
                });
    }
}
