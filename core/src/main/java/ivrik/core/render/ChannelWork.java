package ivrik.core.render;

import ivrik.core.filter.Warp;
import ivrik.core.filter.WarpedPlane;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.separation.ChannelKind;
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
 * One operation on one channel: a treatment, or several consecutive mappings composed into one and sampled
 * once, with the best of their filters and the edge fill of the last.
 */
record ChannelWork(int channel, List<StepPlan> steps) {
    ChannelWork {
        steps = List.copyOf(steps);
    }

    /** All operations on a channel, in order. */
    static List<ChannelWork> of(List<StepPlan> all, int channel) {
        List<ChannelWork> works = new ArrayList<>();
        List<StepPlan> moves = new ArrayList<>();
        for (StepPlan step : all) {
            if (step.channels().get(channel) == null) {
                continue;
            }
            if (step.kind() instanceof Move) {
                moves.add(step);
                continue;
            }
            if (!moves.isEmpty()) {
                works.add(new ChannelWork(channel, moves));
                moves.clear();
            }
            works.add(new ChannelWork(channel, List.of(step)));
        }
        if (!moves.isEmpty()) {
            works.add(new ChannelWork(channel, moves));
        }
        return works;
    }

    private record Done(String treatment, Settings settings, Optional<Plan.Picture> picture) {}

    Object key() {
        return steps.stream().map(s -> new Done(s.treatment(), settings(s), s.picture())).toList();
    }

    private Settings settings(StepPlan step) {
        return step.channels().get(channel);
    }

    private boolean isMove() {
        return steps.getFirst().kind() instanceof Move;
    }

    /** Whether the operation includes coverage. */
    boolean spreads() {
        return isMove() || steps.getFirst().kind().description().is(Trait.SPREADS);
    }

    /** Whether each value is treated on its own. */
    boolean isPointwise() {
        return !isMove() && steps.getFirst().kind().description().is(Trait.POINTWISE);
    }

    /** The part of the channel that depends on nothing outside the picture. */
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

    /** The channel after the operation, possibly computed row by row on request. */
    Rows on(Rows rows, Separation model, RenderContext renderContext, AuxiliaryPictures auxiliary) {
        if (isMove()) {
            return moved(rows, model, renderContext, auxiliary);
        }
        StepPlan step = steps.getFirst();
        Settings settings = settings(step);
        Context context = context(step, model, renderContext, auxiliary);
        float amount = (float) settings.amount();
        if (amount == 1) {
            return step.kind().apply(rows, settings, context);
        }
        Workers workers = renderContext.workers();
        Plane plane = rows.toPlane(workers);
        Plane done = step.kind().apply(plane, settings, context).toPlane(workers);
        return Rows.of(PlaneArithmetic.mix(plane, done, amount, workers));
    }

    /** The same for a plane. */
    Plane on(
            Plane plane,
            Separation model,
            RenderContext renderContext,
            AuxiliaryPictures auxiliary) {
        return on(Rows.of(plane), model, renderContext, auxiliary).toPlane(renderContext.workers());
    }

    /** The operation row by row, for a {@link RowTreatment}; empty if the channel is unchanged. */
    Optional<Supplier<RowTreatment.Work>> byRow(
            Size size, Separation model, RenderContext renderContext, AuxiliaryPictures auxiliary) {
        StepPlan step = steps.getFirst();
        return Optional.ofNullable(settings(step))
                .map(
                        s ->
                                ((RowTreatment) step.kind())
                                        .work(
                                                size,
                                                s,
                                                context(step, model, renderContext, auxiliary)));
    }

    private Rows moved(
            Rows rows, Separation model, RenderContext renderContext, AuxiliaryPictures auxiliary) {
        List<Warp> warps = new ArrayList<>();
        Sampler sampler = Sampler.LINEAR;
        for (StepPlan step : steps) {
            Settings settings = settings(step);
            Context context = context(step, model, renderContext, auxiliary);
            warps.add(((Move) step.kind()).warp(settings, rows.size(), context));
            sampler = settings.sampler().compareTo(sampler) > 0 ? settings.sampler() : sampler;
        }
        Sampler best = sampler;
        return WarpedPlane.translated(rows, warps, edgeFill(), best)
                .orElseGet(
                        () ->
                                WarpedPlane.of(
                                        rows.toPlane(renderContext.workers()),
                                        warps,
                                        edgeFill(),
                                        best));
    }

    /** The edge fill of the last mapping; a tiled scroll keeps its own. */
    private EdgeFill edgeFill() {
        boolean copies =
                steps.stream()
                        .anyMatch(
                                s ->
                                        settings(s).edgeFill() == EdgeFill.WRAP
                                                && s.kind().usualEdgeFill() == EdgeFill.WRAP);
        return copies ? EdgeFill.WRAP : settings(steps.getLast()).edgeFill();
    }

    private Context context(
            StepPlan step,
            Separation model,
            RenderContext renderContext,
            AuxiliaryPictures auxiliary) {
        ChannelKind kind = model.channels().get(channel);
        Optional<Plane> picture =
                step.picture()
                        .map(p -> channel(auxiliary.used(step), model, renderContext.workers()));
        return new Context(renderContext.scale(), kind, picture, renderContext.workers());
    }

    /**
     * The channel of another picture that corresponds, or its luma in a model without colour channels.
     */
    private Plane channel(Frame picture, Separation model, Workers workers) {
        List<Plane> colour = picture.premultiplied(workers).colour();
        return model.isChannels() ? colour.get(channel) : MaskWeights.luma(colour, workers);
    }
}
