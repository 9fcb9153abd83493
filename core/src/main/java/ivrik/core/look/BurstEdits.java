package ivrik.core.look;

import ivrik.core.look.Burst.Direction;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Envelope;
import ivrik.core.motion.Instant;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Phase;
import ivrik.core.motion.TransitionEnvelope;
import ivrik.core.treatment.Control;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Parameter;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;

/** Edits of a look's bursts. */
public final class BurstEdits {
    /** Distance in pixels by which a new burst moves channels. */
    private static final double FIRST_PX = 12;

    private BurstEdits() {}

    /**
     * A new burst that drives a step: outer channels move in opposite directions, the others not at all.
     */
    public static Burst of(Look look, Anchor anchor, Optional<Step> step) {
        int channels = look.channels().size();
        Burst burst = Burst.of(look.freeBurstId(), anchor, channels);
        if (step.isEmpty()) {
            return burst;
        }
        Description d = step.get().kind().description();
        boolean parts = d.control() == Control.PAD;
        return burst.withDirections(parts ? opposite(channels) : burst.directions())
                .withDrives(drives(step.get(), parts ? d.parameter("x") : d.main(), channels));
    }

    /** A burst plus the contributions of dials to its numbers. */
    public static Burst timed(Look look, Burst burst, Instant instant) {
        if (look.dials().isEmpty()) {
            return burst;
        }
        DrivenValues driven = DrivenValues.at(look, instant, "");
        return BurstParameters.driven(
                burst, part -> driven.to(new Target.OfBurst(burst.id(), part)));
    }

    private static List<Direction> opposite(int channels) {
        List<Direction> directions =
                new ArrayList<>(Collections.nCopies(channels, Direction.FIXED));
        directions.set(0, Direction.AS_SET);
        directions.set(channels - 1, channels == 1 ? Direction.AS_SET : Direction.REVERSED);
        return directions;
    }

    /**
     * Drives for a parameter of a step in every channel, or in the picture, large enough to be visible.
     */
    public static List<Drive> drives(Step step, Parameter parameter, int channels) {
        double shown = parameter.exampleFirst() - parameter.rest();
        double factor =
                shown != 0
                        ? shown
                        : parameter.unit().equals("px")
                                ? FIRST_PX
                                : Math.min(10 * parameter.step(), parameter.max());
        if (step.isWhole()) {
            return List.of(new Drive(new OfStep(step.id(), parameter.name()), factor));
        }
        return IntStream.range(0, channels)
                .mapToObj(
                        channel ->
                                new Drive(
                                        new OfChannel(step.id(), channel, parameter.name()),
                                        factor))
                .toList();
    }

    /** A burst with more drives; targets that are driven already stay as they are. */
    public static Burst with(Burst burst, List<Drive> more) {
        List<Drive> drives = new ArrayList<>(burst.drives());
        for (Drive drive : more) {
            if (drives.stream().noneMatch(d -> d.target().equals(drive.target()))) {
                drives.add(drive);
            }
        }
        return burst.withDrives(drives);
    }

    /** A burst with another factor for a target. */
    public static Burst withFactor(Burst burst, Target target, double factor) {
        return burst.withDrives(
                burst.drives().stream()
                        .map(d -> d.target().equals(target) ? new Drive(target, factor) : d)
                        .toList());
    }

    public static Burst withDirection(Burst burst, int channel, Direction direction) {
        return burst.withDirections(ListEdits.with(burst.directions(), channel, direction));
    }

    /**
     * A burst of another length on one side, with its phases in proportion. The other side follows if the
     * envelope is symmetric.
     *
     * @param later whether to change the side after the anchor
     * @param frames frames on that side, see {@link Burst#framesBefore}
     */
    public static Burst stretched(Burst burst, boolean later, double frames) {
        boolean both =
                switch (burst.envelope()) {
                    case PeakEnvelope peakEnvelope -> peakEnvelope.out().isEmpty();
                    case TransitionEnvelope swipe -> swipe.before() == swipe.after();
                };
        return burst.timed(
                both || !later ? frames : burst.framesBefore(),
                both || later ? frames : burst.framesAfter(),
                burst.envelope().phases());
    }

    /**
     * An envelope with one phase changed, on both sides if it is symmetric.
     *
     * @param later whether the phase lies after the peak
     * @param number index among the phases of its side, in time order
     * @param change replaces one phase by several, one or none
     */
    public static PeakEnvelope withPhase(
            PeakEnvelope peakEnvelope,
            boolean later,
            int number,
            Function<Phase, List<Phase>> change) {
        if (later && peakEnvelope.out().isPresent()) {
            return peakEnvelope.withOut(
                    Optional.of(changed(peakEnvelope.out().get(), number, change)));
        }
        int inward = later ? peakEnvelope.in().size() - 1 - number : number;
        return peakEnvelope.withIn(changed(peakEnvelope.in(), inward, change));
    }

    private static List<Phase> changed(
            List<Phase> phases, int number, Function<Phase, List<Phase>> change) {
        List<Phase> changed = new ArrayList<>(phases);
        Phase old = changed.remove(number);
        changed.addAll(number, change.apply(old));
        return changed.size() > PeakEnvelope.MAX_PHASES ? phases : changed;
    }

    /**
     * An envelope with equal phases on each side; of two frames each if it had none. A symmetric envelope
     * stays symmetric.
     */
    public static Envelope evened(Envelope envelope, int phases) {
        Envelope even =
                envelope.timed(
                        envelope.before() == 0 ? 2 * phases : envelope.before(),
                        envelope.after() == 0 ? 2 * phases : envelope.after(),
                        phases);
        boolean mirrored =
                envelope instanceof PeakEnvelope peakEnvelope && peakEnvelope.out().isEmpty();
        return mirrored && even instanceof PeakEnvelope peakEnvelope
                ? peakEnvelope.withOut(Optional.empty())
                : even;
    }

    /** A burst longer by some frames on each side; shorter if negative. */
    public static Burst widened(Burst burst, int by) {
        return burst.timed(
                burst.framesBefore() + by, burst.framesAfter() + by, burst.envelope().phases());
    }
}
