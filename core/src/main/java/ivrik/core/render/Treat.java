package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.filter.Continued;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.render.Lanes.Lane;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.separation.Paint;
import ivrik.core.separation.Separation;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.ValidRegion;

import java.util.List;

/**
 * All that is done to one lane. What spreads takes coverage along; anything else leaves it, and sees the
 * lane without it. All but the last of the work is kept, so that a change of the last does not do the
 * others again; the last is left to the rows until the same is asked for a second time.
 */
record Treat(LookPlan look, int number, List<LaneWork> works, Supplies supplies) implements Stage {
    static Treat of(LookPlan look, int lane, Supplies supplies) {
        return new Treat(look, lane, LaneWork.of(look.steps(), lane), supplies);
    }

    @Override
    public boolean isNeutral() {
        return works.isEmpty();
    }

    @Override
    public Object key() {
        return works.stream().map(LaneWork::key).toList();
    }

    @Override
    public ValidRegion covered(ValidRegion before, Size size) {
        ValidRegion covered = before;
        for (LaneWork work : works) {
            covered = work.covered(covered, size);
        }
        return covered;
    }

    @Override
    public void take(Passage passage) {
        Lanes lanes = passage.lanes();
        Lane lane = lanes.lanes().get(number);
        for (LaneWork work : works) {
            passage.site().cancel().check();
            boolean last = work == works.getLast();
            lane =
                    lane.coverage() == null
                            ? opaque(lanes.model(), lane, work, last, passage.site())
                            : covered(lanes.model(), lane, work, passage.site());
        }
        passage.setLanes(lanes.with(number, lane));
    }

    private Lane opaque(Separation model, Lane lane, LaneWork work, boolean last, Site site) {
        Key key = lane.key().then(work.key());
        boolean kept = !last || site.store().peek(key).isPresent() || site.recurs(key);
        if (!kept) {
            return new Lane(key, apply(model, lane.rows(), work, site).ready(site.workers()), null);
        }
        Plane plane =
                site.store()
                        .get(
                                key,
                                () -> apply(model, lane.rows(), work, site).toPlane(site.workers()),
                                site.cancel()::isCancelled);
        return new Lane(key, Rows.of(plane), null);
    }

    /** Angles are treated as directions, unless each is treated by itself. */
    private Rows apply(Separation model, Rows rows, LaneWork work, Site site) {
        boolean angles = model.lanes().get(number).paint() == Paint.ANGLE && !work.isPointwise();
        return angles
                ? Rows.of(
                        Angles.treated(
                                rows.toPlane(site.workers()),
                                p -> work.on(p, model, site, supplies),
                                site.workers()))
                : work.on(rows, model, site, supplies);
    }

    private Lane covered(Separation model, Lane lane, LaneWork work, Site site) {
        Key key = lane.key().then(work.key());
        List<Plane> done =
                site.store()
                        .get(
                                key,
                                () -> covered(model, lane, work, site, site.workers()),
                                site.cancel()::isCancelled);
        return new Lane(key, Rows.of(done.get(0)), done.get(1));
    }

    /** The lane multiplied by its coverage, and the coverage. */
    private List<Plane> covered(
            Separation model, Lane lane, LaneWork work, Site site, Workers workers) {
        Plane plane = lane.rows().toPlane(workers);
        Plane coverage = lane.coverage();
        if (work.spreads()) {
            return List.of(
                    apply(model, Rows.of(plane), work, site).toPlane(workers),
                    work.on(coverage, model, site, supplies));
        }
        Plane straight =
                work.isPointwise()
                        ? Kernels.divide(plane, coverage, workers)
                        : Continued.beyond(plane, coverage, workers);
        Plane done = apply(model, Rows.of(straight), work, site).toPlane(workers);
        return List.of(Kernels.multiply(done, coverage, workers), coverage);
    }
}
