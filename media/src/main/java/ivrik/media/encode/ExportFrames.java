package ivrik.media.encode;

import ivrik.core.colour.ColourSpace;
import ivrik.core.colour.Conversion;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.render.Dither;
import ivrik.core.render.Plan;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;

/**
 * The frames of an order as they leave: in colours that its form can write down, dithered if it says so.
 *
 * @param depth of the samples that are written, where the form has a choice
 */
record ExportFrames(
        Export.Order order,
        Planner planner,
        Renderer renderer,
        Depth depth,
        Workers workers,
        Cancel cancel) {
    ExportFrames(
            Export.Order order, Renderer renderer, Depth depth, Workers workers, Cancel cancel) {
        this(order, new Planner(order.project()), renderer, depth, workers, cancel);
    }

    /**
     * @throws ivrik.core.threads.CancelledException if it is no longer wanted
     */
    Frame frame(long n) {
        cancel.check();
        Plan plan = planner.plan(n);
        Frame frame = carried(renderer.render(plan, order.scale(), cancel));
        boolean changed = !plan.layers().stream().allMatch(Plan.LayerPlan::isNeutral);
        return order.dither() && depth == Depth.INT8 && changed
                ? Dither.of(frame, depth, n, workers)
                : frame;
    }

    private Frame carried(Frame frame) {
        ColourSpace space = order.project().sequence().colour();
        return order.form().carries(space)
                ? frame
                : Conversion.of(space.primaries(), space.transfer(), ColourSpace.SRGB)
                        .apply(frame, workers);
    }

    /** What the numbers mean that are written. */
    ColourSpace colour() {
        return colour(order);
    }

    static ColourSpace colour(Export.Order order) {
        ColourSpace space = order.project().sequence().colour();
        return order.form().carries(space) ? space : ColourSpace.SRGB;
    }
}
