package ivrik.core.render;

import ivrik.core.cache.CacheKey;
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

/** Renders a look at each instant of its shutter and averages the results. */
final class MotionBlur {
    private MotionBlur() {}

    static void take(PictureState state, LookPlan look, AuxiliaryPictures auxiliary) {
        take(state, look, auxiliary, i -> state.copy());
    }

    /**
     * @param starts input picture of each instant, by index
     */
    static void take(
            PictureState state,
            LookPlan look,
            AuxiliaryPictures auxiliary,
            IntFunction<PictureState> starts) {
        Workers workers = state.renderContext().workers();
        CacheKey key = state.key().then(look.moments()).then(look.places());
        List<PictureState> moments = new ArrayList<>();
        for (LookPlan moment : look.moments()) {
            PictureState one = starts.apply(moments.size());
            new Pipeline(moment, auxiliary).take(one);
            moments.add(one);
        }
        if (moments.stream().allMatch(PictureState::isOpaque)) {
            state.set(ColourRows.mean(moments.stream().map(PictureState::rows).toList()), key);
            return;
        }
        List<Frame> frames = moments.stream().map(m -> m.frame().covered(workers)).toList();
        Optional<ChannelCoverage> coverage = channelCoverage(moments, frames, workers);
        state.set(
                new Frame(
                        channels(frames, Frame::colour, workers),
                        Alpha.PREMULTIPLIED,
                        channels(frames, Frame::coverage, workers)),
                key);
        state.setChannelCoverage(coverage);
    }

    private static List<Plane> channels(
            List<Frame> frames, Function<Frame, List<Plane>> which, Workers workers) {
        return means(frames.stream().map(which).toList(), workers);
    }

    /** The mean coverage per channel, if the channels have separate coverage at any instant. */
    private static Optional<ChannelCoverage> channelCoverage(
            List<PictureState> moments, List<Frame> frames, Workers workers) {
        Optional<ChannelCoverage> any =
                moments.stream().flatMap(m -> m.channelCoverage().stream()).findFirst();
        return any.map(
                first -> {
                    int channels = first.coverage().size();
                    List<List<Plane>> apart = new ArrayList<>();
                    for (int i = 0; i < moments.size(); i++) {
                        Plane together = frames.get(i).unionAlpha(workers);
                        apart.add(
                                moments.get(i)
                                        .channelCoverage()
                                        .map(ChannelCoverage::coverage)
                                        .orElse(Collections.nCopies(channels, together)));
                    }
                    return new ChannelCoverage(first.model(), means(apart, workers));
                });
    }

    /** The mean of the planes at each index; repeated planes are averaged once. */
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
