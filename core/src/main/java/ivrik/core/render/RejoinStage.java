package ivrik.core.render;

import ivrik.core.cache.CacheKey;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.rejoin.ChannelRejoiner;
import ivrik.core.render.Channels.SeparatedChannel;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.separation.ChannelKind;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.ValidRegion;

import java.util.List;
import java.util.Optional;

/** Rejoins the channels. */
record RejoinStage(LookPlan look) implements Stage {
    @Override
    public boolean isNeutral() {
        return false; // the stage turns channels into a picture
    }

    @Override
    public Object key() {
        return List.of(
                look.separation(),
                look.prints(),
                look.channelSources(),
                look.steps(),
                look.rejoin());
    }

    @Override
    public ValidRegion covered(ValidRegion before, Size size) {
        return before;
    }

    /**
     * Whether the channels are rejoined exactly with their default inks, which works row by row.
     */
    static boolean isStraight(LookPlan look) {
        return look.rejoin().isExact() && look.isPlain();
    }

    @Override
    public void take(PictureState state) {
        Channels channels = state.channels();
        RenderContext renderContext = state.renderContext();
        CacheKey key = state.key().then(key());
        if (!channels.isOpaque()) {
            boolean untreated =
                    look.steps().isEmpty()
                            && look.channelSources().stream().allMatch(f -> f == null);
            if (untreated) {
                state.set(unmoved(state.frame(), renderContext.workers()), key);
            } else {
                covered(state, channels, key);
            }
        } else if (isStraight(look)) {
            state.set(rows(channels), key);
        } else {
            List<Plane> colour = join(channels.planes(renderContext), renderContext.workers());
            state.set(new Frame(colour, Alpha.OPAQUE, List.of()), key);
        }
        state.setChannels(null);
    }

    /** Rejoins row by row: untouched channels never become planes. */
    private static ColourRows rows(Channels channels) {
        List<Rows> treated = channels.channels().stream().map(SeparatedChannel::rows).toList();
        return channels.model().isChannels()
                ? channels.origin().with(treated)
                : new ChannelStream(channels.model(), channels.origin(), treated);
    }

    /** Rejoins an unshifted picture with coverage from its straight colour. */
    private Frame unmoved(Frame source, Workers workers) {
        Frame straight = source.straight(workers);
        return new Frame(
                join(look.model().separateFully(straight.colour(), workers), workers),
                Alpha.STRAIGHT,
                straight.coverage());
    }

    private void covered(PictureState state, Channels channels, CacheKey key) {
        RenderContext renderContext = state.renderContext();
        Workers workers = renderContext.workers();
        List<Plane> planes = channels.planes(renderContext);
        List<Plane> coverage = channels.coverage();
        boolean own = hasOwnInks();
        if (channels.model().isChannels() && own) {
            List<Plane> colour = isStraight(look) ? planes : join(planes, workers);
            state.set(new Frame(colour, Alpha.PREMULTIPLIED, coverage), key);
            return;
        }
        Plane union = ChannelCoverage.union(coverage, workers);
        List<Plane> straight =
                planes.stream().map(p -> PlaneArithmetic.divide(p, union, workers)).toList();
        List<Plane> colour =
                join(straight, workers).stream()
                        .map(p -> PlaneArithmetic.multiply(p, union, workers))
                        .toList();
        state.set(new Frame(colour, Alpha.PREMULTIPLIED, List.of(union, union, union)), key);
        boolean apart = coverage.stream().distinct().count() > 1;
        if (channels.model().isLinear() && own && apart) {
            state.setChannelCoverage(Optional.of(new ChannelCoverage(channels.model(), coverage)));
        }
    }

    /** Whether channels keep their default inks and an exact rejoin. */
    private boolean hasOwnInks() {
        List<ChannelKind> kinds = look.model().channels();
        return look.rejoin().isExact()
                && look.prints().stream()
                        .allMatch(p -> p.ink().equals(kinds.get(p.channel()).ink()));
    }

    private List<Plane> join(List<Plane> channels, Workers workers) {
        return ChannelRejoiner.join(look.model(), channels, look.prints(), look.rejoin(), workers);
    }
}
