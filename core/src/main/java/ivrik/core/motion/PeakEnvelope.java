package ivrik.core.motion;

import io.soabase.recordbuilder.core.RecordBuilder;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Rises in phases to a peak and falls back, in whole frames around the anchor.
 *
 * @param in phases before the peak, in time order
 * @param peak frames of the peak on each side of the anchor, including the anchor's own frame; at least 1
 * @param out phases after the peak, in time order; empty to mirror {@code in}
 * @param ramps whether strengths are interpolated, each phase reaching its own at its frame nearest to the
 *     peak; otherwise they step
 */
@RecordBuilder
public record PeakEnvelope(List<Phase> in, int peak, Optional<List<Phase>> out, boolean ramps)
        implements Envelope, PeakEnvelopeBuilder.With {
    /** Largest number of phases on a side. */
    public static final int MAX_PHASES = 100;

    public PeakEnvelope {
        in = List.copyOf(in);
        out = out.map(List::copyOf);
        if (peak < 1 || peak > Phase.MAX_FRAMES) {
            throw new IllegalArgumentException("a peak lasts 1.." + Phase.MAX_FRAMES + " frames");
        }
    }

    /** Equal phases with evenly increasing strengths, mirrored after the peak. */
    public static PeakEnvelope even(int frames, int phases) {
        return new PeakEnvelope(rising(frames, phases), 1, Optional.empty(), false);
    }

    /** Phases that divide a number of frames as evenly as whole frames allow. */
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

    /** The phases after the peak, in time order. */
    public List<Phase> down() {
        return out.orElseGet(in::reversed);
    }

    /** This envelope with each phase replaced. */
    public PeakEnvelope each(UnaryOperator<Phase> change) {
        return withIn(in.stream().map(change).toList())
                .withOut(out.map(phases -> phases.stream().map(change).toList()));
    }

    private static int frames(List<Phase> phases) {
        int frames = 0;
        for (Phase phase : phases) {
            frames += phase.frames();
        }
        return frames;
    }

    /** Total frames of the phases before the peak. */
    @Override
    public double before() {
        return frames(in);
    }

    /** Total frames of the phases after the peak. */
    @Override
    public double after() {
        return frames(down());
    }

    @Override
    public int phases() {
        return in.size();
    }

    @Override
    public double extent() {
        return Math.max(before(), after()) + peak;
    }

    @Override
    public double remains() {
        return 0;
    }

    @Override
    public double at(AnchorTime anchorTime, Rational moment, int channel) {
        Rational frame = Rational.of(moment.floor());
        List<Phase> outward = outward(anchorTime, frame);
        int phase = phase(outward, anchorTime.distance(frame));
        if (phase > outward.size()) {
            return 0; // exactly 0 outside, also between frames
        }
        return ramps
                ? ramp(outward(anchorTime, moment), anchorTime.distance(moment), channel)
                : strength(outward, phase, channel);
    }

    @Override
    public Set<Integer> differing() {
        return Stream.concat(in.stream(), down().stream())
                .flatMap(phase -> phase.ofChannels().keySet().stream())
                .collect(Collectors.toSet());
    }

    /** Index of the phase: 0 at the peak, positive after it, negative before. */
    @Override
    public long phase(AnchorTime anchorTime, Rational moment) {
        Rational frame = Rational.of(moment.floor());
        int phase = phase(outward(anchorTime, frame), anchorTime.distance(frame));
        return isLater(anchorTime, frame) ? phase : -phase;
    }

    private static boolean isLater(AnchorTime anchorTime, Rational moment) {
        return anchorTime.to(moment).num() > 0;
    }

    /** The phases on the side of a moment, from the peak outwards. */
    private List<Phase> outward(AnchorTime anchorTime, Rational moment) {
        return isLater(anchorTime, moment) ? down() : in.reversed();
    }

    /** Index of the phase at a distance: 0 for the peak, the number of phases plus 1 beyond. */
    private int phase(List<Phase> outward, double distance) {
        double reached = peak - 1.0;
        int phase = 0;
        while (distance > reached && phase < outward.size()) {
            reached += outward.get(phase++).frames();
        }
        return distance > reached ? outward.size() + 1 : phase;
    }

    private static double strength(List<Phase> outward, int phase, int channel) {
        return phase == 0 ? 1 : outward.get(phase - 1).strength(channel);
    }

    private double ramp(List<Phase> outward, double distance, int channel) {
        double from = peak - 1.0;
        double strength = 1;
        double begins = peak;
        for (Phase phase : outward) {
            if (phase.frames() > 0) {
                if (distance <= begins) {
                    return between(distance, from, strength, begins, phase.strength(channel));
                }
                from = begins;
                strength = phase.strength(channel);
                begins += phase.frames();
            }
        }
        return between(distance, from, strength, begins, 0);
    }

    private static double between(double x, double from, double a, double to, double b) {
        double t = Math.clamp((x - from) / (to - from), 0, 1);
        return a + t * (b - a);
    }

    /** Scales the durations, in whole frames; with another number of phases they become equal. */
    @Override
    public PeakEnvelope timed(double before, double after, int phases) {
        int up = whole(before);
        int behind = whole(after);
        if (phases != in.size()) {
            List<Phase> falling = rising(behind, phases).reversed();
            return new PeakEnvelope(rising(up, phases), peak, Optional.of(falling), ramps);
        }
        List<Phase> risen = stretched(in.reversed(), up).reversed();
        boolean mirrored = out.isEmpty() && up == behind;
        return new PeakEnvelope(
                risen,
                peak,
                mirrored ? Optional.empty() : Optional.of(stretched(down(), behind)),
                ramps);
    }

    private static int whole(double frames) {
        return (int) Math.clamp(Math.rint(frames), 0, Phase.MAX_FRAMES);
    }

    /** Scales the distance of each phase boundary from the peak, rounded to whole frames. */
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
