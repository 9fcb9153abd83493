package ivrik.core.render;

import ivrik.core.cache.CacheKey;
import ivrik.core.colour.Transfer;
import ivrik.core.filter.PullPushFill;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.picture.Planes;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan.PictureStepPlan;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.PictureContext;
import ivrik.core.treatment.PictureTreatment;
import ivrik.core.treatment.Trait;
import ivrik.core.treatment.ValidRegion;

import java.util.List;
import java.util.Optional;

/**
 * A whole-picture treatment, before separation or after rejoin. Spreading treatments include coverage.
 * Light-adding treatments see the picture over black and add light over what is below. Other treatments leave
 * coverage unchanged and work on straight colour. If channels have separate coverage, a treatment that mixes
 * channels uses the union.
 */
record PictureStage(PictureStepPlan step, Transfer transfer, AuxiliaryPictures auxiliary)
        implements Stage {
    private PictureTreatment kind() {
        return (PictureTreatment) step.kind();
    }

    @Override
    public boolean isNeutral() {
        return kind().isNeutral(step.settings());
    }

    @Override
    public Object key() {
        return List.of(step, transfer);
    }

    @Override
    public ValidRegion covered(ValidRegion before, Size size) {
        return kind().covered(before, step.settings(), size);
    }

    @Override
    public void take(PictureState state) {
        CacheKey key = state.key().then(key());
        RenderContext renderContext = state.renderContext();
        if (state.isOpaque()) {
            if (step.settings().amount() != 1) {
                state.frame(); // the rows would be computed twice
            }
            state.settle();
            state.set(treated(state.rows(), renderContext), key);
            return;
        }
        Optional<ChannelCoverage> coverage = state.channelCoverage();
        Frame before = state.frame();
        state.set(
                renderContext
                        .cache()
                        .get(
                                key,
                                () -> covered(before, renderContext),
                                renderContext.cancel()::isCancelled),
                key);
        if (!is(Trait.SPREADS) && !is(Trait.SHINES)) {
            state.setChannelCoverage(coverage);
        }
    }

    private boolean is(Trait trait) {
        return kind().description().is(trait);
    }

    private ColourRows treated(ColourRows rows, RenderContext renderContext) {
        ColourRows done =
                kind().apply(
                                rows,
                                step.settings(),
                                new PictureContext(
                                        renderContext.scale(),
                                        transfer,
                                        used(),
                                        step.table(),
                                        renderContext.workers()));
        float amount = (float) step.settings().amount();
        return amount == 1 ? done : ColourRows.mixed(rows, done, amount);
    }

    private Optional<Frame> used() {
        return step.picture().isPresent() && kind().needsPicture(step.settings())
                ? Optional.of(auxiliary.used(step.byChannel()))
                : Optional.empty();
    }

    private Frame covered(Frame source, RenderContext renderContext) {
        Workers workers = renderContext.workers();
        Frame picture =
                (is(Trait.BY_CHANNEL) ? source : source.united(workers)).premultiplied(workers);
        if (is(Trait.SHINES)) {
            return shining(picture, planes(picture.colour(), renderContext), workers);
        }
        Plane coverage = picture.coverage().getFirst();
        if (is(Trait.SPREADS)) {
            List<Plane> colour = planes(picture.colour(), renderContext);
            Plane spread = planes(List.of(coverage, coverage, coverage), renderContext).getFirst();
            return new Frame(colour, Alpha.PREMULTIPLIED, List.of(spread, spread, spread));
        }
        boolean pointwise = is(Trait.POINTWISE);
        List<Plane> straight =
                Planes.zip(
                        picture.colour(),
                        picture.coverage(),
                        (p, a) ->
                                pointwise
                                        ? PlaneArithmetic.divide(p, a, workers)
                                        : PullPushFill.beyond(p, a, workers));
        return new Frame(
                Planes.zip(
                        planes(straight, renderContext),
                        picture.coverage(),
                        (p, a) -> PlaneArithmetic.multiply(p, a, workers)),
                Alpha.PREMULTIPLIED,
                picture.coverage());
    }

    /** Adds light as a screen blend: 1 - (1 - light) (1 - below). */
    private static Frame shining(Frame before, List<Plane> lit, Workers workers) {
        List<Plane> added =
                Planes.zip(lit, before.colour(), (l, b) -> PlaneArithmetic.excess(l, b, workers));
        return new Frame(
                lit,
                Alpha.PREMULTIPLIED,
                Planes.zip(
                        before.coverage(),
                        added,
                        (a, light) -> PlaneArithmetic.over(light, light, a, workers)));
    }

    private List<Plane> planes(List<Plane> in, RenderContext renderContext) {
        return treated(ColourRows.ofPlanes(in), renderContext).toPlanes(renderContext.workers());
    }
}
