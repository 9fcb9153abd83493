package ivrik.core.render;

import ivrik.core.colour.ColourSpace;
import ivrik.core.look.Amounts;
import ivrik.core.look.Driven;
import ivrik.core.look.Feed;
import ivrik.core.look.FeedParts;
import ivrik.core.look.LaneState;
import ivrik.core.look.Look;
import ivrik.core.look.Reach;
import ivrik.core.look.Section;
import ivrik.core.look.Shutter;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfFeed;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfOnto;
import ivrik.core.look.Target.OfReach;
import ivrik.core.look.Target.OfShutter;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Target.OfStrength;
import ivrik.core.look.Target.OfWord;
import ivrik.core.look.Targets;
import ivrik.core.motion.Draw;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Plate;
import ivrik.core.render.Plan.FeedPlan;
import ivrik.core.render.Plan.HuePlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.MattePlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PictureStepPlan;
import ivrik.core.render.Plan.ReachPlan;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.render.Plan.TonePlan;
import ivrik.core.separation.LaneKind;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Move;
import ivrik.core.treatment.Option;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Settings.Moment;
import ivrik.core.treatment.Trait;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** All values of one look at one instant. */
public final class LookPlanner {
    private static final double PER_CENT = 100;

    private final Look look;
    private final Instant instant;
    private final String place;
    private final Driven driven;

    /**
     * @param place names where the look lies, so that what is random differs from place to place
     */
    public LookPlanner(Look look, Instant instant, String place) {
        this.look = look;
        this.instant = instant;
        this.place = place;
        this.driven = Driven.at(look, instant, place);
    }

    /** The pictures that the look takes from elsewhere. */
    interface Elsewhere {
        /** With its numbers as they are now. */
        FeedPlan feed(Feed feed);

        Optional<Picture> source(String id);

        MattePlan matte(Reach.Matte matte);
    }

    /** For a look by itself. */
    private static final Elsewhere NOTHING =
            new Elsewhere() {
                @Override
                public FeedPlan feed(Feed feed) {
                    return null;
                }

                @Override
                public Optional<Picture> source(String id) {
                    return Optional.empty();
                }

                @Override
                public MattePlan matte(Reach.Matte matte) {
                    return null;
                }
            };

    /** A look by itself: without other pictures and without automatic overscan. */
    public static LookPlan plan(Look look, Instant instant) {
        return new LookPlanner(look, instant, "").alone();
    }

    /** The look without what it takes from elsewhere. */
    LookPlan alone() {
        return exposed(ColourSpace.SRGB, NOTHING, 1);
    }

    /** What a dial adds to the value of a target. */
    double driven(Target target) {
        return driven.to(target);
    }

    LookPlan plan(ColourSpace colour, Elsewhere elsewhere, double overscan) {
        return new LookPlan(
                look.separation(),
                colour,
                pictureSteps(Section.PREPARE, elsewhere),
                plates(),
                feeds(elsewhere),
                steps(elsewhere),
                look.rejoin(),
                look.onto().blend(),
                Math.clamp(at(look.onto().amount(), new OfOnto()), 0, 1),
                reach(elsewhere),
                overscan,
                pictureSteps(Section.FINISH, elsewhere),
                List.of(),
                List.of());
    }

    /** The moments that its shutter sees; none if it is off. */
    List<Instant> open() {
        double angle =
                Math.min(at(look.shutter().angleDegrees(), new OfShutter()), Shutter.MOST_DEGREES);
        return angle <= 0 ? List.of() : look.shutter().moments(instant, angle);
    }

    /** The look with what its shutter sees. */
    LookPlan exposed(ColourSpace colour, Elsewhere elsewhere, double overscan) {
        LookPlan plan = plan(colour, elsewhere, overscan);
        List<LookPlan> moments =
                open().stream()
                        .map(
                                moment ->
                                        new LookPlanner(look, moment, place)
                                                .plan(colour, elsewhere, overscan))
                        .toList();
        boolean still = moments.stream().allMatch(plan::equals);
        return still ? plan : plan.withMoments(moments);
    }

    private double at(Value value, Target target) {
        return value.at(instant) + driven.to(target);
    }

    private List<FeedPlan> feeds(Elsewhere elsewhere) {
        List<FeedPlan> feeds = new ArrayList<>();
        for (int lane = 0; lane < look.lanes().size(); lane++) {
            int number = lane;
            if (look.lanes().get(lane).feed().isOwn() && driven.isNothing()) {
                feeds.add(null);
                continue;
            }
            Feed now =
                    FeedParts.settled(
                            look.lanes().get(lane).feed(),
                            (part, value) -> at(value, new OfFeed(number, part.name())));
            feeds.add(now.isPlain() ? null : elsewhere.feed(now));
        }
        return Collections.unmodifiableList(feeds);
    }

    private List<Plate> plates() {
        List<LaneKind> kinds = look.model().lanes();
        List<Plate> plates = new ArrayList<>();
        for (int lane : look.order()) {
            LaneState state = look.lanes().get(lane);
            plates.add(
                    new Plate(
                            lane,
                            look.isShown(lane),
                            state.ink().orElse(kinds.get(lane).ink()),
                            state.blend(),
                            Math.clamp(at(state.strength(), new OfStrength(lane)), 0, 1)));
        }
        return List.copyOf(plates);
    }

    private List<StepPlan> steps(Elsewhere elsewhere) {
        List<StepPlan> steps = new ArrayList<>();
        for (Step step : look.steps()) {
            if (step.on() && !step.isWhole()) {
                List<Settings> lanes = lanes(step);
                if (lanes.stream().anyMatch(Objects::nonNull)) {
                    steps.add(
                            new StepPlan(
                                    step.treatment(), lanes, elsewhere.source(step.picture())));
                }
            }
        }
        return List.copyOf(steps);
    }

    /** What each lane is told; null where it is left alone. */
    private List<Settings> lanes(Step step) {
        List<Settings> lanes = new ArrayList<>();
        for (int lane = 0; lane < step.lanes().size(); lane++) {
            boolean held = look.lanes().get(lane).hold() && step.kind() instanceof Move;
            Settings settings = held || !look.isShown(lane) ? null : settings(step, lane);
            lanes.add(settings == null || step.kind().isNeutral(settings) ? null : settings);
        }
        return Collections.unmodifiableList(lanes);
    }

    private List<PictureStepPlan> pictureSteps(Section section, Elsewhere elsewhere) {
        List<PictureStepPlan> steps = new ArrayList<>();
        for (Step step : look.steps(section)) {
            Settings settings = step.on() ? settings(step, 0) : null;
            if (settings != null && !step.kind().isNeutral(settings)) {
                steps.add(
                        new PictureStepPlan(
                                step.treatment(),
                                settings,
                                elsewhere.source(step.picture()),
                                step.table()));
            }
        }
        return List.copyOf(steps);
    }

    private Optional<ReachPlan> reach(Elsewhere elsewhere) {
        Reach r = look.reach();
        if (r.isAll()) {
            return Optional.empty();
        }
        Optional<TonePlan> tones =
                r.tones().on()
                        ? Optional.of(
                                new TonePlan(
                                        part("low") / PER_CENT,
                                        part("high") / PER_CENT,
                                        part("soft") / PER_CENT,
                                        r.tones().linear()))
                        : Optional.empty();
        Optional<HuePlan> hues =
                r.colour().on()
                        ? Optional.of(new HuePlan(part("hue"), part("width"), part("falloff")))
                        : Optional.empty();
        Optional<MattePlan> matte =
                r.matte().isOn()
                        ? Optional.ofNullable(elsewhere.matte(r.matte()))
                        : Optional.empty();
        return Optional.of(new ReachPlan(tones, hues, matte, r.inverted(), r.spreads()));
    }

    /** A number of the reach, dials included, within its range. */
    private double part(String name) {
        for (Reach.Part part : Reach.PARTS) {
            if (part.name().equals(name)) {
                Value value = part.value().apply(look.reach());
                return part.range().clamp(at(value, new OfReach(name)));
            }
        }
        throw new IllegalArgumentException("a reach has no " + name);
    }

    /** One lane's numbers in a step, or the picture's: values, dials and jitter added up, within range. */
    public Settings settings(Step step, int lane) {
        Amounts amounts = step.amounts(lane);
        Description description = step.kind().description();
        double part = done(step, lane);
        Map<String, Double> numbers = new HashMap<>();
        for (String name : amounts.values().keySet()) {
            numbers.put(name, setting(step, lane, name, part));
        }
        Map<String, String> words = new HashMap<>();
        for (Option o : description.options()) {
            double more = driven.to(new OfWord(step.id(), o.name()));
            words.put(o.name(), o.near(o.words().indexOf(step.word(o)) + more));
        }
        Moment moment =
                description.is(Trait.LIVE)
                        ? new Moment(lane, instant.wholeFrame(), draw(step, amounts.seed()))
                        : Moment.ANY;
        return new Settings(numbers, words, step.edgeFill(), step.sampler(), moment);
    }

    /** One of these numbers, for who wants no other. */
    public double setting(Step step, int lane, String name) {
        return setting(step, lane, name, done(step, lane));
    }

    private double setting(Step step, int lane, String name, double part) {
        double all = whole(step, lane, name);
        if (part == 1) {
            return all;
        }
        Parameter parameter = step.kind().description().parameter(name);
        double less = parameter.rest() + part * (all - parameter.rest());
        return name.equals(Parameter.AMOUNT) ? PER_CENT : parameter.drives() ? less : all;
    }

    /** How much of a move is done, 0..1: of a move less than all is a lesser move. All of what is no move. */
    private double done(Step step, int lane) {
        boolean isPart =
                step.kind() instanceof Move
                        && step.amounts(lane).values().containsKey(Parameter.AMOUNT);
        return isPart ? whole(step, lane, Parameter.AMOUNT) / PER_CENT : 1;
    }

    /** A number of a step that is done as a whole: its value, what drives it and jitter, within its range. */
    private double whole(Step step, int lane, String name) {
        Parameter parameter = step.kind().description().parameter(name);
        double value = at(step.amounts(lane).value(name), target(step, lane, name));
        return parameter.clamp(value + jitter(step, lane, parameter));
    }

    /** What a number comes to that is not one of a step's: its value and what drives it, within its range. */
    public double number(Target target, Value value) {
        double now = at(value, target);
        return Targets.range(look, target).map(range -> range.clamp(now)).orElse(now);
    }

    private static Target target(Step step, int lane, String name) {
        return step.isWhole() ? new OfStep(step.id(), name) : new OfLane(step.id(), lane, name);
    }

    private double jitter(Step step, int lane, Parameter parameter) {
        Amounts amounts = step.amounts(lane);
        boolean own = amounts.jitters().containsKey(parameter.name());
        if (!own && !parameter.jitters()) {
            return 0;
        }
        String amount = own ? OfLane.OWN_JITTER + parameter.name() : OfLane.JITTER;
        Jitter jitter = amounts.jitterOf(parameter);
        return jitter(step, lane, parameter, at(jitter.amount(), target(step, lane, amount)));
    }

    /** What is added to a parameter at random, dials and bursts left out. */
    public double ownJitter(Step step, int lane, Parameter parameter) {
        Jitter jitter = step.amounts(lane).jitterOf(parameter);
        return jitter(step, lane, parameter, jitter.amount().at(instant));
    }

    private double jitter(Step step, int lane, Parameter parameter, double amount) {
        Jitter jitter = step.amounts(lane).jitterOf(parameter);
        double hz =
                Math.clamp(
                        jitter.frequencyHz() + driven.to(target(step, lane, OfLane.JITTER_RATE)),
                        0,
                        Jitter.MAX_FREQUENCY_HZ);
        return jitter.at(
                instant,
                amount,
                hz,
                draw(step, jitter.seed()),
                lane,
                step.treatment() + "/" + parameter.name());
    }

    private Draw draw(Step step, long seed) {
        boolean anywhere = step.bySeed() && instant.roll() == 0;
        return new Draw(
                seed,
                anywhere
                        ? Draw.ANYWHERE
                        : step.bySeed()
                                ? Draw.origin(instant.roll())
                                : Draw.origin(instant.roll(), place, step.id()));
    }
}
