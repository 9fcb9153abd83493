package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.project.Clip;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.media.decode.Import;
import ivrik.media.sound.SoundMix;
import ivrik.media.sound.SoundReader;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.nio.file.Path;
import java.util.Optional;

/** A click is heard with its picture, within 10 ms, from every kind of file. */
class SoundSyncTest {
    private static final int RATE = SoundReader.RATE;
    private static final int HUNDREDTH = RATE / 100;

    @TempDir Path folder;

    /** Two seconds of picture with sound that begins at one time and clicks at another. */
    private Path clicking(
            String name, String video, String sound, String layout, double begins, double click) {
        double within = click - begins;
        String graph =
                "aevalsrc=exprs="
                        + "0.8*sin(2*PI*1000*t)*between(t\\,"
                        + within
                        + "\\,"
                        + (within + 0.02)
                        + "):s=48000:d="
                        + (2 - begins)
                        + ",aformat=channel_layouts="
                        + layout
                        + format(sound)
                        + ",asetpts=PTS+"
                        + begins
                        + "/TB";
        return TestMedia.make(
                folder.resolve(name),
                new TestMedia.Track("testsrc=s=64x48:r=25:d=2,format=yuv420p", video, "-g 10"),
                new TestMedia.Track(graph, sound, ""));
    }

    private static String format(String encoder) {
        return switch (encoder) {
            case "aac", "ac3", "libmp3lame" -> ":sample_fmts=fltp";
            case "pcm_f32le" -> ":sample_fmts=flt";
            case "libopus", "pcm_s16le", "mp2", "flac" -> ":sample_fmts=s16";
            default -> throw new IllegalArgumentException(encoder);
        };
    }

    /** The first sample that exceeds a tenth of full scale. */
    private static int heard(float[] stereo) {
        for (int i = 0; i < stereo.length; i += 2) {
            if (Math.abs(stereo[i]) > 0.1) {
                return i / 2;
            }
        }
        return -1;
    }

    @ParameterizedTest(name = "{0} {2} {3} from {4}")
    @CsvSource({
        "a.mp4,  mpeg4, aac, stereo, 0",
        "b.mp4,  mpeg4, aac, stereo, 0.38",
        "c.mp4,  mpeg4, aac, mono, 0",
        "d.mov,  mpeg4, pcm_s16le, stereo, 0.38",
        "e.mkv,  mpeg4, pcm_s16le, stereo, 0",
        "f.mkv,  mpeg4, pcm_s16le, mono, 0.38",
        "g.mkv,  mpeg4, pcm_f32le, 5.1, 0",
        "h.mkv,  mpeg4, flac, stereo, 0.38",
        "i.mkv,  mpeg4, aac, 5.1, 0.38",
        "j.mkv,  mpeg4, ac3, 5.1, 0",
        "k.webm, libvpx-vp9, libopus, stereo, 0",
        "l.webm, libvpx-vp9, libopus, stereo, 0.38",
        "m.avi,  mpeg4, pcm_s16le, stereo, 0",
        "n.avi,  mpeg4, ac3, stereo, 0",
        "o.ts,   mpeg2video, mp2, stereo, 0",
        "p.ts,   mpeg2video, aac, stereo, 0.38",
        "q.mpg,  mpeg2video, mp2, stereo, 0",
        "r.mpg,  mpeg2video, mp2, stereo, 0.38",
        "s.flv,  flv, libmp3lame, stereo, 0.38",
        "t.mov,  mpeg4, pcm_s16le, mono, 0"
    })
    void aClickIsHeardWithItsPicture(
            String name, String video, String sound, String layout, double begins) {
        Path file = clicking(name, video, sound, layout, begins, 0.8);
        assertThat(Import.source(file, "s").sound()).isTrue();
        try (SoundReader reader = new SoundReader(file)) {
            assertThat(heard(reader.read(0, 2 * RATE)))
                    .isBetween((int) (0.8 * RATE) - HUNDREDTH, (int) (0.8 * RATE) + HUNDREDTH);
        }
        try (SoundReader reader = new SoundReader(file)) {
            int from = (int) (0.7 * RATE);
            reader.read((int) (1.9 * RATE), 100);
            assertThat(heard(reader.read(from, RATE / 2)))
                    .as("after going back")
                    .isBetween((int) (0.1 * RATE) - HUNDREDTH, (int) (0.1 * RATE) + HUNDREDTH);
        }
    }

    @Test
    void aTrimmedClipKeepsItsSoundInSync() {
        Path file = clicking("a.mp4", "mpeg4", "aac", "stereo", 0.38, 0.8);
        Source source = Import.source(file, "s");
        Project project = Import.project(source, BuiltInLooks.named("neutral"));
        Project trimmed =
                project.withLayer(
                        "shots", l -> l.withClips(java.util.List.of(new Clip("s", 5, 30, 12))));
        // Frame 20 of the source (0.8 s) is frame 13 of the sequence (0.52 s).
        try (SoundMix mix = new SoundMix(trimmed)) {
            int at = -1;
            for (int frame = 0, sample = 0; frame < 35 && at < 0; frame++) {
                float[] sound = mix.frame(frame);
                at = heard(sound) < 0 ? -1 : sample + heard(sound);
                sample += sound.length / 2;
            }
            assertThat(at)
                    .isBetween((int) (0.52 * RATE) - HUNDREDTH, (int) (0.52 * RATE) + HUNDREDTH);
        }
    }

    @Test
    void oneOfSeveralTracksIsChosen() {
        Path file =
                TestMedia.make(
                        folder.resolve("two.mkv"),
                        new TestMedia.Track(
                                "testsrc=s=64x48:r=25:d=1,format=yuv420p", "mpeg4", "-g 10"),
                        tone(0.25),
                        tone(0.5));
        for (int track : new int[] {1, 2}) {
            try (SoundReader reader = new SoundReader(file, Optional.of(track))) {
                float[] sound = reader.read(1000, 1000);
                float largest = 0;
                for (float v : sound) {
                    largest = Math.max(largest, v);
                }
                assertThat(largest).isBetween(0.24f * track, 0.26f * track);
            }
        }
    }

    private static TestMedia.Track tone(double level) {
        return new TestMedia.Track(
                "aevalsrc=exprs=%s*sin(2*PI*440*t)|%s*sin(2*PI*440*t):s=48000"
                                .formatted(level, level)
                        + ":d=1,aformat=channel_layouts=stereo"
                        + ":sample_fmts=s16",
                "flac",
                "");
    }

    @Test
    void aGapInTheSoundIsSilence() {
        // The second half is 0.3 s late, as after lost packets.
        String graph =
                "aevalsrc=exprs=0.8*sin(2*PI*1000*t)*between(t\\,1.2\\,1.22):s=48000:d=2"
                        + ",aformat=channel_layouts=stereo:sample_fmts=s16"
                        + ",asetpts=PTS+gt(T\\,1)*0.3/TB";
        Path file =
                TestMedia.make(
                        folder.resolve("gap.mkv"),
                        new TestMedia.Track(
                                "testsrc=s=64x48:r=25:d=2,format=yuv420p", "mpeg4", "-g 10"),
                        new TestMedia.Track(graph, "pcm_s16le", ""));
        try (SoundReader reader = new SoundReader(file)) {
            assertThat(heard(reader.read(0, 2 * RATE)))
                    .isBetween((int) (1.5 * RATE) - HUNDREDTH, (int) (1.5 * RATE) + HUNDREDTH);
        }
    }
}
