package ivrik.core.render;

import ivrik.core.filter.Moved;
import ivrik.core.filter.Warp;
import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Sampler;
import ivrik.core.picture.Workers;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Paint;
import ivrik.core.treatment.Context;
import ivrik.core.treatment.Move;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Trait;
import ivrik.core.treatment.Treatment;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * All that is done to one lane. Moves that follow each other are one mapping, sampled once, with the
 * best of their samplers and the edge fill of the last. What spreads takes coverage along; anything
 * else leaves it, and sees the lane without it.
 */
final class LaneTreater {
    private final LookPlan look;
    private final int number;
    private final LaneKind kind;
    private final List<Frame> pictures;
    private final double scale;
    private final Workers workers;
    private final Cancel cancel;

    /**
     * @param pictures what the look's steps use, or null, by their order in the plan
     */
    LaneTreater(
            LookPlan look,
            int number,
            List<Frame> pictures,
            double scale,
            Workers workers,
            Cancel cancel) {
        this.look = look;
        this.number = number;
        this.kind = look.model().lanes().get(number);
        this.pictures = pictures;
        this.scale = scale;
        this.workers = workers;
        this.cancel = cancel;
    }

    /** One piece of work on a plane. */
    private record Stage(boolean spreads, boolean pointwise, Work work) {
        interface Work {
            Rows on(Plane lane);
        }
    }

    /** Whether anything is done to a lane. */
    static boolean isTreated(LookPlan look, int lane) {
        return look.steps().stream().anyMatch(s -> s.lanes().get(lane) != null);
    }

    /** An opaque lane; the last of the work is still to be done, row by row. */
    Rows treated(Plane lane) {
        Rows rows = Rows.of(lane);
        for (Stage stage : stages(lane)) {
            cancel.check();
            rows = apply(stage, rows.toPlane(workers));
        }
        return rows.ready(workers);
    }

    /** A lane multiplied by its coverage, and the coverage. */
    record Covered(Plane lane, Plane coverage) {}

    Covered treated(Covered covered) {
        Plane lane = covered.lane;
        Plane coverage = covered.coverage;
        for (Stage stage : stages(lane)) {
            cancel.check();
            if (stage.spreads) {
                lane = apply(stage, lane).toPlane(workers);
                coverage = stage.work.on(coverage).toPlane(workers);
            } else {
                Plane straight = Kernels.divide(lane, coverage, workers);
                Plane done = apply(stage, straight).toPlane(workers);
                lane = Kernels.multiply(done, coverage, workers);
            }
        }
        return new Covered(lane, coverage);
    }

    /** Angles are treated as directions, unless each is treated by itself. */
    private Rows apply(Stage stage, Plane lane) {
        return kind.paint() == Paint.ANGLE && !stage.pointwise
                ? Rows.of(Angles.treated(lane, p -> stage.work.on(p).toPlane(workers), workers))
                : stage.work.on(lane);
    }

    private List<Stage> stages(Plane lane) {
        List<Stage> stages = new ArrayList<>();
        List<Warp> warps = new ArrayList<>();
        EdgeFill fill = EdgeFill.REPEAT;
        Sampler sampler = Sampler.QUICK;
        for (int i = 0; i < look.steps().size(); i++) {
            StepPlan step = look.steps().get(i);
            Settings settings = step.lanes().get(number);
            if (settings == null) {
                continue;
            }
            Treatment treatment = step.kind();
            Context context = context(i);
            if (treatment instanceof Move move) {
                warps.add(move.warp(settings, lane.size(), context));
                fill = settings.edgeFill();
                sampler = settings.sampler().compareTo(sampler) > 0 ? settings.sampler() : sampler;
                continue;
            }
            addMoves(stages, warps, fill, sampler);
            sampler = Sampler.QUICK;
            boolean pointwise = treatment.description().is(Trait.POINTWISE);
            stages.add(
                    new Stage(
                            treatment.description().is(Trait.SPREADS),
                            pointwise,
                            plane -> mixed(treatment, plane, settings, context)));
        }
        addMoves(stages, warps, fill, sampler);
        return stages;
    }

    private static void addMoves(
            List<Stage> stages, List<Warp> warps, EdgeFill fill, Sampler sampler) {
        if (!warps.isEmpty()) {
            List<Warp> chain = List.copyOf(warps);
            stages.add(new Stage(true, false, plane -> Moved.of(plane, chain, fill, sampler)));
            warps.clear();
        }
    }

    private Rows mixed(Treatment treatment, Plane lane, Settings settings, Context context) {
        Rows done = treatment.apply(lane, settings, context);
        float amount = (float) settings.amount();
        return amount == 1
                ? done
                : Rows.of(Kernels.mix(lane, done.toPlane(workers), amount, workers));
    }

    private Context context(int step) {
        Optional<Plane> picture =
                Optional.ofNullable(pictures.get(step))
                        .map(f -> f.premultiplied(workers))
                        .map(
                                f ->
                                        look.model().isChannels()
                                                ? f.colour().get(number)
                                                : Reaching.luma(f.colour(), workers));
        return new Context(scale, kind, picture, workers);
    }
}
