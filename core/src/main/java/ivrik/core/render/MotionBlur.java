package ivrik.core.render;

import ivrik.core.cache.CacheKey;
import ivrik.core.look.Shutter;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.RunningMeans;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.separation.Separation;
import ivrik.core.threads.Workers;

import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.stream.IntStream;

/** Renders a look at each instant of its shutter and averages the results. */
final class MotionBlur {
    /** Pictures whose rows are averaged while they are computed; more would need too much memory. */
    private static final int MAX_AT_ONCE = 32;

    /** Number of samples that is not reduced for small pictures. */
    private static final int FEW = Shutter.OFF.samples();

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
        CacheKey key = state.key().then(look.moments()).then(look.places());
        int planned = look.moments().size();
        int count = count(planned, state.renderContext().scale());
        IntFunction<PictureState> moments =
                i -> {
                    int moment = (int) ((2L * i + 1) * planned / (2L * count));
                    PictureState one = starts.apply(moment);
                    new Pipeline(look.moments().get(moment), auxiliary).take(one);
                    return one;
                };
        if (count > MAX_AT_ONCE) {
            sum(state, key, count, moments);
            return;
        }
        List<PictureState> all = IntStream.range(0, count).mapToObj(moments).toList();
        if (all.stream().allMatch(PictureState::isOpaque)) {
            state.set(ColourRows.mean(all.stream().map(PictureState::rows).toList()), key);
        } else {
            sum(state, key, count, all::get);
        }
    }

    /**
     * Number of evenly spread samples that a smaller picture needs, in which they lie closer together.
     *
     * @param planned number for the full size
     * @param scale rendered pixels per sequence pixel
     */
    private static int count(int planned, double scale) {
        int apart = Math.clamp((long) (1 / scale), 1, Math.max(1, planned / FEW));
        return Math.ceilDiv(planned, apart);
    }

    /** Averages pictures one after another, so that only one is in memory. */
    private static void sum(
            PictureState state, CacheKey key, int count, IntFunction<PictureState> moments) {
        Workers workers = state.renderContext().workers();
        RunningMeans colour = new RunningMeans(workers);
        RunningMeans coverage = new RunningMeans(workers);
        RunningMeans ofChannels = new RunningMeans(workers);
        Optional<Separation> model = Optional.empty();
        boolean isOpaque = true;
        for (int i = 0; i < count; i++) {
            state.renderContext().cancel().check();
            PictureState one = moments.apply(i);
            isOpaque &= one.isOpaque();
            Frame frame = one.frame().covered(workers);
            colour.add(frame.colour());
            coverage.add(frame.coverage());
            ofChannels.add(
                    one.channelCoverage()
                            .map(ChannelCoverage::coverage)
                            .orElseGet(() -> List.of(frame.unionAlpha(workers))));
            model = model.or(() -> one.channelCoverage().map(ChannelCoverage::model));
        }
        List<Plane> means = colour.means();
        state.set(
                isOpaque
                        ? Frame.opaque(means.get(0), means.get(1), means.get(2))
                        : new Frame(means, Alpha.PREMULTIPLIED, coverage.means()),
                key);
        state.setChannelCoverage(
                model.map(found -> new ChannelCoverage(found, ofChannels.means())));
    }
}
