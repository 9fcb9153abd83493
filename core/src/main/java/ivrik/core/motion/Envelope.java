package ivrik.core.motion;

import java.util.Set;

/** An animation around an anchor, as a share of its full strength. */
public sealed interface Envelope permits PeakEnvelope, TransitionEnvelope {
    /** Index of all channels together. */
    int ALL = -1;

    /** The share at a moment: exactly 0 before the start, {@link #remains} after the end. */
    default double at(AnchorTime anchorTime, Rational moment) {
        return at(anchorTime, moment, ALL);
    }

    /**
     * The share of one channel at a moment.
     *
     * @param channel channel index, or {@link #ALL}
     */
    double at(AnchorTime anchorTime, Rational moment, int channel);

    /** Indices of the channels that have shares of their own in some phase. */
    default Set<Integer> differing() {
        return Set.of();
    }

    /** Index of the phase at a moment; random directions change with it. */
    long phase(AnchorTime anchorTime, Rational moment);

    /** Frames from the start to the peak. */
    double before();

    /** Frames from the peak to the end. */
    double after();

    /** Number of phases before the peak. */
    int phases();

    /** Distance from the anchor in frames beyond which the envelope is constant. */
    double extent();

    /** The share after the end: 0, or 1 for a transition that stays. */
    double remains();

    /** The same envelope with other durations and another number of phases. */
    Envelope timed(double before, double after, int phases);
}
