package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.motion.Rational;
import ivrik.core.picture.Frame;
import ivrik.core.project.ProjectEdits;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.Import;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Movies with variable frame rate keep their length, speed and sound. */
class UnevenRateTest {
    @TempDir Path folder;

    /** Frame n is grey of luma code 16 + 4 n; the filter sets the times of the frames. */
    private Path counting(String name, int frames, String times, String encoder, String options) {
        String format =
                switch (encoder) {
                    case "gif" ->
                            "format=rgb24,split[a][b];[a]palettegen[p];[b][p]paletteuse=dither=none";
                    case "apng", "libwebp_anim" -> "format=rgb24,format=" + pixels(encoder);
                    default -> "format=yuv420p";
                };
        String graph =
                "color=black:s=64x48:r=100:d="
                        + frames / 100.0
                        + ",format=yuv420p,geq=lum=16+4*N:cb=128:cr=128,settb=1/100,setpts="
                        + times
                        + ","
                        + format;
        return TestMedia.make(folder.resolve(name), new TestMedia.Track(graph, encoder, options));
    }

    private static String pixels(String encoder) {
        return encoder.equals("apng") ? "rgb24" : "bgra";
    }

    private static double number(Footage footage, long n) {
        Frame frame = footage.frame(n, footage.size());
        return frame.colour().get(1).at(20, 20) * 219 / 4;
    }

    /**
     * Frames of 0.1, 0.05 and 0.2 seconds in turn: the start of frame n in hundredths of a second.
     */
    private static final String TIMES =
            "floor(N/3)*35+if(eq(mod(N\\,3)\\,1)\\,10\\,if(eq(mod(N\\,3)\\,2)\\,15))";

    private static int shown(double seconds) {
        int hundredths = (int) Math.floor(seconds * 100 + 1e-6);
        int round = hundredths / 35;
        int rest = hundredths % 35;
        return 3 * round + (rest < 10 ? 0 : rest < 15 ? 1 : 2);
    }

    @ParameterizedTest
    @CsvSource({
        "a.mkv,  mpeg4,        -flags qscale -global_quality 118 -g 12 -bf 2",
        "b.mp4,  mpeg4,        -flags qscale -global_quality 118 -g 12 -bf 2",
        "c.webm, libvpx-vp9,   -crf 4 -b 0 -g 75",
        "d.gif,  gif,          ''",
        "e.apng, apng,         ''",
        "f.webp, libwebp_anim, -lossless 1"
    })
    void framesFollowTheirTimestamps(String name, String encoder, String options) {
        Path file = counting(name, 30, TIMES, encoder, options);
        try (Footage footage = Footage.open(file, Workers.shared())) {
            assertThat(footage.isUneven()).isTrue();
            assertThat(footage.kind()).isEqualTo(Source.Kind.MOVIE);
            assertThat(footage.notices(file)).anyMatch(r -> r.contains("variable frame rate"));
            double rate = footage.rate().toDouble();
            assertThat(rate).isEqualTo(20);
            assertThat(footage.frames() / rate).isCloseTo(3.45, within(0.2));
            for (int n : new int[] {0, 1, 2, 3, 6, 7, 30, 31, 64, 5, 20, 10}) {
                assertThat(number(footage, n))
                        .as("frame %d of %s", n, name)
                        .isCloseTo(shown((n + 0.01) / rate), within(0.45));
            }
        }
    }

    @Test
    void lengthAndSoundOfAVariableRateMovieAreKept() {
        // 25 fps for one second, then 10 fps for two.
        String times = "if(lt(N\\,25)\\,N*4\\,100+(N-25)*10)";
        Path file =
                TestMedia.make(
                        folder.resolve("phone.mkv"),
                        new TestMedia.Track(
                                "color=black:s=64x48:r=100:d=0.45,format=yuv420p,settb=1/100,setpts="
                                        + times,
                                "mpeg4",
                                "-g 12"),
                        new TestMedia.Track(
                                "aevalsrc=exprs=0.8*sin(2*PI*1000*t)*between(t\\,2.5\\,2.6):s=48000"
                                        + ":d=3,aformat=channel_layouts=stereo:sample_fmts=s16",
                                "flac",
                                ""));
        Source source = Import.source(file, "s");
        assertThat(source.rate()).isEqualTo(Rational.of(25));
        assertThat(source.frames()).isBetween(72L, 76L);
        Sequence sequence = new Sequence(source.size(), Rational.of(24));
        assertThat(ProjectEdits.length(source, sequence)).isBetween(69L, 73L);
        try (var sound = new ivrik.media.sound.SoundReader(file)) {
            float[] from = sound.read((int) (2.49 * 48000), 960);
            assertThat(Math.abs(from[0])).isLessThan(0.01f);
            float largest = 0;
            for (float v : from) {
                largest = Math.max(largest, v);
            }
            assertThat(largest).isGreaterThan(0.3f);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "19001/317,     60000/1001",
        "24000/1001,    24000/1001",
        "2997/125,      24000/1001",
        "30000/1001,    30000/1001",
        "25/1,          25",
        "12/1,          12"
    })
    void ratesAreRecognised(String written, String meant) {
        Path file =
                TestMedia.make(
                        folder.resolve("rate.mp4"),
                        new TestMedia.Track(
                                "testsrc=s=32x32:r=" + written + ":d=1,format=yuv420p",
                                "mpeg4",
                                ""));
        try (Footage footage = Footage.open(file, Workers.shared())) {
            assertThat(footage.rate()).isEqualTo(Rational.parse(meant));
            assertThat(footage.isUneven()).isFalse();
        }
    }

    @Test
    void rawDigitalVideoHasTheRateOfItsSystem() {
        Path file =
                TestMedia.make(
                        folder.resolve("tape.dv"),
                        new TestMedia.Track(
                                "testsrc=s=720x576:r=25:d=0.4,format=yuv420p", "dvvideo", ""));
        try (Footage footage = Footage.open(file, Workers.shared())) {
            assertThat(footage.rate()).isEqualTo(Rational.of(25));
            assertThat(footage.frames()).isEqualTo(10);
        }
    }

    @Test
    void aMovieOfOneFrameKeepsItsDeclaredRate() {
        Path file =
                TestMedia.make(
                        folder.resolve("one.mov"),
                        new TestMedia.Track(
                                "testsrc=s=32x32:r=30:d=0.033,format=yuv420p", "mpeg4", ""));
        Source source = Import.source(file, "s");
        assertThat(source.kind()).isEqualTo(Source.Kind.MOVIE);
        assertThat(source.frames()).isEqualTo(1);
        assertThat(source.rate().toDouble()).isCloseTo(30, within(0.1));
    }

    @Test
    void aMovieWithWrongKeyframeFlagsIsCountedAndReported() {
        Path file =
                TestMedia.lying(
                        folder.resolve("lies.mov"),
                        "testsrc=s=64x48:r=25:d=2,format=yuv420p",
                        "mpeg4",
                        "-g 50");
        Source source = Import.source(file, "s");
        assertThat(source.settings().countFrames()).isTrue();
        List<Frame> inOrder = new ArrayList<>();
        try (Footage footage = Footage.open(file, source.settings(), Workers.shared())) {
            for (int n = 0; n < 50; n++) {
                inOrder.add(footage.frame(n, footage.size()));
            }
            for (int n : new int[] {40, 3, 25, 49, 0}) {
                Frame sought = footage.frame(n, footage.size());
                assertThat(sought.colour().get(0).sameSamples(inOrder.get(n).colour().get(0)))
                        .isTrue();
            }
            assertThat(footage.notices(file)).anyMatch(r -> r.contains("counted"));
        }
    }
}
