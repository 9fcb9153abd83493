package ivrik.core.project;

import ivrik.core.look.Burst;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Bursts of a layer that share one length: tied bursts with one anchor, in any of the layer's looks. */
public final class TiedBursts {
    private TiedBursts() {}

    /**
     * A layer after an edit, in which tied bursts follow the one whose length was edited. A burst that was
     * just tied takes the length of the others.
     *
     * @param before the layer before the edit
     * @param after the layer after the edit
     */
    public static Layer following(Layer before, Layer after) {
        Layer followed = after;
        for (LayerLook look : after.looks()) {
            for (Burst burst : look.look().bursts()) {
                if (!burst.tied()) {
                    continue;
                }
                Optional<Burst> former = burst(before, look.id(), burst.id());
                boolean joins = former.filter(b -> b.tied() && hasAnchor(b, burst)).isEmpty();
                if (joins) {
                    followed =
                            others(after, look.id(), burst)
                                    .findFirst()
                                    .map(other -> with(after, look.id(), timed(burst, other)))
                                    .orElse(followed);
                } else if (!hasLength(former.get(), burst)) {
                    followed = allLike(followed, burst);
                }
            }
        }
        return followed;
    }

    private static Optional<Burst> burst(Layer layer, String look, String id) {
        return layer.looks().stream()
                .filter(l -> l.id().equals(look))
                .findFirst()
                .flatMap(l -> l.look().burst(id));
    }

    private static boolean hasAnchor(Burst a, Burst b) {
        return a.anchor().equals(b.anchor());
    }

    private static boolean hasLength(Burst a, Burst b) {
        return a.framesBefore() == b.framesBefore() && a.framesAfter() == b.framesAfter();
    }

    private static Burst timed(Burst burst, Burst like) {
        return burst.timed(like.framesBefore(), like.framesAfter(), burst.envelope().phases());
    }

    /** The bursts that are tied to a burst. */
    private static Stream<Burst> others(Layer layer, String look, Burst burst) {
        return layer.looks().stream()
                .flatMap(
                        l ->
                                l.look().bursts().stream()
                                        .filter(
                                                b ->
                                                        !(l.id().equals(look)
                                                                && b.id().equals(burst.id()))))
                .filter(b -> b.tied() && hasAnchor(b, burst));
    }

    private static Layer with(Layer layer, String look, Burst burst) {
        return layer.withLooks(
                layer.looks().stream()
                        .map(l -> l.id().equals(look) ? l.withLook(l.look().withBurst(burst)) : l)
                        .toList());
    }

    private static Layer allLike(Layer layer, Burst burst) {
        return layer.withEachLook(
                l -> {
                    List<Burst> bursts =
                            l.bursts().stream()
                                    .map(
                                            b ->
                                                    b.tied()
                                                                    && hasAnchor(b, burst)
                                                                    && !hasLength(b, burst)
                                                            ? timed(b, burst)
                                                            : b)
                                    .toList();
                    return l.withBursts(bursts);
                });
    }
}
