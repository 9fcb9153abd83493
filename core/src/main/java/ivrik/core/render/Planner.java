package ivrik.core.render;

import ivrik.core.look.Feed;
import ivrik.core.look.Place;
import ivrik.core.look.Reach;
import ivrik.core.look.Target.OfPlace;
import ivrik.core.motion.Around;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Marker;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.render.Plan.Beneath;
import ivrik.core.render.Plan.FeedPlan;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.MattePlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PlacePlan;
import ivrik.core.render.Plan.Seen;
import ivrik.core.threads.Cancel;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Evaluates all values of a project. What does not depend on time is worked out once: to plan many frames
 * of a project, keep its planner.
 */
public final class Planner {
    private final Project project;
    private final Sequence sequence;
    private final Overscans overscans;
    private final Map<String, Source> sources = new HashMap<>();
    private final Map<String, Map<String, Long>> cuts = new HashMap<>();
    private final Map<String, Long> markers;

    public Planner(Project project) {
        this(project, new Overscans());
    }

    /**
     * @param overscans what is known of overscan from before
     */
    public Planner(Project project, Overscans overscans) {
        this.project = project;
        this.sequence = project.sequence();
        this.overscans = overscans;
        project.sources().forEach(s -> sources.put(s.id(), s));
        project.layers().forEach(l -> cuts.put(l.id(), project.cuts(l)));
        this.markers =
                project.markers().stream().collect(Collectors.toMap(Marker::id, Marker::frame));
    }

    /** The plan of one frame. */
    public static Plan plan(Project project, long frame) {
        return new Planner(project).plan(frame);
    }

    /** The plan of a frame of the sequence. */
    public Plan plan(long frame) {
        return plan(Rational.of(frame));
    }

    /** The plan of a moment, which may lie between whole frames. */
    public Plan plan(Rational frame) {
        return plan(frame, Cancel.NEVER);
    }

    /**
     * The same while it is wanted: automatic overscan needs the moves of all frames.
     *
     * @throws ivrik.core.threads.CancelledException when {@code cancel} says so
     */
    public Plan plan(Rational frame, Cancel cancel) {
        return plan(frame, (layer, look) -> overscan(layer, look, cancel));
    }

    /**
     * A plan that can be had at once: where automatic overscan is not known yet, it is what it was before
     * the last edit. For pictures that are to be shown until the true one is there.
     */
    public Plan guess(long frame) {
        return plan(Rational.of(frame), this::guessed);
    }

    private double guessed(Layer layer, LayerLook look) {
        return switch (look.look().overscan().kind()) {
            case OFF -> 1;
            case FIXED -> look.look().overscan().scale();
            case AUTOMATIC -> overscans.latest(place(layer, look));
        };
    }

    private static String place(Layer layer, LayerLook look) {
        return layer.id() + "/" + look.id();
    }

    /** Says how much a layer's look is scaled up. */
    private interface Scaled {
        double by(Layer layer, LayerLook look);
    }

    private Plan plan(Rational frame, Scaled scaled) {
        return new Plan(sequence.size(), sequence.ground(), plans(project.layers(), frame, scaled));
    }

    private List<LayerPlan> plans(List<Layer> layers, Rational frame, Scaled scaled) {
        return layers.stream()
                .filter(Layer::visible)
                .flatMap(layer -> layer(layer, frame, scaled).stream())
                .toList();
    }

    /** What lies beneath a layer at a moment. */
    private List<LayerPlan> beneath(Layer layer, Rational frame, Scaled scaled) {
        List<Layer> under =
                project.layers().stream().takeWhile(l -> !l.id().equals(layer.id())).toList();
        return plans(under, frame, scaled);
    }

    /** The instant of a frame, as a layer sees it. */
    public Instant instant(Layer layer, Rational frame) {
        Optional<Clip> clip = layer.clipAt(frame.floor());
        Around around =
                new Around(
                        clip.map(Clip::start).orElse(0L),
                        clip.map(c -> c.end() - 1).orElse(0L),
                        cuts.getOrDefault(layer.id(), Map.of()),
                        markers);
        return new Instant(frame, sequence.rate(), around, 0);
    }

    private Optional<LayerPlan> layer(Layer layer, Rational frame, Scaled scaled) {
        Optional<Picture> picture = picture(layer, frame);
        boolean span = layer.clipAt(frame.floor()).filter(Clip::isSpan).isPresent();
        if (picture.isEmpty() && !span) {
            return Optional.empty();
        }
        Instant instant = instant(layer, frame);
        Optional<Clip> shot = layer.clipAt(frame.floor());
        List<LookPlan> looks = new ArrayList<>();
        List<LookPlanner> planners = new ArrayList<>();
        for (LayerLook look : layer.looks()) {
            LookPlanner planner = planner(layer, look, instant);
            LookPlan plan = look(layer, look, planner, frame, scaled);
            looks.add(plan);
            if (look.isOn(shot)) {
                planners.add(planner);
            }
        }
        PlacePlan place = place(layer, frame, planners);
        if (!planners.isEmpty() && !span) {
            int first = firstInUse(layer, shot);
            looks.set(first, moving(looks.get(first), layer, planners.getFirst(), place));
        }
        return Optional.of(
                new LayerPlan(
                        layer.id(),
                        picture,
                        place,
                        List.copyOf(looks),
                        layer.blend(),
                        Math.clamp(layer.opacity().at(frame), 0, 1)));
    }

    /** Where a layer lies at a moment: what its place says, and the dials and bursts of its looks. */
    private static PlacePlan place(Layer layer, Rational frame, List<LookPlanner> planners) {
        return Placement.plan(
                layer.place().settled(part -> number(layer.place(), part, frame, planners)));
    }

    private static double number(
            Place place, Place.Part part, Rational frame, List<LookPlanner> planners) {
        double sum = part.value().apply(place).at(frame);
        for (LookPlanner planner : planners) {
            sum += planner.driven(new OfPlace(part.name()));
        }
        return sum;
    }

    private static int firstInUse(Layer layer, Optional<Clip> shot) {
        return layer.looks().stream().map(l -> l.isOn(shot)).toList().indexOf(true);
    }

    /** The values at a moment of all looks of a layer that are in use. */
    private List<LookPlanner> planners(Layer layer, Rational frame) {
        Instant instant = instant(layer, frame);
        Optional<Clip> shot = layer.clipAt(frame.floor());
        return layer.looks().stream()
                .filter(look -> look.isOn(shot))
                .map(look -> planner(layer, look, instant))
                .toList();
    }

    /** The first look in use, with where the layer lies at each moment that it sees, if it moves meanwhile. */
    private LookPlan moving(LookPlan plan, Layer layer, LookPlanner planner, PlacePlan now) {
        List<PlacePlan> places =
                planner.open().stream()
                        .map(Instant::frame)
                        .map(moment -> place(layer, moment, planners(layer, moment)))
                        .toList();
        if (places.stream().allMatch(now::equals)) {
            return plan;
        }
        LookPlan still = plan.withMoments(List.of());
        List<LookPlan> moments =
                plan.moments().isEmpty()
                        ? Collections.nCopies(places.size(), still)
                        : plan.moments();
        return plan.withMoments(moments).withPlaces(places);
    }

    /** The values of one of a layer's looks at an instant. */
    public static LookPlanner planner(Layer layer, LayerLook look, Instant instant) {
        return new LookPlanner(look.look(), instant, place(layer, look));
    }

    private LookPlan look(
            Layer layer, LayerLook look, LookPlanner planner, Rational frame, Scaled scaled) {
        boolean on = look.isOn(layer.clipAt(frame.floor()));
        LookPlan plan =
                planner.exposed(
                        sequence.colour(),
                        new Others(layer, frame, scaled),
                        on ? scaled.by(layer, look) : 1);
        return on ? plan : plan.untouched();
    }

    /** The overscan in force: none, what the user says, or what the moves demand. */
    public double overscan(Layer layer, LayerLook look, Cancel cancel) {
        return switch (look.look().overscan().kind()) {
            case OFF -> 1;
            case FIXED -> look.look().overscan().scale();
            case AUTOMATIC -> demanded(layer, look, cancel).scale();
        };
    }

    /**
     * What overscan the moves of a look demand, whether or not it is in force.
     *
     * @throws ivrik.core.threads.CancelledException when {@code cancel} says so
     */
    public Overscans.Result demanded(Layer layer, LayerLook look, Cancel cancel) {
        record Asked(
                String layer,
                LayerLook look,
                FrameRange range,
                Sequence sequence,
                Map<String, Long> cuts,
                Map<String, Long> markers) {}
        return overscans.demanded(
                place(layer, look),
                new Asked(layer.id(), look, layer.range(), sequence, cuts.get(layer.id()), markers),
                layer.range(),
                sequence.size(),
                n -> planner(layer, look, instant(layer, Rational.of(n))).alone(),
                cancel);
    }

    private Optional<Picture> picture(Layer layer, Rational frame) {
        return layer.clipAt(frame.floor()).flatMap(clip -> picture(clip, frame));
    }

    private Optional<Picture> picture(Clip clip, Rational frame) {
        return Optional.ofNullable(sources.get(clip.source())).map(s -> picture(s, clip, frame));
    }

    private Picture picture(Source source, Clip clip, Rational frame) {
        return new Picture(
                source, clip.sourceFrame(frame, source, sequence.rate()), sequence.colour());
    }

    private static PlacePlan at(Place place, Rational frame) {
        return Placement.plan(place.settled(part -> part.value().apply(place).at(frame)));
    }

    /** What the looks of a layer take from elsewhere in the project. */
    private final class Others implements LookPlanner.Elsewhere {
        private final Layer layer;
        private final Rational frame;
        private final Scaled scaled;

        Others(Layer layer, Rational frame, Scaled scaled) {
            this.scaled = scaled;
            this.layer = layer;
            this.frame = frame;
        }

        /** Another source's picture, as if it began with the layer. */
        private Picture other(Source source, Rational at) {
            return picture(source, FeedPlanner.alongside(layer, source.id()), at);
        }

        @Override
        public Optional<Picture> source(String id) {
            return Optional.ofNullable(sources.get(id)).map(s -> other(s, frame));
        }

        /** The picture of a lane that takes it from elsewhere; null where only its cuts differ, and it is away from them. */
        @Override
        public FeedPlan feed(Feed feed) {
            boolean placed = !feed.place().equals(Place.FITTED);
            FeedPlan plan =
                    new FeedPlanner(
                                    layer,
                                    feed,
                                    frame.floor(),
                                    (clip, at) -> seen(clip, Rational.of(at)))
                            .plan(
                                    at(placed ? feed.place() : layer.place(), frame),
                                    source(feed.slit().picture()));
            boolean own =
                    !placed
                            && feed.delayFrames().equals(Value.ZERO)
                            && plan.slit().isEmpty()
                            && plan.trail().isEmpty()
                            && plan.picture().isPresent()
                            && plan.picture().equals(Planner.this.picture(layer, frame));
            return own ? null : plan;
        }

        /** What a clip shows; of a span, what lies beneath it then. */
        private Optional<Seen> seen(Clip clip, Rational at) {
            return clip.isSpan()
                    ? Optional.of(new Beneath(beneath(layer, at, scaled)))
                    : Planner.this.picture(clip, at).map(picture -> picture);
        }

        @Override
        public MattePlan matte(Reach.Matte matte) {
            Optional<Layer> other = project.layer(matte.layer());
            return new MattePlan(
                    other.flatMap(l -> Planner.this.picture(l, frame)),
                    at(other.orElse(layer).place(), frame),
                    matte.channel() == Reach.Matte.Channel.LUMA);
        }
    }
}
