package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.look.Slit;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Planes;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.render.Lanes.Lane;
import ivrik.core.render.Plan.FeedPlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.PlacePlan;
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
 * Colour taken apart into lanes, each from the picture or from what is fed to it.
 *
 * @param wanted the lanes that something is done to; where the others need only be rejoined as they are,
 *     they are not made at all
 */
record Separate(LookPlan look, Supplies supplies, List<Boolean> wanted) implements Stage {
    @Override
    public boolean isNeutral() {
        return false; // a picture that is separated is another thing
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
    public void take(Passage passage) {
        passage.settle();
        List<Passage> origins = new ArrayList<>();
        for (int lane = 0; lane < look.feeds().size(); lane++) {
            FeedPlan feed = look.feeds().get(lane);
            origins.add(feed == null ? passage : fed(feed, lane, passage));
        }
        Separation model = look.model();
        boolean opaque = origins.stream().allMatch(Passage::isOpaque);
        List<Lane> lanes =
                opaque ? opaque(passage.site(), origins) : covered(passage.site(), origins);
        passage.setLanes(new Lanes(model, passage.rows(), lanes));
    }

    /** What is fed to a lane. */
    private Passage fed(FeedPlan feed, int lane, Passage passage) {
        Site site = passage.site();
        record Fed(FeedPlan feed, Size size) {}
        Key key = Key.of(new Fed(feed, passage.size()));
        if (feed.trail().isPresent()) {
            Frame made =
                    site.store().get(key, () -> lingering(feed, site), site.cancel()::isCancelled);
            return new Passage(made, key, site);
        }
        if (feed.slit().isEmpty()) {
            return new Passage(supplies.placed(feed.picture(), feed.place()), key, site);
        }
        SlitPlan slit = feed.slit().get();
        Key all = slit.by() == Slit.By.LANE ? key.then(passage.key()).then(lane) : key;
        Frame made =
                site.store()
                        .get(
                                all,
                                () ->
                                        new SlitTime(
                                                        slit,
                                                        where(slit, lane, passage),
                                                        site.workers())
                                                .of(s -> slice(s, feed.place(), site)),
                                site.cancel()::isCancelled);
        return new Passage(made, all, site);
    }

    /** The lightest of now and what earlier frames have left. */
    private Frame lingering(FeedPlan feed, Site site) {
        Workers workers = site.workers();
        TrailPlan trail = feed.trail().orElseThrow();
        Frame sum = supplies.placed(feed.picture(), feed.place());
        boolean opaque = sum.isOpaque();
        sum = sum.premultiplied(workers);
        float left = 1;
        for (Optional<Seen> before : trail.before()) {
            site.cancel().check();
            left *= (float) trail.keep();
            float by = left;
            Frame then = supplies.placed(before, feed.place()).premultiplied(workers);
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
                now, then, (a, b) -> Kernels.maximum(a, Kernels.scale(b, by, workers), workers));
    }

    private Frame slice(Slice slice, PlacePlan place, Site site) {
        site.cancel().check();
        return supplies.placed(slice.picture(), place);
    }

    /** Where each pixel lies between the near end and the far end of a slit. */
    private Plane where(SlitPlan slit, int lane, Passage passage) {
        Workers workers = passage.site().workers();
        Frame picture = passage.frame();
        return switch (slit.by()) {
            case DIRECTION ->
                    SlitTime.along(slit.angleDegrees(), picture.width(), picture.height(), workers);
            case PICTURE ->
                    Reaching.luma(
                            supplies.placed(slit.gradient(), PlacePlan.FITTED)
                                    .premultiplied(workers)
                                    .colour(),
                            workers);
            case LANE ->
                    look.model().separate(picture.straight(workers).colour(), workers).get(lane);
        };
    }

    private Key key(Passage origin, int lane) {
        return origin.key().then(look.separation()).then(lane);
    }

    private List<Lane> opaque(Site site, List<Passage> origins) {
        Map<Key, List<Rows>> separated = new HashMap<>();
        List<Lane> lanes = new ArrayList<>();
        for (int i = 0; i < origins.size(); i++) {
            Passage origin = origins.get(i);
            List<Rows> rows =
                    separated.computeIfAbsent(origin.key(), k -> separate(site, origins, origin));
            lanes.add(new Lane(key(origin, i), wanted.get(i) ? rows.get(i) : null, null));
        }
        return lanes;
    }

    /** The lanes that come from one origin; of those that are not wanted there may be nothing. */
    private List<Rows> separate(Site site, List<Passage> origins, Passage from) {
        if (from.rows().channels().isEmpty()) {
            from.frame(); // they are asked for more than once
        }
        return look.model().isChannels()
                ? from.rows().channels().orElseThrow()
                : rows(planes(site, origins, from));
    }

    private static List<Rows> rows(List<Plane> planes) {
        return planes.stream().map(plane -> plane == null ? null : Rows.of(plane)).toList();
    }

    private List<Plane> planes(Site site, List<Passage> origins, Passage from) {
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
        record Which(String separation, List<Boolean> lanes) {}
        Which which =
                new Which(
                        look.separation(),
                        IntStream.range(0, needed.length).mapToObj(i -> needed[i]).toList());
        return site.store()
                .get(
                        from.key().then(which),
                        () -> Pixels.map(from.rows(), needed, site.workers(), model::separate),
                        site.cancel()::isCancelled);
    }

    private List<Lane> covered(Site site, List<Passage> origins) {
        Map<Key, Parted> separated = new HashMap<>();
        List<Lane> lanes = new ArrayList<>();
        for (int i = 0; i < origins.size(); i++) {
            Passage origin = origins.get(i);
            Parted parted =
                    separated.computeIfAbsent(
                            origin.key(), k -> parted(origin.frame(), site.workers()));
            Plane plane = parted.planes.get(i);
            lanes.add(new Lane(key(origin, i), Rows.of(plane), parted.coverage.get(i)));
        }
        return lanes;
    }

    /** Lanes multiplied by their coverage. */
    private record Parted(List<Plane> planes, List<Plane> coverage) {}

    private Parted parted(Frame source, Workers workers) {
        Separation model = look.model();
        int count = model.lanes().size();
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
                        (p, a) -> Kernels.multiply(p, a, workers)),
                coverage);
    }
}
