package ivrik.core.motion;

import java.util.ArrayList;
import java.util.List;

/**
 * One time that a burst comes.
 *
 * @param axis what it lies about
 * @param number another for each
 * @param share how strong it is at the instant asked for
 */
public record Coming(Axis axis, long number, double share) {
    private static final Coming NONE = new Coming(new Axis(0, false), 0, 0);

    /** Comings of one anchor have numbers this far from those of the next. */
    private static final long MOST = 1L << 32;

    /**
     * The coming that counts at an instant: the strongest. Of what goes somewhere for good all that have been
     * are added up.
     */
    public static Coming at(Anchor anchor, Course course, Repeat repeat, Instant instant) {
        boolean stays = course.remains() != 0;
        Coming best = NONE;
        double sum = 0;
        long anchors = 0;
        for (Axis first : anchor.axes(instant.around())) {
            Times times = new Times(first, course, repeat, instant.rate());
            long over = times.over(instant.frame());
            sum += over * course.remains();
            for (long k = over; times.has(k); k++) {
                Axis axis = times.axis(k);
                if (axis.to(instant.frame()).toDouble() < -course.reach()) {
                    break;
                }
                double share = course.at(axis, instant.frame());
                sum += share;
                if (Math.abs(share) > Math.abs(best.share)) {
                    best = new Coming(axis, anchors * MOST + k, share);
                }
            }
            anchors++;
        }
        return stays ? new Coming(best.axis, best.number, sum) : best;
    }

    /** What comings lie about that are not over before one frame and begin before another. */
    public static List<Axis> between(
            Anchor anchor, Course course, Repeat repeat, Instant from, Rational to) {
        List<Axis> axes = new ArrayList<>();
        for (Axis first : anchor.axes(from.around())) {
            Times times = new Times(first, course, repeat, from.rate());
            for (long k = times.over(from.frame()); times.has(k); k++) {
                Axis axis = times.axis(k);
                if (axis.to(to).toDouble() < -course.reach()) {
                    break;
                }
                axes.add(axis);
            }
        }
        return axes;
    }

    /** The comings from one anchor, by their numbers from 0. */
    private record Times(Axis first, Course course, Repeat repeat, Rational rate) {
        boolean has(long k) {
            return k == 0 || period() > 0;
        }

        Axis axis(long k) {
            return first.later(repeat.offsetFrames() + Math.round(k * period()));
        }

        private double period() {
            return repeat.period(rate);
        }

        /** How many are surely over at a moment. */
        long over(Rational moment) {
            double since = axis(0).to(moment).toDouble() - course.reach() - 1;
            if (since < 0) {
                return 0;
            }
            return period() == 0 ? 0 : (long) Math.floor(since / period());
        }
    }
}
