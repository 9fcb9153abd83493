package ivrik.core.render;

import ivrik.core.UnknownNameException;
import ivrik.core.look.Amounts;
import ivrik.core.look.Dial.Link;
import ivrik.core.look.Feed;
import ivrik.core.look.LaneState;
import ivrik.core.look.Look;
import ivrik.core.look.Place;
import ivrik.core.look.Reach;
import ivrik.core.look.Step;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Rational;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.rejoin.Plate;
import ivrik.core.render.Plan.FeedPlan;
import ivrik.core.render.Plan.HuePlan;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.MattePlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PlacePlan;
import ivrik.core.render.Plan.ReachPlan;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.render.Plan.TonePlan;
import ivrik.core.separation.LaneKind;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Move;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Settings.Moment;
import ivrik.core.treatment.Trait;
import ivrik.core.treatment.Treatment;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Evaluates all values of a project at a frame. */
public final class Planner {
    private Planner() {}

    /** The plan of a frame of the sequence. */
    public static Plan plan(Project project, long frame) {
        List<LayerPlan> layers = new ArrayList<>();
        for (Layer layer : project.layers()) {
            if (layer.visible()) {
                planLayer(project, layer, frame).ifPresent(layers::add);
            }
        }
        return new Plan(
                project.sequence().size(), project.sequence().ground(), List.copyOf(layers));
    }

    private static Optional<LayerPlan> planLayer(Project project, Layer layer, long frame) {
        return picture(project, layer, frame)
                .map(
                        picture ->
                                new LayerPlan(
                                        layer.id(),
                                        picture,
                                        place(layer.place(), frame),
                                        layer.looks().stream()
                                                .map(l -> look(project, layer, l, frame))
                                                .toList(),
                                        layer.blend(),
                                        Math.clamp(layer.opacity().at(frame), 0, 1)));
    }

    private static Optional<Picture> picture(Project project, Layer layer, long frame) {
        return layer.clipAt(frame)
                .flatMap(
                        clip ->
                                project.source(clip.source())
                                        .map(
                                                source ->
                                                        new Picture(
                                                                source,
                                                                clip.sourceFrame(
                                                                        frame,
                                                                        source,
                                                                        project.sequence()
                                                                                .rate()))));
    }

    private static PlacePlan place(Place place, long frame) {
        return new PlacePlan(
                place.fit(),
                place.x().at(frame),
                place.y().at(frame),
                Math.max(1e-3, place.scale().at(frame)),
                place.angleDegrees().at(frame),
                place.flipX(),
                place.flipY());
    }

    private static LookPlan look(Project project, Layer layer, LayerLook look, long frame) {
        Rational rate = project.sequence().rate();
        LookPlan plan = look(look.look(), Rational.of(frame), rate);
        if (!look.on()) {
            return plan.untouched();
        }
        List<FeedPlan> feeds =
                look.look().lanes().stream()
                        .map(s -> s.feed().isOwn() ? null : feed(project, layer, s.feed(), frame))
                        .toList();
        List<StepPlan> steps =
                plan.steps().stream()
                        .map(
                                s ->
                                        s.withPicture(
                                                used(
                                                        project,
                                                        layer,
                                                        look.look().steps().get(s.number()),
                                                        frame)))
                        .toList();
        double overscan = Overscans.of(look.look(), layer.range(), project.sequence()).scale();
        return plan.with(
                feeds,
                steps,
                plan.reach().map(r -> withMatte(r, project, layer, look.look().reach(), frame)),
                overscan);
    }

    /** The picture that a treatment uses. */
    private static Optional<Picture> used(Project project, Layer layer, Step step, long frame) {
        return project.source(step.picture()).map(s -> other(project, s, layer.range(), frame));
    }

    private static ReachPlan withMatte(
            ReachPlan reach, Project project, Layer layer, Reach told, long frame) {
        if (!told.matte().isOn()) {
            return reach;
        }
        Layer matte = project.layer(told.matte().layer()).orElse(null);
        MattePlan plan =
                new MattePlan(
                        matte == null ? Optional.empty() : picture(project, matte, frame),
                        place((matte == null ? layer : matte).place(), frame),
                        told.matte().channel() == Reach.Matte.Channel.LUMA);
        return new ReachPlan(
                reach.tones(), reach.hues(), Optional.of(plan), reach.inverted(), reach.spreads());
    }

    private static Optional<ReachPlan> reach(Look look, Rational frame) {
        Reach r = look.reach();
        if (r.isAll()) {
            return Optional.empty();
        }
        Optional<TonePlan> tones =
                r.tones().on()
                        ? Optional.of(
                                new TonePlan(
                                        part(look, "low", frame) / 100,
                                        part(look, "high", frame) / 100,
                                        part(look, "soft", frame) / 100,
                                        r.tones().linear()))
                        : Optional.empty();
        Optional<HuePlan> hues =
                r.colour().on()
                        ? Optional.of(
                                new HuePlan(
                                        part(look, "hue", frame),
                                        part(look, "width", frame),
                                        part(look, "falloff", frame)))
                        : Optional.empty();
        return Optional.of(new ReachPlan(tones, hues, Optional.empty(), r.inverted(), r.spreads()));
    }

    /** A number of the reach, dials included, within its range. */
    private static double part(Look look, String name, Rational frame) {
        Reach.Part part =
                UnknownNameException.find("part of a reach", name, Reach.PARTS, Reach.Part::name);
        double value =
                part.value().apply(look.reach()).at(frame)
                        + look.driven(Link.REACH, 0, name, frame);
        return Math.clamp(value, part.min(), part.max());
    }

    /** The picture of a lane that takes it from elsewhere. */
    private static FeedPlan feed(Project project, Layer layer, Feed feed, long frame) {
        FrameRange range = layer.range();
        int inside =
                feed.beyond()
                        .inside(
                                (int) (frame - feed.delayFrames() - range.first()),
                                (int) range.length());
        long at = range.first() + inside;
        Place place = feed.place().equals(Place.FITTED) ? layer.place() : feed.place();
        Optional<Picture> picture =
                inside < 0
                        ? Optional.empty()
                        : feed.source().isEmpty()
                                ? picture(project, layer, at)
                                : project.source(feed.source())
                                        .map(s -> other(project, s, range, at));
        return new FeedPlan(picture, place(place, frame));
    }

    /** Another source's picture, as if it began with the layer. */
    private static Picture other(Project project, Source source, FrameRange range, long frame) {
        Clip clip = new Clip(source.id(), range.first(), range.length(), 0);
        return new Picture(source, clip.sourceFrame(frame, source, project.sequence().rate()));
    }

    /** A look at a frame, at {@code rate} frames a second, by itself: without other pictures. */
    public static LookPlan look(Look look, Rational frame, Rational rate) {
        List<StepPlan> steps = new ArrayList<>();
        for (int i = 0; i < look.steps().size(); i++) {
            StepPlan step = step(look, i, frame, rate);
            if (step.lanes().stream().anyMatch(java.util.Objects::nonNull)) {
                steps.add(step);
            }
        }
        return new LookPlan(
                look.separation(),
                plates(look, frame),
                Collections.nCopies(look.lanes().size(), null),
                List.copyOf(steps),
                look.rejoin(),
                look.onto().blend(),
                Math.clamp(look.onto().amount().at(frame), 0, 1),
                reach(look, frame),
                1);
    }

    private static List<Plate> plates(Look look, Rational frame) {
        List<LaneKind> kinds = look.model().lanes();
        return look.order().stream()
                .map(
                        lane -> {
                            LaneState state = look.lanes().get(lane);
                            return new Plate(
                                    lane,
                                    look.isShown(lane),
                                    state.ink().orElse(kinds.get(lane).ink()),
                                    state.blend(),
                                    Math.clamp(state.strength().at(frame), 0, 1));
                        })
                .toList();
    }

    private static StepPlan step(Look look, int index, Rational frame, Rational rate) {
        Step step = look.steps().get(index);
        Treatment treatment = step.kind();
        List<Settings> lanes = new ArrayList<>();
        for (int lane = 0; lane < step.lanes().size(); lane++) {
            boolean held = look.lanes().get(lane).hold() && treatment instanceof Move;
            Settings settings = settings(look, index, lane, frame, rate);
            boolean acts =
                    step.on() && !held && look.isShown(lane) && !treatment.isNeutral(settings);
            lanes.add(acts ? settings : null);
        }
        return new StepPlan(
                step.treatment(), index, Collections.unmodifiableList(lanes), Optional.empty());
    }

    /** One lane's numbers in a step at a frame: values, dials and jitter added up, within range. */
    public static Settings settings(Look look, int index, int lane, Rational frame, Rational rate) {
        Step step = look.steps().get(index);
        Amounts amounts = step.lanes().get(lane);
        Jitter jitter = amounts.jitter();
        double shake = jitter.amount().at(frame) + look.driven(index, lane, Link.JITTER, frame);
        double hz =
                Math.clamp(
                        jitter.frequencyHz() + look.driven(index, lane, Link.RATE, frame),
                        0,
                        Jitter.MAX_FREQUENCY_HZ);
        Description description = step.kind().description();
        Map<String, Double> numbers = new HashMap<>();
        for (String name : amounts.values().keySet()) {
            Parameter parameter = description.parameter(name);
            double value = amounts.value(name).at(frame) + look.driven(index, lane, name, frame);
            if (parameter.jitters()) {
                value += jitter.at(frame, shake, hz, rate, lane, step.treatment() + "/" + name);
            }
            numbers.put(name, parameter.clamp(value));
        }
        if (step.kind() instanceof Move) {
            lessen(description, numbers);
        }
        Moment moment =
                description.is(Trait.LIVE)
                        ? new Moment(lane, (long) Math.floor(frame.toDouble()))
                        : Moment.ANY;
        return new Settings(
                numbers, complete(step, description), step.edgeFill(), step.sampler(), moment);
    }

    /** Of a move less than all is a lesser move. */
    private static void lessen(Description description, Map<String, Double> numbers) {
        double amount = numbers.getOrDefault(Parameter.AMOUNT, 100.0) / 100;
        if (amount == 1) {
            return;
        }
        numbers.replaceAll(
                (name, value) -> {
                    Parameter p = description.parameter(name);
                    return p.drives() ? p.rest() + amount * (value - p.rest()) : value;
                });
        numbers.put(Parameter.AMOUNT, 100.0);
    }

    /** The choices, those at rest included. */
    private static Map<String, String> complete(Step step, Description description) {
        Map<String, String> words = new HashMap<>();
        description.options().forEach(o -> words.put(o.name(), step.word(o)));
        return words;
    }
}
