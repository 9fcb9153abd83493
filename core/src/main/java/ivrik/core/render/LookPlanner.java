package ivrik.core.render;

import ivrik.core.colour.ColourSpace;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.ChannelSettings.RandomOrigin;
import ivrik.core.look.ChannelSource;
import ivrik.core.look.ChannelSourceParameters;
import ivrik.core.look.ChannelState;
import ivrik.core.look.DrivenValues;
import ivrik.core.look.FormerNames;
import ivrik.core.look.Look;
import ivrik.core.look.Mask;
import ivrik.core.look.Section;
import ivrik.core.look.Shutter;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfChannelSource;
import ivrik.core.look.Target.OfMask;
import ivrik.core.look.Target.OfOpacity;
import ivrik.core.look.Target.OfOption;
import ivrik.core.look.Target.OfShutter;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Target.OfStrength;
import ivrik.core.look.Targets;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.RandomKey;
import ivrik.core.motion.Value;
import ivrik.core.picture.Size;
import ivrik.core.rejoin.ChannelPrint;
import ivrik.core.render.Plan.ChannelSourcePlan;
import ivrik.core.render.Plan.HuePlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.MaskPlan;
import ivrik.core.render.Plan.MattePlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PictureStepPlan;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.render.Plan.TonePlan;
import ivrik.core.separation.ChannelKind;
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
import java.util.function.Function;

/** Evaluates all values of one look at one instant. */
public final class LookPlanner {
    private static final double PER_CENT = 100;

    private final Look look;
    private final Instant instant;
    private final String place;
    private final DrivenValues driven;

    /**
     * @param place identifies the layer and look, as salt of random values
     */
    public LookPlanner(Look look, Instant instant, String place) {
        this.look = look;
        this.instant = instant;
        this.place = place;
        this.driven = DrivenValues.at(look, instant, place);
    }

    /** The pictures that the look takes from the rest of the project. */
    interface Elsewhere {
        /** The plan of a channel source with constant numbers. */
        ChannelSourcePlan channelSource(ChannelSource channelSource);

        Optional<Picture> source(String id);

        MattePlan matte(Mask.Matte matte);
    }

    /** For a look on its own. */
    private static final Elsewhere NOTHING =
            new Elsewhere() {
                @Override
                public ChannelSourcePlan channelSource(ChannelSource channelSource) {
                    return null;
                }

                @Override
                public Optional<Picture> source(String id) {
                    return Optional.empty();
                }

                @Override
                public MattePlan matte(Mask.Matte matte) {
                    return null;
                }
            };

    /** The plan of a look on its own: without other pictures and without automatic overscan. */
    public static LookPlan plan(Look look, Instant instant) {
        return new LookPlanner(look, instant, "").alone();
    }

    /** The plan without pictures from the rest of the project. */
    LookPlan alone() {
        return alone(new Size(1, 1));
    }

    /**
     * The same for a sequence size, on which the number of motion blur samples depends.
     */
    LookPlan alone(Size size) {
        return exposed(ColourSpace.SRGB, NOTHING, 1, size, 0);
    }

    /** The contribution of dials and bursts to a target. */
    double driven(Target target) {
        return driven.to(target);
    }

    LookPlan plan(ColourSpace colour, Elsewhere elsewhere, double overscan) {
        return new LookPlan(
                look.separation(),
                colour,
                pictureSteps(Section.PREPARE, elsewhere),
                prints(),
                channelSources(elsewhere),
                steps(elsewhere),
                look.rejoin(),
                look.blend().mode(),
                number(new OfOpacity(), look.blend().opacity()),
                mask(elsewhere),
                overscan,
                pictureSteps(Section.FINISH, elsewhere),
                List.of(),
                List.of());
    }

    /**
     * The instants of the shutter; empty if there is no motion blur.
     *
     * @param atLeast minimum number of instants; the shutter has a minimum of its own
     */
    List<Instant> open(int atLeast) {
        double angle =
                Math.min(at(look.shutter().angleDegrees(), new OfShutter()), Shutter.MAX_DEGREES);
        int count = Math.max(atLeast, look.shutter().samples());
        return angle <= 0 ? List.of() : look.shutter().moments(instant, angle, count);
    }

    /**
     * The plan with motion blur.
     *
     * @param size size of the sequence
     * @param atLeast minimum number of motion blur samples
     */
    LookPlan exposed(
            ColourSpace colour, Elsewhere elsewhere, double overscan, Size size, int atLeast) {
        LookPlan plan = plan(colour, elsewhere, overscan);
        Function<Instant, LookPlan> planned =
                moment -> new LookPlanner(look, moment, place).plan(colour, elsewhere, overscan);
        List<LookPlan> moments = open(atLeast).stream().map(planned).toList();
        if (moments.stream().allMatch(plan::equals)) {
            return plan;
        }
        int needed = MotionSamples.ofLooks(moments, size);
        return plan.withMoments(
                needed <= moments.size() ? moments : open(needed).stream().map(planned).toList());
    }

    private double at(Value value, Target target) {
        return value.at(instant) + driven.to(target);
    }

    private List<ChannelSourcePlan> channelSources(Elsewhere elsewhere) {
        List<ChannelSourcePlan> channelSources = new ArrayList<>();
        for (int channel = 0; channel < look.channels().size(); channel++) {
            int number = channel;
            if (look.channels().get(channel).channelSource().isLayerPicture()
                    && driven.isNothing()) {
                channelSources.add(null);
                continue;
            }
            ChannelSource now =
                    ChannelSourceParameters.settled(
                            look.channels().get(channel).channelSource(),
                            (part, value) -> at(value, new OfChannelSource(number, part.name())));
            channelSources.add(now.isPlain() ? null : elsewhere.channelSource(now));
        }
        return Collections.unmodifiableList(channelSources);
    }

    private List<ChannelPrint> prints() {
        List<ChannelKind> kinds = look.model().channels();
        List<ChannelPrint> prints = new ArrayList<>();
        for (int channel : look.order()) {
            ChannelState state = look.channels().get(channel);
            prints.add(
                    new ChannelPrint(
                            channel,
                            look.isShown(channel),
                            state.ink().orElse(kinds.get(channel).ink()),
                            state.blend(),
                            Math.clamp(at(state.strength(), new OfStrength(channel)), 0, 1)));
        }
        return List.copyOf(prints);
    }

    private List<StepPlan> steps(Elsewhere elsewhere) {
        List<StepPlan> steps = new ArrayList<>();
        for (Step step : look.steps()) {
            if (step.on() && !step.isWhole()) {
                List<Settings> channels = channels(step);
                if (channels.stream().anyMatch(Objects::nonNull)) {
                    steps.add(
                            new StepPlan(
                                    step.treatment(), channels, elsewhere.source(step.picture())));
                }
            }
        }
        return List.copyOf(steps);
    }

    /** Settings of each channel; null for a channel without effect. */
    private List<Settings> channels(Step step) {
        List<Settings> channels = new ArrayList<>();
        for (int channel = 0; channel < step.channels().size(); channel++) {
            boolean held = look.channels().get(channel).fixed() && step.kind() instanceof Move;
            Settings settings = held || !look.isShown(channel) ? null : settings(step, channel);
            channels.add(settings == null || step.kind().isNeutral(settings) ? null : settings);
        }
        return Collections.unmodifiableList(channels);
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

    private Optional<MaskPlan> mask(Elsewhere elsewhere) {
        Mask r = look.mask();
        if (r.isNone()) {
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
        return Optional.of(new MaskPlan(tones, hues, matte, r.inverted(), r.spreads()));
    }

    /** A number of the mask, with dials, within its range. */
    private double part(String name) {
        for (Mask.Part part : Mask.PARTS) {
            if (part.name().equals(name)) {
                Value value = part.value().apply(look.mask());
                return part.range().clamp(at(value, new OfMask(name)));
            }
        }
        throw new IllegalArgumentException("a mask has no " + name);
    }

    /**
     * The numbers of a step in one channel, or in the whole picture: values, dials and jitter added, within
     * range.
     */
    public Settings settings(Step step, int channel) {
        ChannelSettings settings = step.settings(channel);
        Description description = step.kind().description();
        double part = done(step, channel);
        Map<String, Double> numbers = new HashMap<>();
        for (String name : settings.values().keySet()) {
            numbers.put(name, setting(step, channel, name, part));
        }
        Map<String, String> choices = new HashMap<>();
        for (Option o : description.options()) {
            double more = driven.to(new OfOption(step.id(), o.name()));
            choices.put(o.name(), o.near(o.choices().indexOf(step.choice(o)) + more));
        }
        Moment moment =
                description.is(Trait.LIVE)
                        ? new Moment(
                                origin(step, channel).channel(),
                                instant.wholeFrame(),
                                draw(step, channel, settings.seed()))
                        : Moment.ANY;
        return new Settings(numbers, choices, step.edgeFill(), step.sampler(), moment);
    }

    /** One of these numbers. */
    public double setting(Step step, int channel, String name) {
        return setting(step, channel, name, done(step, channel));
    }

    private double setting(Step step, int channel, String name, double part) {
        double all = whole(step, channel, name);
        if (part == 1) {
            return all;
        }
        Parameter parameter = step.kind().description().parameter(name);
        double less = parameter.rest() + part * (all - parameter.rest());
        return name.equals(Parameter.AMOUNT) ? PER_CENT : parameter.drives() ? less : all;
    }

    /** Share of a mapping that is applied, 0..1; 1 for other treatments, whose amount is mixed. */
    private double done(Step step, int channel) {
        boolean isPart =
                step.kind() instanceof Move
                        && step.settings(channel).values().containsKey(Parameter.AMOUNT);
        return isPart ? whole(step, channel, Parameter.AMOUNT) / PER_CENT : 1;
    }

    /** A number of a whole-picture step: value, dials, bursts and jitter, within its range. */
    private double whole(Step step, int channel, String name) {
        Parameter parameter = step.kind().description().parameter(name);
        Value value = step.settings(channel).value(name);
        double driven = at(value, target(step, channel, name)) + jitter(step, channel, parameter);
        return limited(parameter, value, driven);
    }

    /** A number that does not belong to a step: value, dials and bursts, within its range. */
    public double number(Target target, Value value) {
        double now = at(value, target);
        return Targets.range(look, target).map(range -> limited(range, value, now)).orElse(now);
    }

    /**
     * A number within its range. Dials, bursts and jitter drive an amount or an opacity up to 100 %, or up to
     * its set value if that is higher.
     */
    private double limited(Parameter range, Value value, double driven) {
        return range.isFullAtRest()
                ? Math.clamp(driven, range.min(), Math.max(range.rest(), value.at(instant)))
                : range.clamp(driven);
    }

    private static Target target(Step step, int channel, String name) {
        return step.isWhole()
                ? new OfStep(step.id(), name)
                : new OfChannel(step.id(), channel, name);
    }

    private double jitter(Step step, int channel, Parameter parameter) {
        ChannelSettings settings = step.settings(channel);
        boolean own = settings.jitters().containsKey(parameter.name());
        Target target = target(step, channel, OfChannel.OWN_JITTER + parameter.name());
        double amount =
                own
                        ? at(settings.jitters().get(parameter.name()).amount(), target)
                        : driven.to(target);
        if (!own && parameter.jitters()) {
            amount += at(settings.jitter().amount(), target(step, channel, OfChannel.JITTER));
        }
        return amount == 0 ? 0 : jitter(step, channel, parameter, amount);
    }

    /** The jitter of a parameter, without dials and bursts. */
    public double ownJitter(Step step, int channel, Parameter parameter) {
        Jitter jitter = step.settings(channel).jitterOf(parameter);
        return jitter(step, channel, parameter, jitter.amount().at(instant));
    }

    private double jitter(Step step, int channel, Parameter parameter, double amount) {
        Jitter jitter = step.settings(channel).jitterOf(parameter);
        double hz =
                Math.clamp(
                        jitter.frequencyHz()
                                + driven.to(target(step, channel, OfChannel.JITTER_RATE)),
                        0,
                        Jitter.MAX_FREQUENCY_HZ);
        return jitter.at(
                instant,
                amount,
                hz,
                draw(step, channel, jitter.seed()),
                origin(step, channel).channel(),
                FormerNames.treatment(step.treatment())
                        + "/"
                        + FormerNames.parameter(step.treatment(), parameter.name()));
    }

    /** Whose random numbers a step uses in a channel. */
    private RandomOrigin origin(Step step, int channel) {
        return step.settings(channel)
                .origin()
                .orElseGet(() -> new RandomOrigin(place, step.id(), channel));
    }

    private RandomKey draw(Step step, int channel, long seed) {
        RandomOrigin origin = origin(step, channel);
        boolean anywhere = step.bySeed() && instant.variation() == 0;
        return new RandomKey(
                seed,
                anywhere
                        ? RandomKey.ANYWHERE
                        : step.bySeed()
                                ? RandomKey.origin(instant.variation())
                                : RandomKey.origin(
                                        instant.variation(),
                                        origin.place(),
                                        FormerNames.step(origin.step())));
    }
}
