package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.ListEdits;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Loudness;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.threads.Cancellation;
import ivrik.media.decode.Import;
import ivrik.media.encode.ExportFormats;
import ivrik.media.sound.SoundMix;
import ivrik.media.sound.WavFile;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.List;

import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;

class SoundMixTest {
    @TempDir Path folder;

    private Source tone(String name, int hertz) {
        Path file =
                TestMedia.make(
                        folder.resolve(name + ".mkv"),
                        new TestMedia.Track(
                                "color=black:s=16x16:r=24:d=2,format=yuv444p", "ffv1", ""),
                        new TestMedia.Track(
                                "sine=frequency="
                                        + hertz
                                        + ":sample_rate=48000:duration=2,aformat=sample_fmts=s16",
                                "flac",
                                ""));
        return Import.source(file, name);
    }

    /** The magnitude of a tone's Fourier component in the left channel. */
    private static double share(float[] stereo, int hertz) {
        double re = 0;
        double im = 0;
        int n = stereo.length / 2;
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * hertz * i / 48_000.0;
            re += stereo[2 * i] * Math.cos(a);
            im += stereo[2 * i] * Math.sin(a);
        }
        return 2 * Math.hypot(re, im) / n;
    }

    @Test
    void clipsAreMixedAtTheirTimesAcrossLayers() {
        Source low = tone("low", 240);
        Source high = tone("high", 960);
        Project shots = Import.project(low, BuiltInLooks.named("neutral")).withSource(high);
        Layer base =
                shots.layers()
                        .getFirst()
                        .withClips(List.of(new Clip("low", 0, 24, 0), new Clip("high", 30, 24, 6)));
        Project project =
                shots.withLayers(
                        ListEdits.plus(
                                List.of(base),
                                Layer.of(
                                        "over",
                                        "over",
                                        BuiltInLooks.named("neutral"),
                                        new Clip("high", 10, 5, 0))));
        assertThat(SoundMix.hasSound(project)).isTrue();
        try (SoundMix mix = new SoundMix(project)) {
            assertThat(mix.frame(5)).hasSize(2 * 2000);
            assertThat(share(mix.frame(5), 240)).isCloseTo(0.125, within(0.01));
            assertThat(share(mix.frame(5), 960)).isCloseTo(0, within(0.01));
            float[] both = mix.frame(12);
            assertThat(share(both, 240)).isCloseTo(0.125, within(0.01));
            assertThat(share(both, 960)).isCloseTo(0.125, within(0.01));
            assertThat(mix.frame(26)).containsOnly(0f);
            assertThat(share(mix.frame(40), 960)).isCloseTo(0.125, within(0.01));
            assertThat(share(mix.frame(3), 240)).isCloseTo(0.125, within(0.01));
        }
        try (SoundMix mute = new SoundMix(project.withLayers(List.of(base.withVisible(false))))) {
            assertThat(mute.frame(5)).containsOnly(0f);
        }
    }

    @Test
    void shotLevelsAreApplied() {
        Source low = tone("low", 240);
        Project shots = Import.project(low, BuiltInLooks.named("neutral"));
        Clip clip = shots.layers().getFirst().clips().getFirst();
        Project quiet = with(shots, clip.withLoudness(new Loudness(-6.0206, false)));
        try (SoundMix mix = new SoundMix(shots)) {
            float[] loud = mix.frame(5);
            mix.follow(quiet);
            float[] half = mix.frame(5);
            for (int i = 0; i < loud.length; i++) {
                assertThat(half[i]).isCloseTo(loud[i] / 2, within(1e-5f));
            }
            mix.follow(with(shots, clip.withLoudness(new Loudness(0, true))));
            assertThat(mix.frame(5)).containsOnly(0f);
        }
    }

    private static Project with(Project project, Clip clip) {
        Layer layer = project.layers().getFirst();
        return project.withLayers(List.of(layer.withClips(List.of(clip))));
    }

    @Test
    void theEndingDecidesTheFormat() {
        assertThat(ExportFormats.of(Path.of("a.PNG"))).isEqualTo(ExportFormats.PNG);
        assertThat(ExportFormats.of(Path.of("a.tiff"))).isEqualTo(ExportFormats.TIFF);
        assertThat(ExportFormats.of(Path.of("a-%04d.exr"))).isEqualTo(ExportFormats.EXR);
        assertThat(ExportFormats.of(Path.of("a.mkv"))).isEqualTo(ExportFormats.FFV1);
        assertThat(ExportFormats.of(Path.of("a.mp4"))).isEqualTo(ExportFormats.H264);
        assertThat(ExportFormats.named("av1")).isEqualTo(ExportFormats.AV1);
        assertThat(ExportFormats.of(Path.of("a.mov"))).isEqualTo(ExportFormats.PRORES);
        assertThat(ExportFormats.FFV1.hasQuality()).isFalse();
        assertThatThrownBy(() -> ExportFormats.of(Path.of("a.doc"))).hasMessageContaining("a.doc");
    }

    /** The JDK reads the samples of the mix, within half a code. */
    @Test
    void theMixIsWrittenWithoutPicture() throws Exception {
        Project shots = Import.project(tone("low", 240), BuiltInLooks.named("neutral"));
        Path file = folder.resolve("sound.wav");
        WavFile.write(shots, new FrameRange(6, 29), file, n -> {}, Cancellation.NEVER);
        try (AudioInputStream sound = AudioSystem.getAudioInputStream(file.toFile());
                SoundMix mix = new SoundMix(shots)) {
            assertThat(sound.getFormat().getSampleRate()).isEqualTo(48_000);
            assertThat(sound.getFormat().getChannels()).isEqualTo(2);
            assertThat(sound.getFrameLength()).isEqualTo(48_000);
            for (long n = 6; n <= 29; n++) {
                float[] samples = mix.frame(n);
                byte[] bytes = sound.readNBytes(3 * samples.length);
                for (int i = 0; i < samples.length; i++) {
                    int code =
                            bytes[3 * i] & 255
                                    | (bytes[3 * i + 1] & 255) << 8
                                    | bytes[3 * i + 2] << 16;
                    assertThat(code / 8388607.0).isCloseTo(samples[i], within(0.51 / 8388607));
                }
            }
        }
    }

    @Test
    void silenceIsNotWritten() {
        Path still =
                TestMedia.make(
                        folder.resolve("mute.mkv"),
                        new TestMedia.Track(
                                "color=black:s=16x16:r=24:d=1,format=yuv444p", "ffv1", ""));
        Project mute = Import.project(Import.source(still, "mute"), BuiltInLooks.named("neutral"));
        Path file = folder.resolve("sound.wav");
        assertThatThrownBy(
                        () ->
                                WavFile.write(
                                        mute, mute.allFrames(), file, n -> {}, Cancellation.NEVER))
                .hasMessageContaining("contains no sound");
        assertThat(file).doesNotExist();
    }
}
