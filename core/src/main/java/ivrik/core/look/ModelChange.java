package ivrik.core.look;

import ivrik.core.look.Target.OfBurst;
import ivrik.core.look.Target.OfDial;
import ivrik.core.look.Target.OfFeed;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfOnto;
import ivrik.core.look.Target.OfPlace;
import ivrik.core.look.Target.OfReach;
import ivrik.core.look.Target.OfShutter;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Target.OfStrength;
import ivrik.core.look.Target.OfWord;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Separation;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A look moved to another colour model. What was done to a lane is done to its counterpart, the lane
 * of the same role; the rest is put to rest.
 *
 * @param look in the new model
 * @param dropped what had no counterpart and was not at rest, by title
 */
public record ModelChange(Look look, List<String> dropped) {
    public ModelChange {
        dropped = List.copyOf(dropped);
    }

    public static ModelChange of(Look old, Separation model) {
        List<LaneKind> before = old.model().lanes();
        List<LaneKind> after = model.lanes();
        int[] from = after.stream().mapToInt(k -> counterpart(k, before)).toArray();
        List<Step> steps = old.steps().stream().map(s -> moved(s, from)).toList();
        List<LaneState> lanes =
                IntStream.of(from)
                        .mapToObj(
                                i ->
                                        i < 0
                                                ? LaneState.PLAIN
                                                : old.lanes()
                                                        .get(i)
                                                        .withInk(java.util.Optional.empty()))
                        .toList();
        List<String> dropped = new ArrayList<>();
        for (int i = 0; i < before.size(); i++) {
            int lane = i;
            boolean kept = IntStream.of(from).anyMatch(f -> f == lane);
            if (!kept && isTouched(old, lane)) {
                dropped.add(before.get(lane).title());
            }
        }
        List<Dial> dials = new ArrayList<>();
        for (Dial dial : old.dials()) {
            Dial there = dial.driving(t -> moved(t, from));
            if (there.links().isEmpty() && !dial.links().isEmpty()) {
                dropped.add("the dial " + dial.title());
            } else {
                dials.add(there);
            }
        }
        Look look =
                old.with(
                        l ->
                                l.separation(model.id())
                                        .lanes(lanes)
                                        .order(Look.naturalOrder(after.size()))
                                        .steps(steps)
                                        .bursts(
                                                old.bursts().stream()
                                                        .map(b -> moved(b, from))
                                                        .toList())
                                        .dials(dials));
        return new ModelChange(look, dropped);
    }

    private static int counterpart(LaneKind kind, List<LaneKind> among) {
        return IntStream.range(0, among.size())
                .filter(i -> among.get(i).role() == kind.role())
                .findFirst()
                .orElse(-1);
    }

    private static boolean isTouched(Look look, int lane) {
        return !look.lanes().get(lane).equals(LaneState.PLAIN)
                || look.steps(Section.LANES).stream()
                        .anyMatch(
                                s ->
                                        !s.lanes()
                                                .get(lane)
                                                .equals(Amounts.atRest(s.kind().description())));
    }

    private static Step moved(Step step, int[] from) {
        if (step.isWhole()) {
            return step;
        }
        Amounts rest = Amounts.atRest(step.kind().description());
        return step.withLanes(
                IntStream.of(from).mapToObj(i -> i < 0 ? rest : step.lanes().get(i)).toList());
    }

    private static Burst moved(Burst burst, int[] from) {
        return burst.driving(t -> moved(t, from))
                .withWays(
                        IntStream.of(from)
                                .mapToObj(
                                        i ->
                                                i < 0 || i >= burst.ways().size()
                                                        ? Burst.Way.AHEAD
                                                        : burst.ways().get(i))
                                .toList());
    }

    /** What a target becomes: one for each lane that its lane has become. */
    private static Stream<Target> moved(Target target, int[] from) {
        return switch (target) {
            case OfLane t ->
                    lanes(from, t.lane()).mapToObj(i -> new OfLane(t.step(), i, t.parameter()));
            case OfStrength t -> lanes(from, t.lane()).mapToObj(OfStrength::new);
            case OfFeed t -> lanes(from, t.lane()).mapToObj(i -> new OfFeed(i, t.part()));
            case OfDial t -> Stream.of(t);
            case OfWord t -> Stream.of(t);
            case OfBurst t -> Stream.of(t);
            case OfShutter t -> Stream.of(t);
            case OfStep t -> Stream.of(t);
            case OfReach t -> Stream.of(t);
            case OfOnto t -> Stream.of(t);
            case OfPlace t -> Stream.of(t);
        };
    }

    private static IntStream lanes(int[] from, int lane) {
        return IntStream.range(0, from.length).filter(i -> from[i] == lane);
    }
}
