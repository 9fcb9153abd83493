package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Planes;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.stream.IntStream;

/** A picture taken along a look's road at each moment that its shutter sees: the mean of what comes of it. */
final class MotionBlur {
    private MotionBlur() {}

    static void take(Passage passage, LookPlan look, Supplies supplies) {
        take(passage, look, supplies, i -> passage.copy());
    }

    /**
     * @param starts what is taken along the road at each moment, by its number
     */
    static void take(
            Passage passage, LookPlan look, Supplies supplies, IntFunction<Passage> starts) {
        Workers workers = passage.site().workers();
        Key key = passage.key().then(look.moments()).then(look.places());
        List<Passage> moments = new ArrayList<>();
        for (LookPlan moment : look.moments()) {
            Passage one = starts.apply(moments.size());
            new Road(moment, supplies).take(one);
            moments.add(one);
        }
        if (moments.stream().allMatch(Passage::isOpaque)) {
            passage.set(ColourRows.mean(moments.stream().map(Passage::rows).toList()), key);
            return;
        }
        List<Frame> frames = moments.stream().map(m -> m.frame().covered(workers)).toList();
        Optional<Parting> parting = parting(moments, frames, workers);
        passage.set(
                new Frame(
                        channels(frames, Frame::colour, workers),
                        Alpha.PREMULTIPLIED,
                        channels(frames, Frame::coverage, workers)),
                key);
        passage.setParting(parting);
    }

    private static List<Plane> channels(
            List<Frame> frames, Function<Frame, List<Plane>> which, Workers workers) {
        return means(frames.stream().map(which).toList(), workers);
    }

    /** The mean of each of several planes that lie apart, where those of any moment do. */
    private static Optional<Parting> parting(
            List<Passage> moments, List<Frame> frames, Workers workers) {
        Optional<Parting> any = moments.stream().flatMap(m -> m.parting().stream()).findFirst();
        return any.map(
                first -> {
                    int lanes = first.coverage().size();
                    List<List<Plane>> apart = new ArrayList<>();
                    for (int i = 0; i < moments.size(); i++) {
                        Plane together = frames.get(i).unionAlpha(workers);
                        apart.add(
                                moments.get(i)
                                        .parting()
                                        .map(Parting::coverage)
                                        .orElse(Collections.nCopies(lanes, together)));
                    }
                    return new Parting(first.model(), means(apart, workers));
                });
    }

    /** One plane for each place in the lists; planes that stand several times are averaged once. */
    private static List<Plane> means(List<List<Plane>> lists, Workers workers) {
        int count = lists.getFirst().size();
        boolean same =
                lists.stream().allMatch(l -> l.stream().allMatch(plane -> plane == l.getFirst()));
        List<Plane> means =
                IntStream.range(0, same ? 1 : count)
                        .mapToObj(
                                c ->
                                        Planes.mean(
                                                lists.stream().map(l -> l.get(c)).toList(),
                                                workers))
                        .toList();
        return same ? Collections.nCopies(count, means.getFirst()) : means;
    }
}
