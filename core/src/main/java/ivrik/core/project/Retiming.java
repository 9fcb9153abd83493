package ivrik.core.project;

import ivrik.core.look.Place;
import ivrik.core.look.Retimed;
import ivrik.core.motion.Rational;

import java.util.ArrayList;
import java.util.List;

/** Other settings for a sequence that has something in it already: another rate, another length. */
public final class Retiming {
    private Retiming() {}

    /**
     * A project at another rate. Pixels stay pixels, seconds stay seconds, and what stands on a cut or a
     * marker goes on standing on it: all that lies at a frame goes to the frame nearest to its time.
     */
    public static Project at(Project project, Rational rate) {
        double times = rate.dividedBy(project.sequence().rate()).toDouble();
        return project.withSequence(project.sequence().withRate(rate))
                .withLayers(project.layers().stream().map(l -> layer(l, times)).toList())
                .withMarkers(
                        project.markers().stream()
                                .map(m -> m.withFrame(Retimed.frame(m.frame(), times)))
                                .toList())
                .withPlayRange(
                        project.playRange()
                                .map(
                                        r ->
                                                new FrameRange(
                                                        Retimed.frame(r.first(), times),
                                                        Math.max(
                                                                Retimed.frame(r.first(), times),
                                                                Retimed.frame(r.last() + 1, times)
                                                                        - 1))));
    }

    private static Layer layer(Layer layer, double times) {
        Place place = layer.place();
        for (Place.Part part : Place.PARTS) {
            place = part.with().apply(place, Retimed.value(part.value().apply(place), times));
        }
        return layer.withClips(layer.clips().stream().map(c -> clip(c, times)).toList())
                .withPlace(place)
                .withOpacity(Retimed.value(layer.opacity(), times))
                .withEachLook(l -> Retimed.look(l, times));
    }

    private static Clip clip(Clip clip, double times) {
        long start = Retimed.frame(clip.start(), times);
        return clip.withStart(start)
                .withLength(Math.max(1, Retimed.frame(clip.end(), times) - start));
    }

    /**
     * A project of so many frames: what lies after them is cut off, and what ended with the project before
     * goes on to the new end, as far as it goes or its last frame held.
     */
    public static Project lasting(Project project, long frames) {
        long before = project.frames();
        List<Layer> layers = new ArrayList<>();
        for (Layer layer : project.layers()) {
            List<Clip> clips = new ArrayList<>();
            for (Clip clip : layer.clips()) {
                long end = clip.end() == before ? frames : Math.min(clip.end(), frames);
                if (clip.start() < end) {
                    clips.add(clip.withLength(end - clip.start()));
                }
            }
            if (!clips.isEmpty()) {
                layers.add(layer.withClips(clips));
            }
        }
        return project.withLayers(layers)
                .withPlayRange(
                        project.playRange()
                                .filter(r -> r.first() < frames)
                                .map(
                                        r ->
                                                new FrameRange(
                                                        r.first(),
                                                        Math.min(r.last(), frames - 1))));
    }
}
