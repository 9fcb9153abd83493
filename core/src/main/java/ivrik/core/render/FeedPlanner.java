package ivrik.core.render;

import ivrik.core.look.Feed;
import ivrik.core.look.Slit;
import ivrik.core.motion.Value;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.render.Plan.FeedPlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PlacePlan;
import ivrik.core.render.Plan.Seen;
import ivrik.core.render.Plan.Slice;
import ivrik.core.render.Plan.SlitPlan;
import ivrik.core.render.Plan.TrailPlan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.BiFunction;

/** Which pictures a lane is made of that has a source, a time or cuts of its own. */
final class FeedPlanner {
    /** Less than this of a value is nothing: half a step of 8-bit codes. */
    private static final double LEAST_LEFT = 1 / 510.0;

    private final Layer layer;
    private final FrameRange range;
    private final Feed feed;
    private final long frame;
    private final BiFunction<Clip, Long, Optional<Seen>> pictures;

    /**
     * @param feed with its numbers as they are now
     * @param pictures what a clip shows at a frame of the sequence, which may lie outside it
     */
    FeedPlanner(
            Layer layer, Feed feed, long frame, BiFunction<Clip, Long, Optional<Seen>> pictures) {
        this.layer = layer;
        this.range = layer.range();
        this.feed = feed;
        this.frame = frame;
        this.pictures = pictures;
    }

    /** A source as if it began with a layer and lasted as long. */
    static Clip alongside(Layer layer, String source) {
        return new Clip(source, layer.range().first(), layer.range().length(), 0);
    }

    /**
     * @param gradient the picture that the slit goes by, if it goes by one
     */
    FeedPlan plan(PlacePlan place, Optional<Picture> gradient) {
        Slit slit = feed.slit();
        double across = slit.delayFrames().rest();
        double wipe = slit.wipeFrames().rest();
        long delay = whole(feed.delayFrames());
        double cut = whole(feed.cutFrames());
        if (across == 0 && wipe == 0) {
            return new FeedPlan(
                    slices(delay, cut, cut).getFirst().picture(),
                    place,
                    Optional.empty(),
                    trail(delay, cut));
        }
        List<Slice> slices = new ArrayList<>();
        long first = (long) Math.floor(Math.min(0, across));
        long last = (long) Math.ceil(Math.max(0, across));
        for (long later = first; later <= last; later++) {
            slices.addAll(
                    slices(delay + later, Math.min(cut, cut + wipe), Math.max(cut, cut + wipe)));
        }
        SlitPlan plan =
                new SlitPlan(
                        slit.by(),
                        slit.angleDegrees().rest(),
                        slit.by() == Slit.By.PICTURE ? gradient : Optional.empty(),
                        delay,
                        across,
                        cut,
                        wipe,
                        List.copyOf(slices));
        return new FeedPlan(
                slices.getFirst().picture(), place, Optional.of(plan), Optional.empty());
    }

    /** As many earlier frames as leave something that can be seen. */
    private Optional<TrailPlan> trail(long delay, double cut) {
        double keep = feed.lingerPercent().rest() / 100;
        if (keep == 0) {
            return Optional.empty();
        }
        List<Optional<Seen>> before = new ArrayList<>();
        for (double left = keep; left > LEAST_LEFT; left *= keep) {
            before.add(slices(delay + 1 + before.size(), cut, cut).getFirst().picture());
        }
        return Optional.of(new TrailPlan(keep, List.copyOf(before)));
    }

    private static long whole(Value value) {
        return Math.round(value.rest());
    }

    /**
     * What may be seen at one delay: one picture for each shot that is on somewhere.
     *
     * @param soonest the least frames that the cuts are later
     * @param latest the most
     */
    private List<Slice> slices(long delay, double soonest, double latest) {
        OptionalLong there = inside(frame - delay);
        if (there.isEmpty()) {
            return List.of(always(Optional.empty(), delay));
        }
        long at = there.getAsLong();
        if (!feed.source().isEmpty()) {
            return List.of(always(pictures.apply(alongside(layer, feed.source()), at), delay));
        }
        long first = at - (long) Math.ceil(latest);
        long last = at - (long) Math.floor(soonest);
        List<Slice> slices = new ArrayList<>();
        Optional<Clip> shot = shot(first);
        double from = Double.NEGATIVE_INFINITY;
        for (long n = first + 1; n <= last; n++) {
            Optional<Clip> next = shot(n);
            if (!next.equals(shot)) {
                slices.add(new Slice(picture(shot, at), delay, from, n - at));
                shot = next;
                from = n - at;
            }
        }
        slices.add(new Slice(picture(shot, at), delay, from, Double.POSITIVE_INFINITY));
        return slices;
    }

    private Optional<Seen> picture(Optional<Clip> shot, long at) {
        return shot.flatMap(clip -> pictures.apply(clip, at));
    }

    private static Slice always(Optional<Seen> picture, long delay) {
        return new Slice(picture, delay, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
    }

    /** The shot that is on at a frame; the first before it, the last after it. */
    private Optional<Clip> shot(long n) {
        return layer.clipAt(Math.clamp(n, range.first(), range.last()));
    }

    /** The frame that stands for one which may lie outside the layer; empty where nothing does. */
    private OptionalLong inside(long n) {
        int inside = feed.beyond().inside((int) (n - range.first()), (int) range.length());
        return inside < 0 ? OptionalLong.empty() : OptionalLong.of(range.first() + inside);
    }
}
