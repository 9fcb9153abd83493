package ivrik.app.session;

import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.look.Step;

import java.util.List;

/**
 * Lateral chromatic aberration between the first and last channel at the corner as one number: the channels
 * between are fixed, and the others spread to both sides.
 */
public final class LensSpread {
    private static final List<String> NUMBERS = List.of("k0", "k1", "k2");

    /** The parameter to set if all are 0. */
    private static final String GROWING = "k1";

    private LensSpread() {}

    /** Spread in per cent of the corner's radius, to each side. */
    public static double at(Step step, long frame) {
        List<ChannelSettings> channels = step.channels();
        return (corner(channels.getFirst(), frame) - corner(channels.getLast(), frame)) / 2;
    }

    private static double corner(ChannelSettings settings, long frame) {
        return NUMBERS.stream().mapToDouble(k -> settings.value(k).at(frame)).sum();
    }

    /** The lens with its parameters scaled to a spread; an even lens if there was none. */
    public static Look with(Look look, String step, long frame, double percent) {
        double now = at(look.step(step).orElseThrow(), frame);
        int last = look.channels().size() - 1;
        Look spread = look;
        for (int channel = 0; channel <= last; channel++) {
            ChannelSettings settings = ChannelEdits.settings(look, step, channel);
            double share = 1 - 2.0 * channel / last;
            for (String k : now == 0 ? List.of(GROWING) : NUMBERS) {
                double to =
                        now == 0 ? percent * share : settings.value(k).at(frame) * percent / now;
                spread = ChannelEdits.with(spread, step, channel, frame, k, to);
            }
        }
        return spread;
    }
}
