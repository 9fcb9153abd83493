package ivrik.core.look;

import ivrik.core.UnknownNameException;
import ivrik.core.motion.Rational;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.Treatment;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.IntUnaryOperator;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/**
 * A complete, reusable treatment of a picture.
 *
 * @param separation the name of its colour model
 * @param order the numbers of the lanes as they are laid upon each other, the lowest first
 */
public record Look(
        String name,
        String note,
        String separation,
        List<LaneState> lanes,
        List<Integer> order,
        List<Step> steps,
        Rejoin rejoin,
        Onto onto,
        Reach reach,
        Overscan overscan,
        List<Dial> dials) {
    public Look {
        lanes = List.copyOf(lanes);
        order = List.copyOf(order);
        steps = List.copyOf(steps);
        reach = reach == null ? Reach.ALL : reach;
        dials = List.copyOf(dials);
    }

    /** A look that separates and rejoins and has these treatments, all at rest. */
    public static Look atRest(String name, Separation separation, Treatment... treatments) {
        int lanes = separation.lanes().size();
        return new Look(
                name,
                "",
                separation.id(),
                Collections.nCopies(lanes, LaneState.PLAIN),
                naturalOrder(lanes),
                java.util.Arrays.stream(treatments).map(t -> Step.atRest(t, lanes)).toList(),
                Rejoin.EXACT,
                Onto.IN_PLACE,
                Reach.ALL,
                Overscan.OFF,
                List.of());
    }

    /** Lanes in the order of their model. */
    public static List<Integer> naturalOrder(int lanes) {
        return IntStream.range(0, lanes).boxed().toList();
    }

    public Separation model() {
        return Separations.named(separation);
    }

    /** Whether a lane is in the picture: not mute, and soloed if any is. */
    public boolean isShown(int lane) {
        boolean anySolo = lanes.stream().anyMatch(LaneState::solo);
        return !lanes.get(lane).mute() && (!anySolo || lanes.get(lane).solo());
    }

    public Look withName(String n) {
        return new Look(
                n, note, separation, lanes, order, steps, rejoin, onto, reach, overscan, dials);
    }

    public Look withNote(String n) {
        return new Look(
                name, n, separation, lanes, order, steps, rejoin, onto, reach, overscan, dials);
    }

    public Look withLane(int lane, UnaryOperator<LaneState> change) {
        return new Look(
                name,
                note,
                separation,
                Lists.with(lanes, lane, change.apply(lanes.get(lane))),
                order,
                steps,
                rejoin,
                onto,
                reach,
                overscan,
                dials);
    }

    /** With lanes laid down in this order; it names each lane once. */
    public Look withOrder(List<Integer> o) {
        return new Look(
                name, note, separation, lanes, o, steps, rejoin, onto, reach, overscan, dials);
    }

    public Look withStep(int step, UnaryOperator<Step> change) {
        return withSteps(Lists.with(steps, step, change.apply(steps.get(step))));
    }

    public Look withSteps(List<Step> s) {
        return new Look(
                name, note, separation, lanes, order, s, rejoin, onto, reach, overscan, dials);
    }

    /** With one step more, before the one that is there now; what drives the later ones goes along. */
    public Look withStepAdded(int at, Step step) {
        List<Step> more = new ArrayList<>(steps);
        more.add(at, step);
        return relinked(more, i -> i < at ? i : i + 1);
    }

    /** Without a step and what drives it. */
    public Look withoutStep(int at) {
        List<Step> fewer = new ArrayList<>(steps);
        fewer.remove(at);
        return relinked(fewer, i -> i < at ? i : i == at ? Dial.Link.NOWHERE : i - 1);
    }

    /** With a step taken out and put in so that it has another number. */
    public Look withStepMoved(int from, int to) {
        List<Step> moved = new ArrayList<>(steps);
        moved.add(to, moved.remove(from));
        return relinked(
                moved,
                i -> {
                    int without = i < from ? i : i - 1;
                    return i == from ? to : without < to ? without : without + 1;
                });
    }

    /** With other steps; what drives a step goes where its number goes. */
    private Look relinked(List<Step> changed, IntUnaryOperator number) {
        List<Dial> linked =
                dials.stream()
                        .map(
                                d ->
                                        d.withLinks(
                                                d.links().stream()
                                                        .map(l -> l.renumbered(number))
                                                        .filter(l -> l.step() != Dial.Link.NOWHERE)
                                                        .toList()))
                        .toList();
        return withSteps(changed).withDials(linked);
    }

    public Look withAmounts(int step, int lane, UnaryOperator<Amounts> change) {
        return withStep(step, s -> s.withLane(lane, change));
    }

    public Look withRejoin(Rejoin r) {
        return new Look(
                name, note, separation, lanes, order, steps, r, onto, reach, overscan, dials);
    }

    /** With another name of the same model, such as one with another black generation. */
    public Look withSeparation(String s) {
        return new Look(name, note, s, lanes, order, steps, rejoin, onto, reach, overscan, dials);
    }

    public Look withOnto(Onto o) {
        return new Look(
                name, note, separation, lanes, order, steps, rejoin, o, reach, overscan, dials);
    }

    public Look withReach(Reach r) {
        return new Look(
                name, note, separation, lanes, order, steps, rejoin, onto, r, overscan, dials);
    }

    public Look withOverscan(Overscan o) {
        return new Look(name, note, separation, lanes, order, steps, rejoin, onto, reach, o, dials);
    }

    public Look withDials(List<Dial> d) {
        return new Look(
                name, note, separation, lanes, order, steps, rejoin, onto, reach, overscan, d);
    }

    public Dial dial(String dial) {
        return UnknownNameException.find("dial of the look " + name, dial, dials, Dial::name);
    }

    /**
     * With a dial set to a value, at all times.
     *
     * @throws UnknownNameException if there is no such dial
     * @throws DialRangeException if the value is outside its range
     */
    public Look withDial(String dial, double value) {
        Dial found = dial(dial);
        if (!(value >= found.min() && value <= found.max())) {
            throw new DialRangeException(found, value);
        }
        Dial changed = found.withValue(ivrik.core.motion.Value.of(value));
        return withDials(dials.stream().map(d -> d.name().equals(dial) ? changed : d).toList());
    }

    /** With all that is random drawn from this seed. */
    public Look withSeed(long seed) {
        return withSteps(
                steps.stream()
                        .map(
                                step ->
                                        step.withLanes(
                                                step.lanes().stream()
                                                        .map(a -> a.withSeed(seed))
                                                        .toList()))
                        .toList());
    }

    /** What the dials add to a value at a frame. */
    public double driven(int step, int lane, String target, Rational frame) {
        double sum = 0;
        for (Dial dial : dials) {
            for (Dial.Link link : dial.links()) {
                if (link.step() == step
                        && link.lane() == lane
                        && link.target().equals(target)
                        && isChosen(link)) {
                    double at =
                            target.equals(Dial.Link.RATE)
                                    ? dial.value().rest()
                                    : dial.value().at(frame);
                    sum += link.perUnit() * (at - dial.rest());
                }
            }
        }
        return sum;
    }

    private boolean isChosen(Dial.Link link) {
        return link.only() == null
                || dials.stream()
                        .filter(d -> d.name().equals(link.only().dial()))
                        .allMatch(d -> Math.rint(d.value().rest()) == link.only().value());
    }
}
