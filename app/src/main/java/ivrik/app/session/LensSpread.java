package ivrik.app.session;

import ivrik.core.look.Amounts;
import ivrik.core.look.Look;
import ivrik.core.look.Step;

import java.util.List;

/**
 * How far a lens puts the first and the last lane apart at the corner, as one number: as real lenses do,
 * it holds what lies between and spreads the others either side.
 */
public final class LensSpread {
    private static final List<String> NUMBERS = List.of("k0", "k1", "k2");

    /** The number that is set where there is nothing yet to be made more or less. */
    private static final String GROWING = "k1";

    private LensSpread() {}

    /** In per cent of the way to the corner, to each side. */
    public static double at(Step step, long frame) {
        List<Amounts> lanes = step.lanes();
        return (corner(lanes.getFirst(), frame) - corner(lanes.getLast(), frame)) / 2;
    }

    private static double corner(Amounts amounts, long frame) {
        return NUMBERS.stream().mapToDouble(k -> amounts.value(k).at(frame)).sum();
    }

    /** The same lens made stronger or weaker, or one that is spread evenly where there was none. */
    public static Look with(Look look, String step, long frame, double percent) {
        double now = at(look.step(step).orElseThrow(), frame);
        int last = look.lanes().size() - 1;
        Look spread = look;
        for (int lane = 0; lane <= last; lane++) {
            Amounts amounts = LaneEdits.amounts(look, step, lane);
            double share = 1 - 2.0 * lane / last;
            for (String k : now == 0 ? List.of(GROWING) : NUMBERS) {
                double to = now == 0 ? percent * share : amounts.value(k).at(frame) * percent / now;
                spread = LaneEdits.with(spread, step, lane, frame, k, to);
            }
        }
        return spread;
    }
}
