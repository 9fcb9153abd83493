package ivrik.core.project;

import ivrik.core.look.Placement;
import ivrik.core.look.RetimedLook;
import ivrik.core.motion.Rational;

import java.util.ArrayList;
import java.util.List;

/** Changes the rate or duration of a sequence with content. */
public final class Retiming {
    private Retiming() {}

    /**
     * A project at another rate. Pixels and seconds stay, and times go to the nearest frame; what lies on a
     * cut or a marker stays on it.
     */
    public static Project at(Project project, Rational rate) {
        double times = rate.dividedBy(project.sequence().rate()).toDouble();
        return project.withSequence(project.sequence().withRate(rate))
                .withLayers(project.layers().stream().map(l -> layer(l, times)).toList())
                .withMarkers(
                        project.markers().stream()
                                .map(m -> m.withFrame(RetimedLook.frame(m.frame(), times)))
                                .toList())
                .withPlayRange(
                        project.playRange()
                                .map(
                                        r ->
                                                new FrameRange(
                                                        RetimedLook.frame(r.first(), times),
                                                        Math.max(
                                                                RetimedLook.frame(r.first(), times),
                                                                RetimedLook.frame(
                                                                                r.last() + 1, times)
                                                                        - 1))));
    }

    private static Layer layer(Layer layer, double times) {
        Placement place = layer.placement();
        for (Placement.Part part : Placement.PARTS) {
            place = part.with().apply(place, RetimedLook.value(part.value().apply(place), times));
        }
        return layer.withClips(layer.clips().stream().map(c -> clip(c, times)).toList())
                .withPlacement(place)
                .withOpacity(RetimedLook.value(layer.opacity(), times))
                .withEachLook(l -> RetimedLook.look(l, times));
    }

    private static Clip clip(Clip clip, double times) {
        long start = RetimedLook.frame(clip.start(), times);
        return clip.withStart(start)
                .withLength(Math.max(1, RetimedLook.frame(clip.end(), times) - start));
    }

    /**
     * A project of another duration: later content is cut off, and content that ended with the project is
     * extended to the new end, with the last frame held if the source ends.
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
