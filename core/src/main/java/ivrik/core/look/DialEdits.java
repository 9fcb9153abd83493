package ivrik.core.look;

import ivrik.core.look.Dial.Link;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Parameter;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Edits of a look's dials. Adding a value to a dial, or removing it, does not change the picture: the set
 * value becomes the dial's contribution, and vice versa.
 */
public final class DialEdits {
    /** A dial that holds set values runs from -200 % to 200 %, with the set values at 100 %. */
    private static final double ALL = 100;

    private static final double MAX = 1000;

    private DialEdits() {}

    /** The dials that drive a target. */
    public static List<Dial> of(Look look, Target target) {
        return look.dials().stream().filter(d -> link(d, target).isPresent()).toList();
    }

    private static Optional<Link> link(Dial dial, Target target) {
        return dial.links().stream().filter(l -> l.target().equals(target)).findFirst();
    }

    /**
     * The look with a new dial for some values. If any is away from its default, the dial runs from 0 %, all
     * at their defaults, to 100 %, all as set; else the dial uses the unit of the values. Keyframes stay in
     * the values, and the dial adds to them.
     */
    public static Look onNew(Look look, List<Target> targets, String title) {
        Parameter range = Targets.range(look, targets.getFirst()).orElseThrow();
        boolean away = targets.stream().anyMatch(t -> away(look, t) != 0);
        String name = freeName(look, title);
        double most = Math.min(MAX, Math.max(Math.abs(range.min()), Math.abs(range.max())));
        Dial dial =
                away
                        ? new Dial(name, title, "%", -2 * ALL, 2 * ALL, 0, Value.of(ALL), List.of())
                        : new Dial(
                                name, title, range.unit(), -most, most, 0, Value.ZERO, List.of());
        return driving(look.withDials(ListEdits.plus(look.dials(), dial)), name, targets);
    }

    /** The look with a dial that drives more values, each kept at its present value. */
    public static Look driving(Look look, String dial, List<Target> targets) {
        Dial driver = look.dial(dial);
        double from = driver.value().rest() - driver.rest();
        List<Link> links = new ArrayList<>(driver.links());
        Look changed = look;
        for (Target target : targets) {
            if (link(driver, target).isPresent()) {
                continue;
            }
            double away = away(look, target);
            boolean holds = from != 0 && away != 0;
            links.add(new Link(target, holds ? away / from : from == 0 ? 1 : 0));
            if (holds) {
                Value rest = Value.of(Targets.range(look, target).orElseThrow().rest());
                changed = Targets.with(changed, target, rest);
            }
        }
        return with(changed, dial, d -> d.withLinks(links));
    }

    /** Distance of a value without keyframes from its default; 0 for a value with keyframes. */
    private static double away(Look look, Target target) {
        Value value = Targets.value(look, target).orElse(Value.ZERO);
        double rest = Targets.range(look, target).map(Parameter::rest).orElse(0.0);
        return value.isMoving() ? 0 : value.rest() - rest;
    }

    /**
     * The look with a value removed from a dial: the value takes over the total and its animation.
     */
    public static Look off(Look look, String dial, Target target) {
        Dial driver = look.dial(dial);
        Value added =
                link(driver, target)
                        .map(l -> DrivenValues.added(look, driver, l))
                        .orElse(Value.ZERO);
        Look without =
                with(
                        look,
                        dial,
                        d ->
                                d.withLinks(
                                        d.links().stream()
                                                .filter(l -> !l.target().equals(target))
                                                .toList()));
        Value value = Targets.value(look, target).orElse(Value.ZERO);
        return Targets.with(without, target, value.plus(added));
    }

    /** The look without a dial: the driven values take over their totals. */
    public static Look without(Look look, String dial) {
        Look changed = look;
        for (Link link : look.dial(dial).links()) {
            changed = off(changed, dial, link.target());
        }
        return changed.withDials(
                changed.dials().stream().filter(d -> !d.name().equals(dial)).toList());
    }

    /** The look with a dial changed; the name of the dial stays. */
    public static Look with(Look look, String dial, UnaryOperator<Dial> change) {
        return look.withDials(
                look.dials().stream()
                        .map(d -> d.name().equals(dial) ? change.apply(d) : d)
                        .toList());
    }

    /** The look with one link of a dial changed. */
    public static Look withLink(Look look, String dial, Target target, UnaryOperator<Link> change) {
        return with(
                look,
                dial,
                d ->
                        d.withLinks(
                                d.links().stream()
                                        .map(l -> l.target().equals(target) ? change.apply(l) : l)
                                        .toList()));
    }

    /** An unused name for files and the command line, derived from the title. */
    private static String freeName(Look look, String title) {
        String plain = title.toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        String start = plain.replaceAll("^-|-$", "");
        String name = start.isEmpty() ? "dial" : start;
        String free = name;
        for (int n = 2; isTaken(look, free); n++) {
            free = name + "-" + n;
        }
        return free;
    }

    private static boolean isTaken(Look look, String name) {
        return look.dials().stream().anyMatch(d -> d.name().equals(name));
    }
}
