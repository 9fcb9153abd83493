package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.rejoin.Joiner;
import ivrik.core.render.Lanes.Lane;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.separation.LaneKind;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.ValidRegion;

import java.util.List;
import java.util.Optional;

/** Lanes put together again. */
record Join(LookPlan look) implements Stage {
    @Override
    public boolean isNeutral() {
        return false; // lanes become a picture
    }

    @Override
    public Object key() {
        return List.of(look.separation(), look.plates(), look.feeds(), look.steps(), look.rejoin());
    }

    @Override
    public ValidRegion covered(ValidRegion before, Size size) {
        return before;
    }

    /** Whether lanes need only be rejoined row by row as they come: exactly, each in its own ink. */
    static boolean isStraight(LookPlan look) {
        return look.rejoin().isExact() && look.isPlain();
    }

    @Override
    public void take(Passage passage) {
        Lanes lanes = passage.lanes();
        Site site = passage.site();
        Key key = passage.key().then(key());
        if (!lanes.isOpaque()) {
            boolean untreated =
                    look.steps().isEmpty() && look.feeds().stream().allMatch(f -> f == null);
            if (untreated) {
                passage.set(unmoved(passage.frame(), site.workers()), key);
            } else {
                covered(passage, lanes, key);
            }
        } else if (isStraight(look)) {
            passage.set(rows(lanes), key);
        } else {
            List<Plane> colour = join(lanes.planes(site), site.workers());
            passage.set(new Frame(colour, Alpha.OPAQUE, List.of()), key);
        }
        passage.setLanes(null);
    }

    /** Row by row: lanes that nothing was done to never become planes. */
    private static ColourRows rows(Lanes lanes) {
        List<Rows> treated = lanes.lanes().stream().map(Lane::rows).toList();
        return lanes.model().isChannels()
                ? lanes.origin().with(treated)
                : new LaneStream(lanes.model(), lanes.origin(), treated);
    }

    /** A picture whose lanes lie where they lay, separated and rejoined with its colour not multiplied. */
    private Frame unmoved(Frame source, Workers workers) {
        Frame straight = source.straight(workers);
        return new Frame(
                join(look.model().separateFully(straight.colour(), workers), workers),
                Alpha.STRAIGHT,
                straight.coverage());
    }

    private void covered(Passage passage, Lanes lanes, Key key) {
        Site site = passage.site();
        Workers workers = site.workers();
        List<Plane> planes = lanes.planes(site);
        List<Plane> coverage = lanes.coverage();
        boolean own = hasOwnInks();
        if (lanes.model().isChannels() && own) {
            List<Plane> colour = isStraight(look) ? planes : join(planes, workers);
            passage.set(new Frame(colour, Alpha.PREMULTIPLIED, coverage), key);
            return;
        }
        Plane union = Parting.union(coverage, workers);
        List<Plane> straight = planes.stream().map(p -> Kernels.divide(p, union, workers)).toList();
        List<Plane> colour =
                join(straight, workers).stream()
                        .map(p -> Kernels.multiply(p, union, workers))
                        .toList();
        passage.set(new Frame(colour, Alpha.PREMULTIPLIED, List.of(union, union, union)), key);
        boolean apart = coverage.stream().distinct().count() > 1;
        if (lanes.model().isLinear() && own && apart) {
            passage.setParting(Optional.of(new Parting(lanes.model(), coverage)));
        }
    }

    /** Whether lanes are rejoined exactly and in their own inks, so that each stays one of its model. */
    private boolean hasOwnInks() {
        List<LaneKind> kinds = look.model().lanes();
        return look.rejoin().isExact()
                && look.plates().stream().allMatch(p -> p.ink().equals(kinds.get(p.lane()).ink()));
    }

    private List<Plane> join(List<Plane> lanes, Workers workers) {
        return Joiner.join(look.model(), lanes, look.plates(), look.rejoin(), workers);
    }
}
