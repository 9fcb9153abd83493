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
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.separation.Paint;
import ivrik.core.separation.Separation;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
     * The look done to a picture.
     *
     * @param feeds for each lane another picture that it is taken from, or null
     * @param scale pixels of the picture to a pixel of the full-size sequence
     */
    Frame apply(LookPlan look, Frame source, List<Frame> feeds, double scale, Cancel cancel) {
        if (look.isNeutral()) {
            return source;
        }
        Frame result = rejoined(look, source, feeds, scale, cancel);
        cancel.check();
        Frame onto =
                look.onto() == Blend.NORMAL
                        ? Composite.mix(source, result, look.ontoAmount(), workers)
                        : Composite.of(source, result, look.onto(), look.ontoAmount(), workers);
        return look.overscan() == 1
                ? onto
                : onto.premultiplied(workers).mapPlanes(p -> Zoom.of(p, look.overscan(), workers));
    }

    /** Separated, treated and rejoined, without any short cut. */
    Frame rejoined(LookPlan look, Frame source, List<Frame> feeds, double scale, Cancel cancel) {
        Separation model = look.model();
        if (source.isOpaque() && isStraight(look)) {
            return new Frame(
                    straight(look, source.colour(), scale, cancel).toPlanes(workers),
                    Alpha.OPAQUE,
                    List.of());
        }
        if (look.steps().isEmpty()
                && !source.isOpaque()
                && feeds.stream().allMatch(Objects::isNull)) {
            Frame straight = source.straight(workers);
            return new Frame(
                    join(look, model.separate(straight.colour(), workers)),
                    Alpha.STRAIGHT,
                    straight.coverage());
        }
        Lanes lanes = lanes(look, source, feeds, scale, cancel);
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
    ColourRows straight(LookPlan look, List<Plane> colour, double scale, Cancel cancel) {
        Separation model = look.model();
        int count = model.lanes().size();
        if (model.isChannels()) {
            return ColourRows.of(rows(look, colour, scale, cancel));
        }
        boolean[] treated = new boolean[count];
        for (int i = 0; i < count; i++) {
            treated[i] = isTreated(look, i);
        }
        List<Plane> lanes = Pixels.map(colour, treated, workers, model::separate);
        List<Rows> rows = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            rows.add(treated[i] ? lane(look, lanes.get(i), i, scale, cancel) : null);
        }
        return new LaneStream(model, colour, rows);
    }

    private List<Plane> join(LookPlan look, List<Plane> lanes) {
        return Joiner.join(look.model(), lanes, look.plates(), look.rejoin(), workers);
    }

    /** The lanes of a picture, treated but not rejoined. */
    Lanes lanes(LookPlan look, Frame source, List<Frame> feeds, double scale, Cancel cancel) {
        Separation model = look.model();
        Map<Frame, Lanes> separated = new IdentityHashMap<>();
        List<Lanes> origins = new ArrayList<>();
        for (int i = 0; i < model.lanes().size(); i++) {
            Frame feed = feeds.get(i);
            origins.add(
                    separated.computeIfAbsent(
                            feed == null ? source : feed, f -> separate(model, f)));
        }
        List<Plane> planes =
                IntStream.range(0, origins.size())
                        .mapToObj(i -> origins.get(i).planes().get(i))
                        .toList();
        if (origins.stream().allMatch(Lanes::isOpaque)) {
            return new Lanes(treated(look, planes, scale, cancel), List.of());
        }
        Plane full = Plane.flat(source.width(), source.height(), 1);
        List<Plane> coverage =
                IntStream.range(0, origins.size())
                        .mapToObj(
                                i ->
                                        origins.get(i).isOpaque()
                                                ? full
                                                : origins.get(i).coverage().get(i))
                        .toList();
        return new Lanes(
                treated(look, planes, scale, cancel), spread(look, coverage, scale, cancel));
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

    private List<Plane> treated(LookPlan look, List<Plane> lanes, double scale, Cancel cancel) {
        return IntStream.range(0, lanes.size())
                .mapToObj(i -> lane(look, lanes.get(i), i, scale, cancel).toPlane(workers))
                .toList();
    }

    /** A treated lane; angles are treated as directions. */
    private Rows lane(LookPlan look, Plane lane, int number, double scale, Cancel cancel) {
        boolean angle = look.model().lanes().get(number).paint() == Paint.ANGLE;
        return angle && isTreated(look, number)
                ? Rows.of(
                        Angles.treated(
                                lane,
                                p -> rows(look, p, number, scale, cancel).toPlane(workers),
                                workers))
                : rows(look, lane, number, scale, cancel);
    }

    private static boolean isTreated(LookPlan look, int lane) {
        return look.steps().stream().anyMatch(s -> s.lanes().get(lane) != null);
    }

    private List<Plane> spread(LookPlan look, List<Plane> planes, double scale, Cancel cancel) {
        return rows(look, planes, scale, cancel).stream().map(r -> r.toPlane(workers)).toList();
    }

    /** The treated lanes; the last treatment of each is still to be done, row by row. */
    private List<Rows> rows(LookPlan look, List<Plane> lanes, double scale, Cancel cancel) {
        List<Rows> treated = new ArrayList<>();
        for (int i = 0; i < lanes.size(); i++) {
            treated.add(rows(look, lanes.get(i), i, scale, cancel));
        }
        return treated;
    }

    private Rows rows(LookPlan look, Plane lane, int number, double scale, Cancel cancel) {
        Rows treated = Rows.of(lane);
        for (StepPlan step : look.steps()) {
            Treatment treatment = Treatments.named(step.treatment());
            Settings settings = step.lanes().get(number);
            if (settings != null) {
                cancel.check();
                treated = treatment.apply(treated.toPlane(workers), settings, scale, workers);
            }
        }
        return treated;
    }
}
