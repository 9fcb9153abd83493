package ivrik.core.motion;

/** How a movement about an axis grows and passes, as a share of its full strength. */
public sealed interface Course permits Hill, Swipe {
    /** The share at a moment. Where it has not begun exactly 0, where it is over what {@link #remains}. */
    double at(Axis axis, Rational moment);

    /** A whole number for each phase of it, by which random ways are drawn. */
    long phase(Axis axis, Rational moment);

    /** How many frames it takes to its peak. */
    double before();

    /** How many frames it takes from its peak to its end. */
    double after();

    /** How many phases it takes to its peak. */
    int phases();

    /** Further than this from its axis, in frames, it has not begun or is over. */
    double reach();

    /** What is left of it when it is over: 0, or 1 of what has gone somewhere for good. */
    double remains();

    /** The same with other times before and after its peak, and another number of phases before it. */
    Course timed(double before, double after, int phases);
}
