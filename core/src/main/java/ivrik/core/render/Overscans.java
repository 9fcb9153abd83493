package ivrik.core.render;

import ivrik.core.look.Look;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;
import ivrik.core.picture.Zoom;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Sequence;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.treatment.Covered;
import ivrik.core.treatment.Covering;
import ivrik.core.treatment.Move;
import ivrik.core.treatment.Settings;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/**
 * How much a look's result must be enlarged so that no edge which its moves uncover is seen in a range
 * of frames: found from the moves of every lane at every frame.
 */
public final class Overscans {
    private static final int KEPT = 32;

    /** The latest results; a look that has not been changed is the same object. */
    private static final Deque<Known> LATEST = new ArrayDeque<>();

    private Overscans() {}

    private record Known(Look look, FrameRange range, Sequence sequence, Result result) {}

    /**
     * What is needed.
     *
     * @param scale at least 1
     * @param frame which demands it; -1 if none does
     * @param covered what is covered in every lane at all frames
     */
    public record Result(double scale, long frame, Covered covered) {}

    /** The overscan in force: none, what the user says, or what the moves demand. */
    public static Result of(Look look, FrameRange range, Sequence sequence) {
        Covered all = Covered.all(sequence.size());
        return switch (look.overscan().kind()) {
            case OFF -> new Result(1, -1, all);
            case FIXED -> new Result(look.overscan().scale(), -1, all);
            case AUTOMATIC -> demanded(look, range, sequence);
        };
    }

    /** What the moves demand, whether or not it is in force. */
    public static synchronized Result demanded(Look look, FrameRange range, Sequence sequence) {
        for (Known known : LATEST) {
            if (known.look == look
                    && known.range.equals(range)
                    && known.sequence.equals(sequence)) {
                return known.result;
            }
        }
        Result result = find(look, range, sequence);
        LATEST.addFirst(new Known(look, range, sequence, result));
        while (LATEST.size() > KEPT) {
            LATEST.removeLast();
        }
        return result;
    }

    private static Result find(Look look, FrameRange range, Sequence sequence) {
        Size size = sequence.size();
        Covered always = Covered.all(size);
        double most = 1;
        long at = -1;
        for (long n = range.first(); n <= range.last(); n++) {
            LookPlan plan = Planner.look(look, Rational.of(n), sequence.rate());
            Covered here = covered(plan, size);
            double scale = hiding(here, size);
            if (scale > most) {
                most = scale;
                at = n;
            }
            always = always.and(here);
        }
        return new Result(most, at, always);
    }

    /** What is covered in every lane that is seen. */
    static Covered covered(LookPlan plan, Size size) {
        Covered all = Covered.all(size);
        for (var plate : plan.plates()) {
            if (!plate.shown()) {
                continue;
            }
            all = all.and(covered(plan, plate.lane(), size));
        }
        return all;
    }

    private static Covered covered(LookPlan plan, int lane, Size size) {
        Covered covered = Covered.all(size);
        List<Covering.Moved> moves = new ArrayList<>();
        for (StepPlan step : plan.steps()) {
            Settings settings = step.lanes().get(lane);
            if (settings == null) {
                continue;
            }
            if (step.kind() instanceof Move move) {
                moves.add(new Covering.Moved(move, settings));
            } else {
                covered = Covering.of(covered, moves, size);
                moves.clear();
                covered = step.kind().covered(covered, settings, size);
            }
        }
        return Covering.of(covered, moves, size);
    }

    private static double hiding(Covered c, Size size) {
        return Math.max(
                Math.max(
                        Zoom.hiding(c.left(), size.width()),
                        Zoom.hiding(size.width() - c.right(), size.width())),
                Math.max(
                        Zoom.hiding(c.top(), size.height()),
                        Zoom.hiding(size.height() - c.bottom(), size.height())));
    }
}
