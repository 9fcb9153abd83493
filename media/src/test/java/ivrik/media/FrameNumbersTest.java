package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.MovieReader;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

class FrameNumbersTest {
    private static final int FRAMES = 75;

    @TempDir Path folder;

    @ParameterizedTest
    @CsvSource({
        "a.mp4,  mpeg4,         -flags qscale -global_quality 118 -bf 2 -g 60, ''",
        "b.mkv,  mpeg2video,    -flags qscale -global_quality 118 -bf 2 -g 75, ''",
        "c.webm, libvpx-vp9,    -crf 4 -b 0 -g 75 -lag-in-frames 16 -auto-alt-ref 1, ''",
        "d.mp4,  libopenh264,   -b 4000000 -g 60, ''",
        "e.avi,  mpeg4,         -flags qscale -global_quality 118 -bf 2 -g 60, ''",
        "g.mov,  mpeg4,         -flags qscale -global_quality 118 -bf 2 -g 60, ''",
        "h.ts,   libopenh264,   -b 4000000 -g 20, ''",
        "i.ts,   mpeg2video,    -flags qscale -global_quality 118 -bf 2 -g 15, ''",
        "j.m2ts, libopenh264,   -b 4000000 -g 20, ''",
        "k.mpg,  mpeg2video,    -flags qscale -global_quality 118 -bf 2 -g 15, ''",
        "l.vob,  mpeg2video,    -flags qscale -global_quality 118 -bf 2 -g 15, ''",
        "m.h264, libopenh264,   -b 4000000 -g 20, ''",
        "n.m2v,  mpeg2video,    -flags qscale -global_quality 118 -bf 2 -g 15, ''",
        "o.m4v,  mpeg4,         -flags qscale -global_quality 118 -bf 2 -g 20, ''",
        "p.flv,  flv,           -flags qscale -global_quality 118 -g 20, ''",
        "q.ivf,  libvpx-vp9,    -crf 4 -b 0 -g 75 -lag-in-frames 16 -auto-alt-ref 1, ''",
        "r.ogv,  libvpx,        -crf 4 -b 4000000 -g 30, ''",
        "s.nut,  mpeg4,         -flags qscale -global_quality 118 -bf 2 -g 60, ''"
    })
    void frameNIsFrameNAfterAnySeek(String name, String encoder, String options, String filter) {
        Path file = TestMedia.counting(folder.resolve(name), FRAMES, encoder, options, filter);
        try (MovieReader reader = new MovieReader(file, Workers.shared())) {
            assertThat(reader.frames()).isEqualTo(FRAMES);
            List<Integer> order =
                    IntStream.range(0, FRAMES)
                            .boxed()
                            .collect(java.util.stream.Collectors.toList());
            Collections.shuffle(order, new Random(3));
            order.addAll(List.of(0, 1, 2, 74, 73, 72, 10, 11, 12, 74, 0));
            for (int n : order) {
                assertThat(grey(reader.frame(n)))
                        .as("frame %d of %s", n, name)
                        .isCloseTo(2 * n / 219.0, within(0.0045));
            }
        }
    }

    private static double grey(Frame frame) {
        return (frame.colour().get(0).at(30, 20)
                        + frame.colour().get(1).at(30, 20)
                        + frame.colour().get(2).at(30, 20))
                / 3;
    }

    @ParameterizedTest
    @CsvSource({"90, ',transpose=clock'", "180, ',hflip,vflip'", "270, ',transpose=cclock'"})
    void rotatedMoviesAreUpright(int clockwise, String upright) {
        String picture = "testsrc=s=64x48:r=25:d=0.2,format=yuv444p";
        Path turned =
                TestMedia.make(
                        folder.resolve("turned.mov"),
                        new TestMedia.Track(picture + ",format=rgb24", "png", "", clockwise));
        Path expected =
                TestMedia.make(
                        folder.resolve("upright.mkv"),
                        new TestMedia.Track(picture + ",format=rgb24" + upright, "png", ""));
        try (MovieReader reader = new MovieReader(turned, Workers.shared());
                MovieReader wanted = new MovieReader(expected, Workers.shared())) {
            assertThat(reader.size()).isEqualTo(wanted.size());
            assertThat(meanDifference(reader.frame(0), wanted.frame(0))).isLessThan(1e-6);
        }
    }

    private static double meanDifference(Frame a, Frame b) {
        double sum = 0;
        for (int y = 0; y < a.height(); y++) {
            for (int x = 0; x < a.width(); x++) {
                sum += Math.abs(a.colour().get(1).at(x, y) - b.colour().get(1).at(x, y));
            }
        }
        return sum / a.size().pixels();
    }

    @Test
    void nonSquarePixelsAreResampled() {
        Path wide = folder.resolve("wide.mkv");
        TestMedia.make(
                wide,
                new TestMedia.Track(
                        "color=red:s=40x30:r=25:d=0.1,setsar=16/10,format=yuv444p", "ffv1", ""));
        try (Footage footage = Footage.open(wide, Workers.shared())) {
            assertThat(footage.size()).isEqualTo(new Size(64, 30));
            assertThat(footage.frame(0, footage.size()).size()).isEqualTo(new Size(64, 30));
        }
    }

    @Test
    void aTruncatedMovieShowsItsFramesAndNamesTheLoss() throws IOException {
        Path whole =
                TestMedia.counting(
                        folder.resolve("whole.mkv"),
                        FRAMES,
                        "mpeg4",
                        "-flags qscale -global_quality 118 -g 10");
        byte[] bytes = Files.readAllBytes(whole);
        Path part = folder.resolve("part.mkv");
        Files.write(part, Arrays.copyOf(bytes, bytes.length / 2));
        try (MovieReader reader = new MovieReader(part, Workers.shared())) {
            assertThat(reader.frames()).isBetween(10L, 60L);
            assertThat(grey(reader.frame(5))).isCloseTo(10 / 219.0, within(0.0045));
            assertThatThrownBy(() -> reader.frame(70)).isInstanceOf(UnreadableMediaException.class);
        }
        Path headless = folder.resolve("headless.mp4");
        Path mp4 = TestMedia.counting(folder.resolve("whole.mp4"), 25, "mpeg4", "");
        byte[] all = Files.readAllBytes(mp4);
        Files.write(headless, Arrays.copyOf(all, all.length / 2));
        assertThatThrownBy(() -> new MovieReader(headless, Workers.shared()))
                .isInstanceOf(UnreadableMediaException.class)
                .hasMessageContaining("headless.mp4");
    }

    @Test
    void readingAheadGivesTheSameFramesInAnyOrder() {
        Path file =
                TestMedia.counting(
                        folder.resolve("ahead.mp4"),
                        FRAMES,
                        "mpeg4",
                        "-flags qscale -global_quality 118 -bf 2 -g 60");
        try (var pictures = new ivrik.media.decode.MediaPictures(Workers.shared())) {
            var source = ivrik.media.decode.Import.source(file, "a");
            for (int n : new int[] {0, 1, 2, 3, 40, 41, 42, 5, 74, 6, 7, 8, 7}) {
                Frame frame =
                        pictures.frame(
                                new ivrik.core.render.Plan.Picture(source, n), source.size());
                assertThat(grey(frame)).isCloseTo(2 * n / 219.0, within(0.0045));
            }
        }
    }
}
