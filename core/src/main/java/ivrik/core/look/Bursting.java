package ivrik.core.look;

import ivrik.core.look.Burst.Drive;
import ivrik.core.look.Burst.Way;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Course;
import ivrik.core.motion.Hill;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Phase;
import ivrik.core.motion.Swipe;
import ivrik.core.treatment.Control;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Parameter;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;

/** What a person does to a look's bursts as one edit. */
public final class Bursting {
    /** What a burst moves lanes by if nothing else is said. */
    private static final double FIRST_PX = 12;

    private Bursting() {}

    /** A new burst that drives a step: the outer lanes of a move opposed, the others still. */
    public static Burst of(Look look, Anchor anchor, Optional<Step> step) {
        int lanes = look.lanes().size();
        Burst burst = Burst.of(look.freeBurstId(), anchor, lanes);
        String title = step.map(s -> s.kind().description().title() + " burst").orElse("Burst");
        Burst named = burst.withName(title);
        if (step.isEmpty()) {
            return named;
        }
        Description d = step.get().kind().description();
        boolean parts = d.control() == Control.PAD;
        return named.withWays(parts ? opposed(lanes) : burst.ways())
                .withDrives(drives(step.get(), parts ? d.parameter("x") : d.main(), lanes));
    }

    /** A burst with what dials add to its numbers. */
    public static Burst timed(Look look, Burst burst, Instant instant) {
        if (look.dials().isEmpty()) {
            return burst;
        }
        Driven driven = Driven.at(look, instant, "");
        return BurstParts.driven(burst, part -> driven.to(new Target.OfBurst(burst.id(), part)));
    }

    private static List<Way> opposed(int lanes) {
        List<Way> ways = new ArrayList<>(Collections.nCopies(lanes, Way.STILL));
        ways.set(0, Way.AHEAD);
        ways.set(lanes - 1, lanes == 1 ? Way.AHEAD : Way.OPPOSED);
        return ways;
    }

    /** A step's parameter driven in every lane, or in the picture, as far as shows. */
    public static List<Drive> drives(Step step, Parameter parameter, int lanes) {
        double shown = parameter.shownFirst() - parameter.rest();
        double factor =
                shown != 0
                        ? shown
                        : parameter.unit().equals("px")
                                ? FIRST_PX
                                : Math.min(10 * parameter.step(), parameter.max());
        if (step.isWhole()) {
            return List.of(new Drive(new OfStep(step.id(), parameter.name()), factor));
        }
        return IntStream.range(0, lanes)
                .mapToObj(lane -> new Drive(new OfLane(step.id(), lane, parameter.name()), factor))
                .toList();
    }

    /** With more driven; what is driven already stays as it is. */
    public static Burst with(Burst burst, List<Drive> more) {
        List<Drive> drives = new ArrayList<>(burst.drives());
        for (Drive drive : more) {
            if (drives.stream().noneMatch(d -> d.target().equals(drive.target()))) {
                drives.add(drive);
            }
        }
        return burst.withDrives(drives);
    }

    /** With another factor of what it drives. */
    public static Burst withFactor(Burst burst, Target target, double factor) {
        return burst.withDrives(
                burst.drives().stream()
                        .map(d -> d.target().equals(target) ? new Drive(target, factor) : d)
                        .toList());
    }

    public static Burst withWay(Burst burst, int lane, Way way) {
        return burst.withWays(Lists.with(burst.ways(), lane, way));
    }

    /**
     * Another number of frames on one side, in proportion; the other side follows where it is in the mirror.
     *
     * @param later whether it is the side after the peak
     */
    public static Course stretched(Course course, boolean later, double frames) {
        double to = Math.max(0, frames);
        boolean both =
                switch (course) {
                    case Hill hill -> hill.out().isEmpty();
                    case Swipe swipe -> swipe.before() == swipe.after();
                };
        return course.timed(
                both || !later ? to : course.before(),
                both || later ? to : course.after(),
                course.phases());
    }

    /**
     * With one phase changed; in the mirror it is the same one on both sides.
     *
     * @param later whether it is after the peak
     * @param number among those of its side, in the order of time
     * @param change one phase, several in its place, or none
     */
    public static Hill withPhase(
            Hill hill, boolean later, int number, Function<Phase, List<Phase>> change) {
        if (later && hill.out().isPresent()) {
            return hill.withOut(Optional.of(changed(hill.out().get(), number, change)));
        }
        int inward = later ? hill.in().size() - 1 - number : number;
        return hill.withIn(changed(hill.in(), inward, change));
    }

    private static List<Phase> changed(
            List<Phase> phases, int number, Function<Phase, List<Phase>> change) {
        List<Phase> changed = new ArrayList<>(phases);
        Phase old = changed.remove(number);
        changed.addAll(number, change.apply(old));
        return changed.size() > Hill.MOST_PHASES ? phases : changed;
    }

    /** With so many even phases on each side, in the mirror if it was; two frames each where there were none. */
    public static Course evened(Course course, int phases) {
        Course even =
                course.timed(
                        course.before() == 0 ? 2 * phases : course.before(),
                        course.after() == 0 ? 2 * phases : course.after(),
                        phases);
        boolean mirrored = course instanceof Hill hill && hill.out().isEmpty();
        return mirrored && even instanceof Hill hill ? hill.withOut(Optional.empty()) : even;
    }

    /** Tighter or wider about its anchor by some frames on each side. */
    public static Course widened(Course course, int by) {
        return course.timed(
                Math.max(0, course.before() + by),
                Math.max(0, course.after() + by),
                course.phases());
    }
}
