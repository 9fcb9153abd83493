package ivrik.core.look;

import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfPlacement;
import ivrik.core.look.Target.OfStep;

import java.util.Optional;

/**
 * The horizontal and the vertical value of one step in one channel, or of a placement.
 *
 * @param salt identifies the pair in random draws
 */
record XyPair(Target x, Target y, String salt) {
    /** The pair that a target belongs to; empty for other targets. */
    static Optional<XyPair> of(Look look, Target target) {
        return switch (target) {
            case OfChannel t when isOfPair(look, t.step(), t.parameter()) ->
                    Optional.of(
                            new XyPair(
                                    new OfChannel(t.step(), t.channel(), "x"),
                                    new OfChannel(t.step(), t.channel(), "y"),
                                    FormerNames.step(t.step()) + "/" + t.channel()));
            case OfStep t when isOfPair(look, t.step(), t.parameter()) ->
                    Optional.of(
                            new XyPair(
                                    new OfStep(t.step(), "x"),
                                    new OfStep(t.step(), "y"),
                                    FormerNames.step(t.step())));
            case OfPlacement t when isAxis(t.part()) ->
                    Optional.of(new XyPair(new OfPlacement("x"), new OfPlacement("y"), "place"));
            default -> Optional.empty();
        };
    }

    private static boolean isAxis(String name) {
        return name.equals("x") || name.equals("y");
    }

    private static boolean isOfPair(Look look, String step, String parameter) {
        return isAxis(parameter)
                && look.step(step)
                        .map(s -> s.kind().description())
                        .filter(d -> d.knows("x") && d.knows("y"))
                        .isPresent();
    }

    boolean isX(Target target) {
        return target.equals(x);
    }

    Target other(Target target) {
        return isX(target) ? y : x;
    }
}
