package ivrik.core.project;

import ivrik.core.look.Look;
import ivrik.core.motion.Anchor;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Chooses the anchor of a new burst. */
public final class BurstAnchors {
    /** Largest distance of a nearby cut, in seconds. */
    private static final double NEAR_SECONDS = 0.5;

    private BurstAnchors() {}

    /** A nearby cut, else the marker at the frame, else the frame. */
    public static Anchor near(Project project, Layer layer, long frame) {
        double near = NEAR_SECONDS * project.sequence().rate().toDouble();
        Optional<Anchor> cut =
                project.cuts(layer).entrySet().stream()
                        .filter(c -> Math.abs(c.getValue() - frame) <= near)
                        .min(
                                Comparator.comparing(
                                                (Map.Entry<String, Long> c) ->
                                                        Math.abs(c.getValue() - frame))
                                        .thenComparing(Map.Entry::getKey))
                        .map(c -> new Anchor.AtCut(c.getKey()));
        return cut.or(
                        () ->
                                project.markers().stream()
                                        .filter(m -> m.frame() == frame)
                                        .findFirst()
                                        .map(m -> new Anchor.AtMarkers(List.of(m.id()))))
                .orElse(new Anchor.AtFrame(frame));
    }

    /** A look whose bursts, anchored to the first frame, are anchored elsewhere. */
    public static Look standing(Look look, Anchor anchor) {
        return look.withBursts(
                look.bursts().stream()
                        .map(
                                b ->
                                        b.anchor().equals(new Anchor.AtFrame(0))
                                                ? b.withAnchor(anchor)
                                                : b)
                        .toList());
    }
}
