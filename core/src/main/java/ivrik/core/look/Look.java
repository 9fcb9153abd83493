package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.UnknownNameException;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.Treatment;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A complete, reusable treatment of a picture: {@code prepare -> separate -> treat each lane -> rejoin ->
 * onto -> finish}.
 *
 * @param name in files and on the command line
 * @param title on the screen; empty where that is the name
 * @param tags other words by which it is looked for
 * @param separation the name of its colour model
 * @param order the numbers of the lanes as they are laid upon each other, the lowest first
 * @param steps all treatments, in the order in which they are done
 * @param bursts what moves about anchors
 */
@RecordBuilder
public record Look(
        String name,
        String title,
        String note,
        List<String> tags,
        String separation,
        List<LaneState> lanes,
        List<Integer> order,
        List<Step> steps,
        Rejoin rejoin,
        Onto onto,
        Reach reach,
        Overscan overscan,
        Shutter shutter,
        List<Burst> bursts,
        List<Dial> dials)
        implements LookBuilder.With {
    public Look {
        tags = List.copyOf(tags);
        lanes = List.copyOf(lanes);
        order = List.copyOf(order);
        steps = steps.stream().sorted(Comparator.comparing(Step::section)).toList();
        bursts = List.copyOf(bursts);
        dials = List.copyOf(dials);
        if (steps.stream().map(Step::id).distinct().count() < steps.size()) {
            throw new IllegalArgumentException("two steps of a look have one id");
        }
    }

    /** A look that separates and rejoins and has these treatments, all at rest. */
    public static Look atRest(String name, Separation separation, Treatment... treatments) {
        int lanes = separation.lanes().size();
        Look look =
                new Look(
                        name,
                        "",
                        "",
                        List.of(),
                        separation.id(),
                        Collections.nCopies(lanes, LaneState.PLAIN),
                        naturalOrder(lanes),
                        List.of(),
                        Rejoin.EXACT,
                        Onto.IN_PLACE,
                        Reach.ALL,
                        Overscan.OFF,
                        Shutter.OFF,
                        List.of(),
                        List.of());
        for (Treatment treatment : treatments) {
            look = look.withStepAdded(Step.atRest(look.freeId(treatment), treatment, lanes));
        }
        return look;
    }

    /** What it is called on the screen. */
    public String shownName() {
        return title.isEmpty() ? name : title;
    }

    /** All that it is looked for by. */
    public String words() {
        return String.join(" ", title, name, note, String.join(" ", tags));
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

    /** The steps of one section, in order. */
    public List<Step> steps(Section section) {
        return steps.stream().filter(s -> s.section() == section).toList();
    }

    public Optional<Step> step(String id) {
        return steps.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** Where in the list a step stands; -1 if there is none of the id. */
    public int number(String id) {
        return IntStream.range(0, steps.size())
                .filter(i -> steps.get(i).id().equals(id))
                .findFirst()
                .orElse(-1);
    }

    /** An id for a new step: the treatment's name and the first number above all that are there. */
    public String freeId(Treatment treatment) {
        return freeId(treatment.description().id() + "-", steps.stream().map(Step::id));
    }

    private static String freeId(String start, Stream<String> taken) {
        int highest =
                taken.filter(id -> id.matches(java.util.regex.Pattern.quote(start) + "\\d{1,8}"))
                        .mapToInt(id -> Integer.parseInt(id.substring(start.length())))
                        .max()
                        .orElse(0);
        return start + (highest + 1);
    }

    public Look withLane(int lane, UnaryOperator<LaneState> change) {
        return withLanes(Lists.with(lanes, lane, change.apply(lanes.get(lane))));
    }

    public Look withStep(int number, UnaryOperator<Step> change) {
        return withSteps(Lists.with(steps, number, change.apply(steps.get(number))));
    }

    /** With a step changed; itself if there is none of the id. */
    public Look withStep(String id, UnaryOperator<Step> change) {
        int number = number(id);
        return number < 0 ? this : withStep(number, change);
    }

    /** With one step more, the last of its section. */
    public Look withStepAdded(Step step) {
        return withStepAdded(steps.size(), step);
    }

    /** With one step more, before the one that is there now, or as near to it as its section allows. */
    public Look withStepAdded(int at, Step step) {
        List<Step> more = new ArrayList<>(steps);
        more.add(at, step);
        return withSteps(more);
    }

    /**
     * With a step done elsewhere on the road, and driven there.
     *
     * @param lane which gives its amounts where lanes become one
     */
    public Look withStepIn(Section section, String id, int lane) {
        int count = lanes.size();
        return withStep(id, s -> s.inSection(section, count, lane))
                .driving(
                        t ->
                                switch (t) {
                                    case OfLane of when of.step().equals(id) ->
                                            section == Section.LANES
                                                    ? Stream.of(of)
                                                    : of.lane() == lane
                                                            ? Stream.of(
                                                                    new OfStep(id, of.parameter()))
                                                            : Stream.empty();
                                    case OfStep of when of.step().equals(id) ->
                                            section != Section.LANES
                                                    ? Stream.of(of)
                                                    : IntStream.range(0, count)
                                                            .mapToObj(
                                                                    i ->
                                                                            new OfLane(
                                                                                    id,
                                                                                    i,
                                                                                    of
                                                                                            .parameter()));
                                    default -> Stream.of(t);
                                });
    }

    /** Without a step and what drives it. */
    public Look withoutStep(String id) {
        return withSteps(steps.stream().filter(s -> !s.id().equals(id)).toList())
                .driving(t -> t.stepId().equals(id) ? Stream.empty() : Stream.of(t));
    }

    /** With dials and bursts that drive other targets in place of each. */
    Look driving(Function<Target, Stream<Target>> instead) {
        return withDials(dials.stream().map(d -> d.driving(instead)).toList())
                .withBursts(bursts.stream().map(b -> b.driving(instead)).toList());
    }

    public Optional<Burst> burst(String id) {
        return bursts.stream().filter(b -> b.id().equals(id)).findFirst();
    }

    /** An id for a new burst: the first number above all that are there. */
    public String freeBurstId() {
        return freeId("burst-", bursts.stream().map(Burst::id));
    }

    /** With this burst, in place of one of the same id. */
    public Look withBurst(Burst burst) {
        return withBursts(
                burst(burst.id()).isPresent()
                        ? bursts.stream().map(b -> b.id().equals(burst.id()) ? burst : b).toList()
                        : Lists.plus(bursts, burst));
    }

    /** With a burst changed; itself if there is none of the id. */
    public Look withBurst(String id, UnaryOperator<Burst> change) {
        return burst(id).map(b -> withBurst(change.apply(b))).orElse(this);
    }

    /** Without a burst and what drives it. */
    public Look withoutBurst(String id) {
        return withBursts(bursts.stream().filter(b -> !b.id().equals(id)).toList())
                .driving(
                        t ->
                                t instanceof Target.OfBurst of && of.burst().equals(id)
                                        ? Stream.empty()
                                        : Stream.of(t));
    }

    /** With a step taken out and put in before the one that has this number then. */
    public Look withStepMoved(String id, int to) {
        List<Step> moved = new ArrayList<>(steps);
        Step step = moved.remove(number(id));
        moved.add(to, step);
        return withSteps(moved);
    }

    public Look withAmounts(int step, int lane, UnaryOperator<Amounts> change) {
        return withStep(step, s -> s.withLane(lane, change));
    }

    public Look withAmounts(String step, int lane, UnaryOperator<Amounts> change) {
        return withStep(step, s -> s.withLane(lane, change));
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
        Dial changed = found.withValue(Value.of(value));
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
                                                                .map(a -> a.seeded(seed))
                                                                .toList()))
                                .toList())
                .withBursts(bursts.stream().map(b -> b.withSeed(seed)).toList());
    }
}
