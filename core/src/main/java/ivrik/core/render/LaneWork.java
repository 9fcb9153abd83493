package ivrik.core.render;

import ivrik.core.filter.Moved;
import ivrik.core.filter.Warp;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Separation;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Context;
import ivrik.core.treatment.Move;
import ivrik.core.treatment.RowTreatment;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Trait;
import ivrik.core.treatment.ValidRegion;
import ivrik.core.treatment.ValidRegionFinder;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * One piece of work on one lane: a treatment, or all the moves that follow each other, which are one
 * mapping and sampled once, with the best of their samplers and the edge fill of the last.
 */
record LaneWork(int lane, List<StepPlan> steps) {
    LaneWork {
        steps = List.copyOf(steps);
    }

    /** All the work on a lane, in order. */
    static List<LaneWork> of(List<StepPlan> all, int lane) {
        List<LaneWork> works = new ArrayList<>();
        List<StepPlan> moves = new ArrayList<>();
        for (StepPlan step : all) {
            if (step.lanes().get(lane) == null) {
                continue;
            }
            if (step.kind() instanceof Move) {
                moves.add(step);
                continue;
            }
            if (!moves.isEmpty()) {
                works.add(new LaneWork(lane, moves));
                moves.clear();
            }
            works.add(new LaneWork(lane, List.of(step)));
        }
        if (!moves.isEmpty()) {
            works.add(new LaneWork(lane, moves));
        }
        return works;
    }

    private record Done(String treatment, Settings settings, Optional<Plan.Picture> picture) {}

    Object key() {
        return steps.stream().map(s -> new Done(s.treatment(), settings(s), s.picture())).toList();
    }

    private Settings settings(StepPlan step) {
        return step.lanes().get(lane);
    }

    private boolean isMove() {
        return steps.getFirst().kind() instanceof Move;
    }

    /** Whether coverage goes along. */
    boolean spreads() {
        return isMove() || steps.getFirst().kind().description().is(Trait.SPREADS);
    }

    /** Whether each value is treated by itself. */
    boolean isPointwise() {
        return !isMove() && steps.getFirst().kind().description().is(Trait.POINTWISE);
    }

    /** What is left of the part of the lane that nothing from outside has reached. */
    ValidRegion covered(ValidRegion before, Size size) {
        return isMove()
                ? ValidRegionFinder.of(
                        before,
                        steps.stream()
                                .map(s -> new ValidRegionFinder.Moved((Move) s.kind(), settings(s)))
                                .toList(),
                        size)
                : steps.getFirst().kind().covered(before, settings(steps.getFirst()), size);
    }

    /** The lane with the work done; it may be left to its rows. */
    Rows on(Rows rows, Separation model, Site site, Supplies supplies) {
        if (isMove()) {
            return moved(rows, model, site, supplies);
        }
        StepPlan step = steps.getFirst();
        Settings settings = settings(step);
        Context context = context(step, model, site, supplies);
        float amount = (float) settings.amount();
        if (amount == 1) {
            return step.kind().apply(rows, settings, context);
        }
        Workers workers = site.workers();
        Plane plane = rows.toPlane(workers);
        Plane done = step.kind().apply(plane, settings, context).toPlane(workers);
        return Rows.of(Kernels.mix(plane, done, amount, workers));
    }

    /** The same of a plane. */
    Plane on(Plane plane, Separation model, Site site, Supplies supplies) {
        return on(Rows.of(plane), model, site, supplies).toPlane(site.workers());
    }

    /** The work on rows as they come, of a {@link RowTreatment}; empty if the lane stays as it is. */
    Optional<Supplier<RowTreatment.Work>> byRow(
            Size size, Separation model, Site site, Supplies supplies) {
        StepPlan step = steps.getFirst();
        return Optional.ofNullable(settings(step))
                .map(
                        s ->
                                ((RowTreatment) step.kind())
                                        .work(size, s, context(step, model, site, supplies)));
    }

    private Rows moved(Rows rows, Separation model, Site site, Supplies supplies) {
        List<Warp> warps = new ArrayList<>();
        Sampler sampler = Sampler.LINEAR;
        for (StepPlan step : steps) {
            Settings settings = settings(step);
            Context context = context(step, model, site, supplies);
            warps.add(((Move) step.kind()).warp(settings, rows.size(), context));
            sampler = settings.sampler().compareTo(sampler) > 0 ? settings.sampler() : sampler;
        }
        Sampler best = sampler;
        return Moved.translated(rows, warps, edgeFill(), best)
                .orElseGet(() -> Moved.of(rows.toPlane(site.workers()), warps, edgeFill(), best));
    }

    /** That of the last move; but what travels over copies of the picture goes on doing so. */
    private EdgeFill edgeFill() {
        boolean copies =
                steps.stream()
                        .anyMatch(
                                s ->
                                        settings(s).edgeFill() == EdgeFill.WRAP
                                                && s.kind().usualEdgeFill() == EdgeFill.WRAP);
        return copies ? EdgeFill.WRAP : settings(steps.getLast()).edgeFill();
    }

    private Context context(StepPlan step, Separation model, Site site, Supplies supplies) {
        LaneKind kind = model.lanes().get(lane);
        Optional<Plane> picture =
                step.picture().map(p -> channel(supplies.used(step), model, site.workers()));
        return new Context(site.scale(), kind, picture, site.workers());
    }

    /** What of another picture belongs to the lane: its channel, or luma where lanes are no channels. */
    private Plane channel(Frame picture, Separation model, Workers workers) {
        List<Plane> colour = picture.premultiplied(workers).colour();
        return model.isChannels() ? colour.get(lane) : Reaching.luma(colour, workers);
    }
}
