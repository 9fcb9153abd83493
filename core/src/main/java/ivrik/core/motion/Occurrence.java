package ivrik.core.motion;

import java.util.ArrayList;
import java.util.List;

/**
 * One repetition of a burst.
 *
 * @param anchorTime the centre of the repetition
 * @param number unique number, for random directions
 * @param share the envelope at the requested instant
 */
public record Occurrence(AnchorTime anchorTime, long number, double share) {
    private static final Occurrence NONE = new Occurrence(new AnchorTime(0, false), 0, 0);

    /** Distance between the numbers of different anchors. */
    private static final long MAX = 1L << 32;

    /**
     * The strongest repetition at an instant. For transitions that stay, the sum of all repetitions so far.
     */
    public static Occurrence at(Anchor anchor, Envelope envelope, Repeat repeat, Instant instant) {
        return at(anchor, envelope, repeat, instant, Envelope.ALL);
    }

    /**
     * The same for one channel, which may have shares of its own.
     *
     * @param channel channel index, or {@link Envelope#ALL}
     */
    public static Occurrence at(
            Anchor anchor, Envelope envelope, Repeat repeat, Instant instant, int channel) {
        boolean stays = envelope.remains() != 0;
        Occurrence best = NONE;
        double sum = 0;
        long anchors = 0;
        for (AnchorTime first : anchor.anchorTimes(instant.timelineContext())) {
            Times times = new Times(first, envelope, repeat, instant.rate());
            long over = times.over(instant.frame());
            sum += over * envelope.remains();
            for (long k = over; times.has(k); k++) {
                AnchorTime anchorTime = times.axis(k);
                if (anchorTime.to(instant.frame()).toDouble() < -envelope.extent()) {
                    break;
                }
                double share = envelope.at(anchorTime, instant.frame(), channel);
                sum += share;
                if (Math.abs(share) > Math.abs(best.share)) {
                    best = new Occurrence(anchorTime, anchors * MAX + k, share);
                }
            }
            anchors++;
        }
        return stays ? new Occurrence(best.anchorTime, best.number, sum) : best;
    }

    /** The centres of repetitions that overlap a range of time. */
    public static List<AnchorTime> between(
            Anchor anchor, Envelope envelope, Repeat repeat, Instant from, Rational to) {
        List<AnchorTime> axes = new ArrayList<>();
        for (AnchorTime first : anchor.anchorTimes(from.timelineContext())) {
            Times times = new Times(first, envelope, repeat, from.rate());
            for (long k = times.over(from.frame()); times.has(k); k++) {
                AnchorTime anchorTime = times.axis(k);
                if (anchorTime.to(to).toDouble() < -envelope.extent()) {
                    break;
                }
                axes.add(anchorTime);
            }
        }
        return axes;
    }

    /** The repetitions of one anchor, numbered from 0. */
    private record Times(AnchorTime first, Envelope envelope, Repeat repeat, Rational rate) {
        boolean has(long k) {
            return k == 0 || period() > 0;
        }

        AnchorTime axis(long k) {
            return first.later(repeat.offsetFrames() + Math.round(k * period()));
        }

        private double period() {
            return repeat.period(rate);
        }

        /** Number of repetitions that have ended for certain at a moment. */
        long over(Rational moment) {
            double since = axis(0).to(moment).toDouble() - envelope.extent() - 1;
            if (since < 0) {
                return 0;
            }
            return period() == 0 ? 0 : (long) Math.floor(since / period());
        }
    }
}
