package ivrik.core.render;

import ivrik.core.cache.CacheKey;
import ivrik.core.look.SlitScan;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.picture.Planes;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.render.Channels.SeparatedChannel;
import ivrik.core.render.Plan.ChannelSourcePlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.PlacementPlan;
import ivrik.core.render.Plan.Seen;
import ivrik.core.render.Plan.Slice;
import ivrik.core.render.Plan.SlitPlan;
import ivrik.core.render.Plan.TrailPlan;
import ivrik.core.separation.Separation;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.ValidRegion;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Separates colour into channels, each from the picture or from its channel source.
 *
 * @param wanted channels that are treated; the others are not computed if rejoining does not need them
 */
record SeparateStage(LookPlan look, AuxiliaryPictures auxiliary, List<Boolean> wanted)
        implements Stage {
    @Override
    public boolean isNeutral() {
        return false; // a separated picture is a different representation
    }

    @Override
    public Object key() {
        return look.separation();
    }

    @Override
    public ValidRegion covered(ValidRegion before, Size size) {
        return before;
    }

    @Override
    public void take(PictureState state) {
        state.settle();
        List<PictureState> origins = new ArrayList<>();
        for (int channel = 0; channel < look.channelSources().size(); channel++) {
            ChannelSourcePlan channelSource = look.channelSources().get(channel);
            origins.add(channelSource == null ? state : fed(channelSource, channel, state));
        }
        Separation model = look.model();
        boolean opaque = origins.stream().allMatch(PictureState::isOpaque);
        List<SeparatedChannel> channels =
                opaque
                        ? opaque(state.renderContext(), origins)
                        : covered(state.renderContext(), origins);
        state.setChannels(new Channels(model, state.rows(), channels));
    }

    /** The picture that a channel source provides. */
    private PictureState fed(ChannelSourcePlan channelSource, int channel, PictureState state) {
        RenderContext renderContext = state.renderContext();
        record Fed(ChannelSourcePlan channelSource, Size size) {}
        CacheKey key = CacheKey.of(new Fed(channelSource, state.size()));
        if (channelSource.trail().isPresent()) {
            Frame made =
                    renderContext
                            .cache()
                            .get(
                                    key,
                                    () -> trailing(channelSource, renderContext),
                                    renderContext.cancel()::isCancelled);
            return new PictureState(made, key, renderContext);
        }
        if (channelSource.slit().isEmpty()) {
            return new PictureState(
                    auxiliary.placed(channelSource.picture(), channelSource.placement()),
                    key,
                    renderContext);
        }
        SlitPlan slit = channelSource.slit().get();
        CacheKey all = slit.by() == SlitScan.By.CHANNEL ? key.then(state.key()).then(channel) : key;
        Frame made =
                renderContext
                        .cache()
                        .get(
                                all,
                                () ->
                                        new SlitScanPicture(
                                                        slit,
                                                        where(slit, channel, state),
                                                        renderContext.workers())
                                                .of(
                                                        s ->
                                                                slice(
                                                                        s,
                                                                        channelSource.placement(),
                                                                        renderContext)),
                                renderContext.cancel()::isCancelled);
        return new PictureState(made, all, renderContext);
    }

    /** The maximum of the present picture and the trail of earlier frames. */
    private Frame trailing(ChannelSourcePlan channelSource, RenderContext renderContext) {
        Workers workers = renderContext.workers();
        TrailPlan trail = channelSource.trail().orElseThrow();
        Frame sum = auxiliary.placed(channelSource.picture(), channelSource.placement());
        boolean opaque = sum.isOpaque();
        sum = sum.premultiplied(workers);
        float left = 1;
        for (Optional<Seen> before : trail.before()) {
            renderContext.cancel().check();
            left *= (float) trail.keep();
            float by = left;
            Frame then = auxiliary.placed(before, channelSource.placement()).premultiplied(workers);
            List<Plane> colour = lighter(sum.colour(), then.colour(), by, workers);
            sum =
                    opaque
                            ? new Frame(colour, Alpha.OPAQUE, List.of())
                            : new Frame(
                                    colour,
                                    Alpha.PREMULTIPLIED,
                                    lighter(
                                            sum.coverage(),
                                            then.covered(workers).coverage(),
                                            by,
                                            workers));
        }
        return sum;
    }

    private static List<Plane> lighter(
            List<Plane> now, List<Plane> then, float by, Workers workers) {
        return Planes.zip(
                now,
                then,
                (a, b) ->
                        PlaneArithmetic.maximum(a, PlaneArithmetic.scale(b, by, workers), workers));
    }

    private Frame slice(Slice slice, PlacementPlan place, RenderContext renderContext) {
        renderContext.cancel().check();
        return auxiliary.placed(slice.picture(), place);
    }

    /** Position of each pixel between the near end and the far end of a slit. */
    private Plane where(SlitPlan slit, int channel, PictureState state) {
        Workers workers = state.renderContext().workers();
        Frame picture = state.frame();
        return switch (slit.by()) {
            case DIRECTION ->
                    SlitScanPicture.along(
                            slit.angleDegrees(), picture.width(), picture.height(), workers);
            case PICTURE ->
                    MaskWeights.luma(
                            auxiliary
                                    .placed(slit.gradient(), PlacementPlan.FITTED)
                                    .premultiplied(workers)
                                    .colour(),
                            workers);
            case CHANNEL ->
                    look.model().separate(picture.straight(workers).colour(), workers).get(channel);
        };
    }

    private CacheKey key(PictureState origin, int channel) {
        return origin.key().then(look.separation()).then(channel);
    }

    private List<SeparatedChannel> opaque(RenderContext renderContext, List<PictureState> origins) {
        Map<CacheKey, List<Rows>> separated = new HashMap<>();
        List<SeparatedChannel> channels = new ArrayList<>();
        for (int i = 0; i < origins.size(); i++) {
            PictureState origin = origins.get(i);
            List<Rows> rows =
                    separated.computeIfAbsent(
                            origin.key(), k -> separate(renderContext, origins, origin));
            channels.add(
                    new SeparatedChannel(key(origin, i), wanted.get(i) ? rows.get(i) : null, null));
        }
        return channels;
    }

    /** The channels that share one origin; unwanted ones may be null. */
    private List<Rows> separate(
            RenderContext renderContext, List<PictureState> origins, PictureState from) {
        if (from.rows().channels().isEmpty()) {
            from.frame(); // the rows are requested more than once
        }
        return look.model().isChannels()
                ? from.rows().channels().orElseThrow()
                : rows(planes(renderContext, origins, from));
    }

    private static List<Rows> rows(List<Plane> planes) {
        return planes.stream().map(plane -> plane == null ? null : Rows.of(plane)).toList();
    }

    private List<Plane> planes(
            RenderContext renderContext, List<PictureState> origins, PictureState from) {
        Separation model = look.model();
        boolean[] needed = new boolean[origins.size()];
        boolean any = false;
        for (int i = 0; i < needed.length; i++) {
            needed[i] = wanted.get(i) && origins.get(i).key().equals(from.key());
            any |= needed[i];
        }
        if (!any) {
            return java.util.Collections.nCopies(needed.length, null);
        }
        record Which(String separation, List<Boolean> channels) {}
        Which which =
                new Which(
                        look.separation(),
                        IntStream.range(0, needed.length).mapToObj(i -> needed[i]).toList());
        return renderContext
                .cache()
                .get(
                        from.key().then(which),
                        () ->
                                Pixels.map(
                                        from.rows(),
                                        needed,
                                        renderContext.workers(),
                                        model::separate),
                        renderContext.cancel()::isCancelled);
    }

    private List<SeparatedChannel> covered(
            RenderContext renderContext, List<PictureState> origins) {
        Map<CacheKey, Parted> separated = new HashMap<>();
        List<SeparatedChannel> channels = new ArrayList<>();
        for (int i = 0; i < origins.size(); i++) {
            PictureState origin = origins.get(i);
            Parted parted =
                    separated.computeIfAbsent(
                            origin.key(), k -> parted(origin.frame(), renderContext.workers()));
            Plane plane = parted.planes.get(i);
            channels.add(
                    new SeparatedChannel(key(origin, i), Rows.of(plane), parted.coverage.get(i)));
        }
        return channels;
    }

    /** Premultiplied channels. */
    private record Parted(List<Plane> planes, List<Plane> coverage) {}

    private Parted parted(Frame source, Workers workers) {
        Separation model = look.model();
        int count = model.channels().size();
        if (source.isOpaque()) {
            Plane full = Plane.flat(source.width(), source.height(), 1);
            return new Parted(
                    model.separate(source.colour(), workers),
                    java.util.Collections.nCopies(count, full));
        }
        if (model.isChannels()) {
            return new Parted(source.premultiplied(workers).colour(), source.coverage());
        }
        Frame united = source.united(workers);
        List<Plane> coverage = java.util.Collections.nCopies(count, united.coverage().getFirst());
        return new Parted(
                Planes.zip(
                        model.separate(united.straight(workers).colour(), workers),
                        coverage,
                        (p, a) -> PlaneArithmetic.multiply(p, a, workers)),
                coverage);
    }
}
