package ivrik.core.render;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Planes;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Workers;
import ivrik.core.picture.Zoom;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Composite;
import ivrik.core.rejoin.Joiner;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.ReachPlan;
import ivrik.core.separation.Separation;

import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.BinaryOperator;
import java.util.stream.IntStream;

/**
 * One look done to a picture: {@code separate -> treat each lane -> rejoin -> onto}.
 *
 * <p>Each lane carries its own coverage. Where the lanes are the colour channels, so do the channels
 * that come out; in any other model each channel of the result is covered by the union of the lanes'.
 */
final class LookRenderer {
    private final Workers workers;

    LookRenderer(Workers workers) {
        this.workers = workers;
    }

    /** The treated lanes of a picture, multiplied by their coverage, and the coverages if it has any. */
    record Lanes(List<Plane> planes, List<Plane> coverage) {
        boolean isOpaque() {
            return coverage.isEmpty();
        }
    }

    /**
     * The other pictures that a look needs, of the size of the one it is done to.
     *
     * @param feeds for each lane what it is taken from, or null
     * @param steps for each step what its treatment uses, or null; of any size
     * @param matte for the reach, or null
     */
    record Supplies(List<Frame> feeds, List<Frame> steps, Frame matte) {
        static Supplies none(LookPlan look) {
            return new Supplies(
                    Collections.nCopies(look.feeds().size(), null),
                    Collections.nCopies(look.steps().size(), null),
                    null);
        }
    }

    /**
     * The look done to a picture.
     *
     * @param scale pixels of the picture to a pixel of the full-size sequence
     */
    Frame apply(LookPlan look, Frame source, Supplies supplies, double scale, Cancel cancel) {
        if (look.isNeutral()) {
            return source;
        }
        Frame onto =
                look.reach().isEmpty()
                        ? laid(look, source, rejoined(look, source, supplies, scale, cancel))
                        : reached(look, look.reach().get(), source, supplies, scale, cancel);
        cancel.check();
        return look.overscan() == 1
                ? onto
                : onto.premultiplied(workers).mapPlanes(p -> Zoom.of(p, look.overscan(), workers));
    }

    /** A result met with the untouched picture. */
    private Frame laid(LookPlan look, Frame source, Frame result) {
        return look.onto() == Blend.NORMAL
                ? Composite.mix(source, result, look.ontoAmount(), workers)
                : Composite.of(source, result, look.onto(), look.ontoAmount(), workers);
    }

    /** The same where only part of the picture is reached. */
    private Frame reached(
            LookPlan look,
            ReachPlan reach,
            Frame source,
            Supplies supplies,
            double scale,
            Cancel cancel) {
        Plane weights = Reaching.of(reach, source, supplies.matte(), workers);
        Frame picture = source.premultiplied(workers);
        if (!reach.spreads()) {
            Frame result = laid(look, source, rejoined(look, source, supplies, scale, cancel));
            return weighted(picture, result.premultiplied(workers), weights);
        }
        Frame part = picture.mapPlanes(p -> Kernels.multiply(p, weights, workers));
        Frame result = rejoined(look, part, supplies, scale, cancel).premultiplied(workers);
        if (look.onto() != Blend.NORMAL) {
            return laid(look, source, result);
        }
        Plane others = Reaching.inverse(weights, workers);
        Frame rest = picture.mapPlanes(p -> Kernels.multiply(p, others, workers));
        return laid(look, source, sum(rest, result));
    }

    /** One picture where the weights are 0, the other where they are 1. */
    private Frame weighted(Frame a, Frame b, Plane weights) {
        return zip(a, b, (x, y) -> Kernels.mix(x, y, weights, workers));
    }

    private Frame sum(Frame a, Frame b) {
        return zip(a, b, (x, y) -> Kernels.add(x, y, workers));
    }

    private Frame zip(Frame a, Frame b, BinaryOperator<Plane> each) {
        List<Plane> colour = Planes.zip(a.colour(), b.colour(), each);
        return a.isOpaque() && b.isOpaque()
                ? new Frame(colour, Alpha.OPAQUE, List.of())
                : new Frame(
                        colour, Alpha.PREMULTIPLIED, Planes.zip(coverage(a), coverage(b), each));
    }

    private static List<Plane> coverage(Frame frame) {
        return frame.isOpaque()
                ? Collections.nCopies(3, Plane.flat(frame.width(), frame.height(), 1))
                : frame.coverage();
    }

    /** Separated, treated and rejoined, without any short cut. */
    Frame rejoined(LookPlan look, Frame source, Supplies supplies, double scale, Cancel cancel) {
        Separation model = look.model();
        if (source.isOpaque() && isStraight(look)) {
            return new Frame(
                    straight(look, source.colour(), supplies, scale, cancel).toPlanes(workers),
                    Alpha.OPAQUE,
                    List.of());
        }
        if (look.steps().isEmpty()
                && !source.isOpaque()
                && supplies.feeds().stream().allMatch(Objects::isNull)) {
            Frame straight = source.straight(workers);
            return new Frame(
                    join(look, model.separateFully(straight.colour(), workers)),
                    Alpha.STRAIGHT,
                    straight.coverage());
        }
        Lanes lanes = lanes(look, source, supplies, scale, cancel);
        cancel.check();
        if (lanes.isOpaque()) {
            return new Frame(join(look, lanes.planes()), Alpha.OPAQUE, List.of());
        }
        if (model.isChannels() && look.rejoin().isExact() && look.isPlain()) {
            return new Frame(lanes.planes(), Alpha.PREMULTIPLIED, lanes.coverage());
        }
        Plane union =
                lanes.coverage().stream()
                        .distinct()
                        .reduce((a, b) -> Kernels.maximum(a, b, workers))
                        .orElseThrow();
        List<Plane> straight =
                lanes.planes().stream().map(p -> Kernels.divide(p, union, workers)).toList();
        List<Plane> colour =
                join(look, straight).stream()
                        .map(p -> Kernels.multiply(p, union, workers))
                        .toList();
        return new Frame(colour, Alpha.PREMULTIPLIED, List.of(union, union, union));
    }

    /** Whether lanes need only be rejoined row by row as they come: exactly, each in its own ink. */
    static boolean isStraight(LookPlan look) {
        return look.rejoin().isExact() && look.isPlain();
    }

    /**
     * The colours of a look that {@link #isStraight}, of an opaque picture. Lanes that are not treated
     * never become planes.
     */
    ColourRows straight(
            LookPlan look, List<Plane> colour, Supplies supplies, double scale, Cancel cancel) {
        Separation model = look.model();
        int count = model.lanes().size();
        if (model.isChannels()) {
            List<Rows> rows = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                rows.add(treater(look, i, supplies, scale, cancel).treated(colour.get(i)));
            }
            return ColourRows.of(rows);
        }
        boolean[] treated = new boolean[count];
        for (int i = 0; i < count; i++) {
            treated[i] = LaneTreater.isTreated(look, i);
        }
        List<Plane> lanes = Pixels.map(colour, treated, workers, model::separate);
        List<Rows> rows = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            rows.add(
                    treated[i]
                            ? treater(look, i, supplies, scale, cancel).treated(lanes.get(i))
                            : null);
        }
        return new LaneStream(model, colour, rows);
    }

    private List<Plane> join(LookPlan look, List<Plane> lanes) {
        return Joiner.join(look.model(), lanes, look.plates(), look.rejoin(), workers);
    }

    /** The lanes of a picture, treated but not rejoined. */
    Lanes lanes(LookPlan look, Frame source, Supplies supplies, double scale, Cancel cancel) {
        Separation model = look.model();
        Map<Frame, Lanes> separated = new IdentityHashMap<>();
        List<Lanes> origins = new ArrayList<>();
        for (int i = 0; i < model.lanes().size(); i++) {
            Frame feed = supplies.feeds().get(i);
            origins.add(
                    separated.computeIfAbsent(
                            feed == null ? source : feed, f -> separate(model, f)));
        }
        boolean opaque = origins.stream().allMatch(Lanes::isOpaque);
        Plane full = opaque ? null : Plane.flat(source.width(), source.height(), 1);
        List<Plane> planes = new ArrayList<>();
        List<Plane> coverage = new ArrayList<>();
        for (int i = 0; i < origins.size(); i++) {
            Lanes origin = origins.get(i);
            LaneTreater treater = treater(look, i, supplies, scale, cancel);
            Plane plane = origin.planes().get(i);
            if (opaque) {
                planes.add(treater.treated(plane).toPlane(workers));
                continue;
            }
            Plane cover = origin.isOpaque() ? full : origin.coverage().get(i);
            LaneTreater.Covered treated = treater.treated(new LaneTreater.Covered(plane, cover));
            planes.add(treated.lane());
            coverage.add(treated.coverage());
        }
        return new Lanes(planes, coverage);
    }

    private LaneTreater treater(
            LookPlan look, int lane, Supplies supplies, double scale, Cancel cancel) {
        return new LaneTreater(look, lane, supplies.steps(), scale, workers, cancel);
    }

    /** The lanes of a picture, multiplied by its coverage if it has any. */
    private Lanes separate(Separation model, Frame source) {
        if (source.isOpaque()) {
            return new Lanes(model.separate(source.colour(), workers), List.of());
        }
        List<Plane> coverage =
                IntStream.range(0, model.lanes().size())
                        .mapToObj(i -> source.coverage().get(model.isChannels() ? i : 0))
                        .toList();
        List<Plane> lanes =
                model.isChannels()
                        ? source.premultiplied(workers).colour()
                        : Planes.zip(
                                model.separate(source.straight(workers).colour(), workers),
                                coverage,
                                (p, a) -> Kernels.multiply(p, a, workers));
        return new Lanes(lanes, coverage);
    }
}
