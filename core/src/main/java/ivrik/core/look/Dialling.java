package ivrik.core.look;

import ivrik.core.look.Dial.Link;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Parameter;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * What a person does to the dials of a look as one edit. Putting a value on a dial, and taking it off, leaves
 * the picture as it is: what was set is then what the dial adds, and the other way round.
 */
public final class Dialling {
    /** A dial that holds what was set goes from nothing to twice that, and as far the other way. */
    private static final double ALL = 100;

    private static final double MOST = 1000;

    private Dialling() {}

    /** The dials that drive a target. */
    public static List<Dial> of(Look look, Target target) {
        return look.dials().stream().filter(d -> link(d, target).isPresent()).toList();
    }

    private static Optional<Link> link(Dial dial, Target target) {
        return dial.links().stream().filter(l -> l.target().equals(target)).findFirst();
    }

    /**
     * With a new dial that drives some values. Where they are away from rest it goes from 0, all of them at
     * rest, to 100 %, all as they are; else it goes in their own unit. Values with pegs keep them, and the
     * dial adds to them.
     */
    public static Look onNew(Look look, List<Target> targets, String title) {
        Parameter range = Targets.range(look, targets.getFirst()).orElseThrow();
        boolean away = targets.stream().anyMatch(t -> away(look, t) != 0);
        String name = freeName(look, title);
        double most = Math.min(MOST, Math.max(Math.abs(range.min()), Math.abs(range.max())));
        Dial dial =
                away
                        ? new Dial(name, title, "%", -2 * ALL, 2 * ALL, 0, Value.of(ALL), List.of())
                        : new Dial(
                                name, title, range.unit(), -most, most, 0, Value.ZERO, List.of());
        return driving(look.withDials(Lists.plus(look.dials(), dial)), name, targets);
    }

    /** With a dial driving some values more, each of which it holds as it is set now. */
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

    /** How far from rest a value without pegs is set; 0 for one with pegs. */
    private static double away(Look look, Target target) {
        Value value = Targets.value(look, target).orElse(Value.ZERO);
        double rest = Targets.range(look, target).map(Parameter::rest).orElse(0.0);
        return value.isMoving() ? 0 : value.rest() - rest;
    }

    /** With a value taken off a dial: it is set to what the two came to, and moves as they did. */
    public static Look off(Look look, String dial, Target target) {
        Dial driver = look.dial(dial);
        Value added =
                link(driver, target).map(l -> Driven.added(look, driver, l)).orElse(Value.ZERO);
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

    /** Without a dial: what it drove is set to what it came to. */
    public static Look without(Look look, String dial) {
        Look changed = look;
        for (Link link : look.dial(dial).links()) {
            changed = off(changed, dial, link.target());
        }
        return changed.withDials(
                changed.dials().stream().filter(d -> !d.name().equals(dial)).toList());
    }

    /** With a dial changed; its name stays. */
    public static Look with(Look look, String dial, UnaryOperator<Dial> change) {
        return look.withDials(
                look.dials().stream()
                        .map(d -> d.name().equals(dial) ? change.apply(d) : d)
                        .toList());
    }

    /** With one of its links changed. */
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

    /** A name for files and the command line that no dial of the look has: the title in small letters. */
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
