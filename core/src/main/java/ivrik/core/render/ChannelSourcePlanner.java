package ivrik.core.render;

import ivrik.core.look.ChannelSource;
import ivrik.core.look.SlitScan;
import ivrik.core.motion.Value;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.render.Plan.ChannelSourcePlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PlacementPlan;
import ivrik.core.render.Plan.Seen;
import ivrik.core.render.Plan.Slice;
import ivrik.core.render.Plan.SlitPlan;
import ivrik.core.render.Plan.TrailPlan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.BiFunction;

/** Plans the pictures of a channel that has a source, a time or cuts of its own. */
final class ChannelSourcePlanner {
    /** Smallest visible share of a value: half a step of an 8-bit code value. */
    private static final double MIN_LEFT = 1 / 510.0;

    private final Layer layer;
    private final FrameRange range;
    private final ChannelSource channelSource;
    private final long frame;
    private final BiFunction<Clip, Long, Optional<Seen>> pictures;

    /**
     * @param channelSource with constant numbers
     * @param pictures what a clip shows at a frame of the sequence, which may lie outside the clip
     */
    ChannelSourcePlanner(
            Layer layer,
            ChannelSource channelSource,
            long frame,
            BiFunction<Clip, Long, Optional<Seen>> pictures) {
        this.layer = layer;
        this.range = layer.range();
        this.channelSource = channelSource;
        this.frame = frame;
        this.pictures = pictures;
    }

    /** A source as a clip of the same range as a layer. */
    static Clip alongside(Layer layer, String source) {
        return new Clip(source, layer.range().first(), layer.range().length(), 0);
    }

    /**
     * @param gradient the picture that controls a slit scan, if any
     */
    ChannelSourcePlan plan(PlacementPlan place, Optional<Picture> gradient) {
        SlitScan slit = channelSource.slitScan();
        double across = slit.delayFrames().rest();
        double wipe = slit.wipeFrames().rest();
        long delay = whole(channelSource.delayFrames());
        double cut = whole(channelSource.cutFrames());
        if (across == 0 && wipe == 0) {
            return new ChannelSourcePlan(
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
                        slit.by() == SlitScan.By.PICTURE ? gradient : Optional.empty(),
                        delay,
                        across,
                        cut,
                        wipe,
                        List.copyOf(slices));
        return new ChannelSourcePlan(
                slices.getFirst().picture(), place, Optional.of(plan), Optional.empty());
    }

    /** The earlier frames that leave a visible trail. */
    private Optional<TrailPlan> trail(long delay, double cut) {
        double keep = channelSource.trailPercent().rest() / 100;
        if (keep == 0) {
            return Optional.empty();
        }
        List<Optional<Seen>> before = new ArrayList<>();
        for (double left = keep; left > MIN_LEFT; left *= keep) {
            before.add(slices(delay + 1 + before.size(), cut, cut).getFirst().picture());
        }
        return Optional.of(new TrailPlan(keep, List.copyOf(before)));
    }

    private static long whole(Value value) {
        return Math.round(value.rest());
    }

    /**
     * What is visible at one delay: one picture per shot that is visible anywhere.
     *
     * @param soonest smallest cut offset in frames
     * @param latest largest cut offset in frames
     */
    private List<Slice> slices(long delay, double soonest, double latest) {
        OptionalLong there = inside(frame - delay);
        if (there.isEmpty()) {
            return List.of(always(Optional.empty(), delay));
        }
        long at = there.getAsLong();
        if (!channelSource.source().isEmpty()) {
            return List.of(
                    always(pictures.apply(alongside(layer, channelSource.source()), at), delay));
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

    /** The shot at a frame; the first before it, the last after it. */
    private Optional<Clip> shot(long n) {
        return layer.clipAt(Math.clamp(n, range.first(), range.last()));
    }

    /** The frame that replaces one outside the layer; empty for a transparent edge fill. */
    private OptionalLong inside(long n) {
        int inside =
                channelSource.outside().inside((int) (n - range.first()), (int) range.length());
        return inside < 0 ? OptionalLong.empty() : OptionalLong.of(range.first() + inside);
    }
}
