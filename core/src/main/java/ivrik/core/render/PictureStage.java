package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.colour.Transfer;
import ivrik.core.filter.Continued;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
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
 * A treatment of the whole picture, before separation or after rejoining. As with lanes, what spreads
 * takes coverage along. What shines sees the picture on black, and whatever lies beneath shines through what is
 * added. Anything else leaves coverage, and sees the colour without it. Where channels are covered differently,
 * what mixes them sees all of them covered by the union.
 */
record PictureStage(PictureStepPlan step, Transfer transfer, Supplies supplies) implements Stage {
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
    public void take(Passage passage) {
        Key key = passage.key().then(key());
        Site site = passage.site();
        if (passage.isOpaque()) {
            if (step.settings().amount() != 1) {
                passage.frame(); // its rows are asked for twice
            }
            passage.settle();
            passage.set(treated(passage.rows(), site), key);
            return;
        }
        Optional<Parting> parting = passage.parting();
        Frame before = passage.frame();
        passage.set(
                site.store().get(key, () -> covered(before, site), site.cancel()::isCancelled),
                key);
        if (!is(Trait.SPREADS) && !is(Trait.SHINES)) {
            passage.setParting(parting);
        }
    }

    private boolean is(Trait trait) {
        return kind().description().is(trait);
    }

    private ColourRows treated(ColourRows rows, Site site) {
        ColourRows done =
                kind().apply(
                                rows,
                                step.settings(),
                                new PictureContext(
                                        site.scale(),
                                        transfer,
                                        used(),
                                        step.table(),
                                        site.workers()));
        float amount = (float) step.settings().amount();
        return amount == 1 ? done : ColourRows.mixed(rows, done, amount);
    }

    private Optional<Frame> used() {
        return step.picture().isPresent() && kind().needsPicture(step.settings())
                ? Optional.of(supplies.used(step.byChannel()))
                : Optional.empty();
    }

    private Frame covered(Frame source, Site site) {
        Workers workers = site.workers();
        Frame picture =
                (is(Trait.BY_CHANNEL) ? source : source.united(workers)).premultiplied(workers);
        if (is(Trait.SHINES)) {
            return shining(picture, planes(picture.colour(), site), workers);
        }
        Plane coverage = picture.coverage().getFirst();
        if (is(Trait.SPREADS)) {
            List<Plane> colour = planes(picture.colour(), site);
            Plane spread = planes(List.of(coverage, coverage, coverage), site).getFirst();
            return new Frame(colour, Alpha.PREMULTIPLIED, List.of(spread, spread, spread));
        }
        boolean pointwise = is(Trait.POINTWISE);
        List<Plane> straight =
                Planes.zip(
                        picture.colour(),
                        picture.coverage(),
                        (p, a) ->
                                pointwise
                                        ? Kernels.divide(p, a, workers)
                                        : Continued.beyond(p, a, workers));
        return new Frame(
                Planes.zip(
                        planes(straight, site),
                        picture.coverage(),
                        (p, a) -> Kernels.multiply(p, a, workers)),
                Alpha.PREMULTIPLIED,
                picture.coverage());
    }

    /** Light that was added is laid over what is beneath as a screen is: 1 - (1 - light) (1 - beneath). */
    private static Frame shining(Frame before, List<Plane> lit, Workers workers) {
        List<Plane> added =
                Planes.zip(lit, before.colour(), (l, b) -> Kernels.excess(l, b, workers));
        return new Frame(
                lit,
                Alpha.PREMULTIPLIED,
                Planes.zip(
                        before.coverage(),
                        added,
                        (a, light) -> Kernels.over(light, light, a, workers)));
    }

    private List<Plane> planes(List<Plane> in, Site site) {
        return treated(ColourRows.ofPlanes(in), site).toPlanes(site.workers());
    }
}
