package ivrik.core.render;

import ivrik.core.cache.CacheKey;
import ivrik.core.filter.PullPushFill;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.render.Channels.SeparatedChannel;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.separation.Paint;
import ivrik.core.separation.Separation;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.ValidRegion;

import java.util.List;

/**
 * All treatments of one channel. Spreading treatments include coverage; others leave coverage unchanged and
 * work on straight values. Every result but the last is cached, so that a change to the last treatment does
 * not repeat the others; the last result is computed row by row until the same one is requested a second
 * time.
 */
record ChannelStage(LookPlan look, int number, List<ChannelWork> works, AuxiliaryPictures auxiliary)
        implements Stage {
    static ChannelStage of(LookPlan look, int channel, AuxiliaryPictures auxiliary) {
        return new ChannelStage(look, channel, ChannelWork.of(look.steps(), channel), auxiliary);
    }

    @Override
    public boolean isNeutral() {
        return works.isEmpty();
    }

    @Override
    public Object key() {
        return works.stream().map(ChannelWork::key).toList();
    }

    @Override
    public ValidRegion covered(ValidRegion before, Size size) {
        ValidRegion covered = before;
        for (ChannelWork work : works) {
            covered = work.covered(covered, size);
        }
        return covered;
    }

    @Override
    public void take(PictureState state) {
        Channels channels = state.channels();
        SeparatedChannel channel = channels.channels().get(number);
        for (ChannelWork work : works) {
            state.renderContext().cancel().check();
            boolean last = work == works.getLast();
            channel =
                    channel.coverage() == null
                            ? opaque(channels.model(), channel, work, last, state.renderContext())
                            : covered(channels.model(), channel, work, state.renderContext());
        }
        state.setChannels(channels.with(number, channel));
    }

    private SeparatedChannel opaque(
            Separation model,
            SeparatedChannel channel,
            ChannelWork work,
            boolean last,
            RenderContext renderContext) {
        CacheKey key = channel.key().then(work.key());
        boolean kept =
                !last || renderContext.cache().peek(key).isPresent() || renderContext.recurs(key);
        if (!kept) {
            return new SeparatedChannel(
                    key,
                    apply(model, channel.rows(), work, renderContext)
                            .ready(renderContext.workers()),
                    null);
        }
        Plane plane =
                renderContext
                        .cache()
                        .get(
                                key,
                                () ->
                                        apply(model, channel.rows(), work, renderContext)
                                                .toPlane(renderContext.workers()),
                                renderContext.cancel()::isCancelled);
        return new SeparatedChannel(key, Rows.of(plane), null);
    }

    /** Treats angles as directions, unless the treatment is pointwise. */
    private Rows apply(Separation model, Rows rows, ChannelWork work, RenderContext renderContext) {
        boolean angles = model.channels().get(number).paint() == Paint.ANGLE && !work.isPointwise();
        return angles
                ? Rows.of(
                        Angles.treated(
                                rows.toPlane(renderContext.workers()),
                                p -> work.on(p, model, renderContext, auxiliary),
                                renderContext.workers()))
                : work.on(rows, model, renderContext, auxiliary);
    }

    private SeparatedChannel covered(
            Separation model,
            SeparatedChannel channel,
            ChannelWork work,
            RenderContext renderContext) {
        CacheKey key = channel.key().then(work.key());
        List<Plane> done =
                renderContext
                        .cache()
                        .get(
                                key,
                                () ->
                                        covered(
                                                model,
                                                channel,
                                                work,
                                                renderContext,
                                                renderContext.workers()),
                                renderContext.cancel()::isCancelled);
        return new SeparatedChannel(key, Rows.of(done.get(0)), done.get(1));
    }

    /** The premultiplied channel and its coverage, treated. */
    private List<Plane> covered(
            Separation model,
            SeparatedChannel channel,
            ChannelWork work,
            RenderContext renderContext,
            Workers workers) {
        Plane plane = channel.rows().toPlane(workers);
        Plane coverage = channel.coverage();
        if (work.spreads()) {
            return List.of(
                    apply(model, Rows.of(plane), work, renderContext).toPlane(workers),
                    work.on(coverage, model, renderContext, auxiliary));
        }
        Plane straight =
                work.isPointwise()
                        ? PlaneArithmetic.divide(plane, coverage, workers)
                        : PullPushFill.beyond(plane, coverage, workers);
        Plane done = apply(model, Rows.of(straight), work, renderContext).toPlane(workers);
        return List.of(PlaneArithmetic.multiply(done, coverage, workers), coverage);
    }
}
