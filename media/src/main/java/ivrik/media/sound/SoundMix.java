package ivrik.media.sound;

import ivrik.core.motion.Rational;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Loudness;
import ivrik.core.project.Project;
import ivrik.core.project.Source;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Mixes the sound of all visible clips of a sequence. Not thread-safe. */
public final class SoundMix implements AutoCloseable {
    private Project project;
    private final Map<Heard, SoundReader> readers = new HashMap<>();

    /** Key of a reader. */
    private record Heard(Clip clip, String path, Source.FootageSettings reading) {}

    public SoundMix(Project project) {
        this.project = project;
    }

    /** Switches to a changed project; unused readers are closed. */
    public void follow(Project now) {
        if (now == project) {
            return;
        }
        project = now;
        Set<Heard> wanted =
                project.layers().stream()
                        .flatMap(l -> l.clips().stream())
                        .flatMap(c -> project.source(c.source()).map(s -> heard(c, s)).stream())
                        .collect(Collectors.toSet());
        readers.entrySet()
                .removeIf(
                        each -> {
                            boolean gone = !wanted.contains(each.getKey());
                            if (gone) {
                                each.getValue().close();
                            }
                            return gone;
                        });
    }

    private static Heard heard(Clip clip, Source source) {
        return new Heard(clip.withLoudness(Loudness.AS_IT_IS), source.path(), source.settings());
    }

    public static boolean hasSound(Project project) {
        return project.layers().stream()
                .filter(Layer::visible)
                .flatMap(l -> l.clips().stream())
                .anyMatch(c -> project.source(c.source()).map(Source::sound).orElse(false));
    }

    /** First sample of a frame of the sequence. */
    private long sample(long frame) {
        return Rational.of(frame)
                .times(Rational.of(SoundReader.RATE))
                .dividedBy(project.sequence().rate())
                .floor();
    }

    /** The stereo samples of a frame. */
    public float[] frame(long frame) {
        long from = sample(frame);
        int count = (int) (sample(frame + 1) - from);
        float[] mix = new float[2 * count];
        for (Layer layer : project.layers()) {
            if (layer.visible()) {
                layer.clipAt(frame).ifPresent(clip -> add(clip, from, count, mix));
            }
        }
        return mix;
    }

    private void add(Clip clip, long from, int count, float[] mix) {
        Source source = project.source(clip.source()).orElse(null);
        if (source == null || !source.sound() || clip.loudness().mute()) {
            return;
        }
        long in =
                Rational.of(clip.in())
                        .times(Rational.of(SoundReader.RATE))
                        .dividedBy(source.rate())
                        .floor();
        SoundReader reader =
                readers.computeIfAbsent(
                        heard(clip, source),
                        c ->
                                new SoundReader(
                                        Path.of(source.path()), source.settings().soundTrack()));
        float[] sound = reader.read(in + from - sample(clip.start()), count);
        float gain = clip.loudness().gain();
        for (int i = 0; i < mix.length; i++) {
            mix[i] += gain * sound[i];
        }
    }

    @Override
    public void close() {
        readers.values().forEach(SoundReader::close);
    }
}
