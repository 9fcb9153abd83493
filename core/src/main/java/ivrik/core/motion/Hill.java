package ivrik.core.motion;

import io.soabase.recordbuilder.core.RecordBuilder;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * There and back: phases up to a peak and down again, in whole frames about an axis.
 *
 * @param in before the peak, in the order of time
 * @param peak how many frames the peak lasts on each side of its axis, the axis' own frame being one of
 *     each side; at least 1
 * @param out after the peak, in the order of time; empty for those before it in the mirror
 * @param ramps whether it goes evenly from strength to strength, each phase having its own at its frame
 *     nearest to the peak; else it steps
 */
@RecordBuilder
public record Hill(List<Phase> in, int peak, Optional<List<Phase>> out, boolean ramps)
        implements Course, HillBuilder.With {
    /** The most phases on a side. */
    public static final int MOST_PHASES = 100;

    public Hill {
        in = List.copyOf(in);
        out = out.map(List::copyOf);
        if (peak < 1 || peak > Phase.MOST_FRAMES) {
            throw new IllegalArgumentException("a peak lasts 1.." + Phase.MOST_FRAMES + " frames");
        }
    }

    /** Even phases up, each stronger than the one before by the same, and down in the mirror. */
    public static Hill even(int frames, int phases) {
        return new Hill(rising(frames, phases), 1, Optional.empty(), false);
    }

    /** Phases that fill a number of frames as evenly as whole frames allow. */
    private static List<Phase> rising(int frames, int phases) {
        List<Phase> rising = new ArrayList<>();
        long done = 0;
        for (int i = 1; i <= phases; i++) {
            long until = Math.round((double) frames * i / phases);
            rising.add(new Phase((int) (until - done), (double) i / (phases + 1)));
            done = until;
        }
        return List.copyOf(rising);
    }

    /** The phases after the peak, in the order of time. */
    public List<Phase> down() {
        return out.orElseGet(in::reversed);
    }

    private static int frames(List<Phase> phases) {
        int frames = 0;
        for (Phase phase : phases) {
            frames += phase.frames();
        }
        return frames;
    }

    /** How many frames the phases before the peak last. */
    @Override
    public double before() {
        return frames(in);
    }

    /** How many frames the phases after the peak last. */
    @Override
    public double after() {
        return frames(down());
    }

    @Override
    public int phases() {
        return in.size();
    }

    @Override
    public double reach() {
        return Math.max(before(), after()) + peak;
    }

    @Override
    public double remains() {
        return 0;
    }

    @Override
    public double at(Axis axis, Rational moment) {
        Rational frame = Rational.of(moment.floor());
        List<Phase> outward = outward(axis, frame);
        int phase = phase(outward, axis.distance(frame));
        if (phase > outward.size()) {
            return 0; // outside it nothing moves, also between frames
        }
        return ramps
                ? ramp(outward(axis, moment), axis.distance(moment))
                : strength(outward, phase);
    }

    /** Which phase it is: 0 at the peak, counted later in time and, below 0, earlier. */
    @Override
    public long phase(Axis axis, Rational moment) {
        Rational frame = Rational.of(moment.floor());
        int phase = phase(outward(axis, frame), axis.distance(frame));
        return isLater(axis, frame) ? phase : -phase;
    }

    private static boolean isLater(Axis axis, Rational moment) {
        return axis.to(moment).num() > 0;
    }

    /** The phases of the side that a moment is on, from the peak outward. */
    private List<Phase> outward(Axis axis, Rational moment) {
        return isLater(axis, moment) ? down() : in.reversed();
    }

    /** The number of the phase at a distance: 0 for the peak, one more than there are for beyond. */
    private int phase(List<Phase> outward, double distance) {
        double reached = peak - 1.0;
        int phase = 0;
        while (distance > reached && phase < outward.size()) {
            reached += outward.get(phase++).frames();
        }
        return distance > reached ? outward.size() + 1 : phase;
    }

    private static double strength(List<Phase> outward, int phase) {
        return phase == 0 ? 1 : outward.get(phase - 1).strength();
    }

    private double ramp(List<Phase> outward, double distance) {
        double from = peak - 1.0;
        double strength = 1;
        double begins = peak;
        for (Phase phase : outward) {
            if (phase.frames() > 0) {
                if (distance <= begins) {
                    return between(distance, from, strength, begins, phase.strength());
                }
                from = begins;
                strength = phase.strength();
                begins += phase.frames();
            }
        }
        return between(distance, from, strength, begins, 0);
    }

    private static double between(double x, double from, double a, double to, double b) {
        double t = Math.clamp((x - from) / (to - from), 0, 1);
        return a + t * (b - a);
    }

    /** Longer or shorter in proportion, in whole frames; with another number of phases, in even ones. */
    @Override
    public Hill timed(double before, double after, int phases) {
        int up = whole(before);
        int behind = whole(after);
        if (phases != in.size()) {
            List<Phase> falling = rising(behind, phases).reversed();
            return new Hill(rising(up, phases), peak, Optional.of(falling), ramps);
        }
        List<Phase> risen = stretched(in.reversed(), up).reversed();
        boolean mirrored = out.isEmpty() && up == behind;
        return new Hill(
                risen,
                peak,
                mirrored ? Optional.empty() : Optional.of(stretched(down(), behind)),
                ramps);
    }

    private static int whole(double frames) {
        return (int) Math.clamp(Math.rint(frames), 0, Phase.MOST_FRAMES);
    }

    /** Each end of a phase as far from the peak as before, in proportion, at the nearest whole frame. */
    private static List<Phase> stretched(List<Phase> outward, int frames) {
        int old = frames(outward);
        if (old == frames) {
            return outward;
        }
        List<Phase> stretched = new ArrayList<>();
        long done = 0;
        long reached = 0;
        for (int i = 0; i < outward.size(); i++) {
            reached += outward.get(i).frames();
            double share = old == 0 ? (i + 1.0) / outward.size() : (double) reached / old;
            long until = Math.round(share * frames);
            stretched.add(outward.get(i).withFrames((int) (until - done)));
            done = until;
        }
        return List.copyOf(stretched);
    }
}
