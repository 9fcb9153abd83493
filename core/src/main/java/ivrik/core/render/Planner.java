package ivrik.core.render;

import ivrik.core.look.ChannelSource;
import ivrik.core.look.Mask;
import ivrik.core.look.Placement;
import ivrik.core.look.Target.OfPlacement;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Rational;
import ivrik.core.motion.TimelineContext;
import ivrik.core.motion.Value;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Marker;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.render.Plan.Below;
import ivrik.core.render.Plan.ChannelSourcePlan;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.MattePlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PlacementPlan;
import ivrik.core.render.Plan.Seen;
import ivrik.core.threads.Cancellation;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Evaluates all values of a project. Everything that does not depend on time is computed once, so one planner
 * should be kept for many frames.
 */
public final class Planner {
    private final Project project;
    private final Sequence sequence;
    private final OverscanFinder overscans;
    private final Map<String, Source> sources = new HashMap<>();
    private final Map<String, Map<String, Long>> cuts = new HashMap<>();
    private final Map<String, Long> markers;

    public Planner(Project project) {
        this(project, new OverscanFinder());
    }

    /**
     * @param overscans previously found overscans
     */
    public Planner(Project project, OverscanFinder overscans) {
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

    /** The plan of a moment, which may lie between frames. */
    public Plan plan(Rational frame) {
        return plan(frame, Cancellation.NEVER);
    }

    /**
     * The same, cancellable: automatic overscan evaluates all frames.
     *
     * @throws ivrik.core.threads.CancelledException if cancelled
     */
    public Plan plan(Rational frame, Cancellation cancel) {
        return plan(frame, (layer, look) -> overscan(layer, look, cancel));
    }

    /**
     * A plan without waiting: unknown automatic overscan keeps its last value. For pictures that are shown
     * until the exact one is ready.
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

    /** Identifies the look of a layer, as salt of random values. */
    public static String place(Layer layer, LayerLook look) {
        return layer.id() + "/" + look.id();
    }

    /** Provides the overscan of a layer's look. */
    private interface Scaled {
        double by(Layer layer, LayerLook look);
    }

    private Plan plan(Rational frame, Scaled scaled) {
        return new Plan(
                sequence.size(), sequence.background(), plans(project.layers(), frame, scaled));
    }

    private List<LayerPlan> plans(List<Layer> layers, Rational frame, Scaled scaled) {
        return layers.stream()
                .filter(Layer::visible)
                .flatMap(layer -> layer(layer, frame, scaled).stream())
                .toList();
    }

    /** The layers below a layer at a moment. */
    private List<LayerPlan> below(Layer layer, Rational frame, Scaled scaled) {
        List<Layer> under =
                project.layers().stream().takeWhile(l -> !l.id().equals(layer.id())).toList();
        return plans(under, frame, scaled);
    }

    /** The instant of a frame with the timeline context of a layer. */
    public Instant instant(Layer layer, Rational frame) {
        Optional<Clip> clip = layer.clipAt(frame.floor());
        TimelineContext timelineContext =
                new TimelineContext(
                        clip.map(Clip::start).orElse(0L),
                        clip.map(c -> c.end() - 1).orElse(0L),
                        cuts.getOrDefault(layer.id(), Map.of()),
                        markers);
        return new Instant(frame, sequence.rate(), timelineContext, 0);
    }

    private Optional<LayerPlan> layer(Layer layer, Rational frame, Scaled scaled) {
        Optional<Picture> picture = picture(layer, frame);
        boolean span = layer.clipAt(frame.floor()).filter(Clip::isSpan).isPresent();
        if (picture.isEmpty() && !span) {
            return Optional.empty();
        }
        Instant instant = instant(layer, frame);
        Optional<Clip> shot = layer.clipAt(frame.floor());
        List<LookPlanner> planners = planners(layer, frame);
        PlacementPlan place = place(layer, frame, planners);
        int first = planners.isEmpty() || span ? -1 : firstInUse(layer, shot);
        List<LookPlan> looks = new ArrayList<>();
        for (LayerLook look : layer.looks()) {
            LookPlanner planner = planner(layer, look, instant);
            boolean carries = looks.size() == first; // the movement of the layer
            int samples =
                    carries
                            ? MotionSamples.ofPlaces(places(layer, planner, 0), sequence.size())
                            : 0;
            LookPlan plan = look(layer, look, planner, frame, scaled, samples);
            looks.add(carries ? moving(plan, layer, planner, place, samples) : plan);
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

    /** Placement of a layer at a moment: its values plus the dials and bursts of its looks. */
    private static PlacementPlan place(Layer layer, Rational frame, List<LookPlanner> planners) {
        return PlacementTransform.plan(
                layer.placement()
                        .settled(part -> number(layer.placement(), part, frame, planners)));
    }

    private static double number(
            Placement place, Placement.Part part, Rational frame, List<LookPlanner> planners) {
        double sum = part.value().apply(place).at(frame);
        for (LookPlanner planner : planners) {
            sum += planner.driven(new OfPlacement(part.name()));
        }
        return sum;
    }

    private static int firstInUse(Layer layer, Optional<Clip> shot) {
        return layer.looks().stream().map(l -> l.isOn(shot)).toList().indexOf(true);
    }

    /** Planners of a layer's active looks at a moment. */
    private List<LookPlanner> planners(Layer layer, Rational frame) {
        Instant instant = instant(layer, frame);
        Optional<Clip> shot = layer.clipAt(frame.floor());
        return layer.looks().stream()
                .filter(look -> look.isOn(shot))
                .map(look -> planner(layer, look, instant))
                .toList();
    }

    /** The first active look, with the placement at each instant of the shutter if it moves. */
    private LookPlan moving(
            LookPlan plan, Layer layer, LookPlanner planner, PlacementPlan now, int samples) {
        List<PlacementPlan> places =
                places(layer, planner, Math.max(samples, plan.moments().size()));
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

    /** Placement of a layer at each instant of a look's shutter. */
    private List<PlacementPlan> places(Layer layer, LookPlanner planner, int samples) {
        return planner.open(samples).stream()
                .map(Instant::frame)
                .map(moment -> place(layer, moment, planners(layer, moment)))
                .toList();
    }

    /** The planner of one of a layer's looks at an instant. */
    public static LookPlanner planner(Layer layer, LayerLook look, Instant instant) {
        return new LookPlanner(look.look(), instant, place(layer, look));
    }

    private LookPlan look(
            Layer layer,
            LayerLook look,
            LookPlanner planner,
            Rational frame,
            Scaled scaled,
            int samples) {
        boolean on = look.isOn(layer.clipAt(frame.floor()));
        LookPlan plan =
                planner.exposed(
                        sequence.colour(),
                        new Others(layer, frame, scaled),
                        on ? scaled.by(layer, look) : 1,
                        sequence.size(),
                        samples);
        return on ? plan : plan.untouched();
    }

    /** The effective overscan: none, fixed, or as required. */
    public double overscan(Layer layer, LayerLook look, Cancellation cancel) {
        return switch (look.look().overscan().kind()) {
            case OFF -> 1;
            case FIXED -> look.look().overscan().scale();
            case AUTOMATIC -> demanded(layer, look, cancel).scale();
        };
    }

    /**
     * The overscan that a look requires, whether or not it is applied.
     *
     * @throws ivrik.core.threads.CancelledException if cancelled
     */
    public OverscanFinder.Result demanded(Layer layer, LayerLook look, Cancellation cancel) {
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
                n -> planner(layer, look, instant(layer, Rational.of(n))).alone(sequence.size()),
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

    private static PlacementPlan at(Placement place, Rational frame) {
        return PlacementTransform.plan(place.settled(part -> part.value().apply(place).at(frame)));
    }

    /** What the looks of a layer take from the rest of the project. */
    private final class Others implements LookPlanner.Elsewhere {
        private final Layer layer;
        private final Rational frame;
        private final Scaled scaled;

        Others(Layer layer, Rational frame, Scaled scaled) {
            this.scaled = scaled;
            this.layer = layer;
            this.frame = frame;
        }

        /** Another source's picture, aligned with the start of the layer. */
        private Picture other(Source source, Rational at) {
            return picture(source, ChannelSourcePlanner.alongside(layer, source.id()), at);
        }

        @Override
        public Optional<Picture> source(String id) {
            return Optional.ofNullable(sources.get(id)).map(s -> other(s, frame));
        }

        /**
         * The picture of a channel with its own source; null if only its cuts differ and none is near.
         */
        @Override
        public ChannelSourcePlan channelSource(ChannelSource channelSource) {
            boolean placed = !channelSource.placement().equals(Placement.FITTED);
            ChannelSourcePlan plan =
                    new ChannelSourcePlanner(
                                    layer,
                                    channelSource,
                                    frame.floor(),
                                    (clip, at) -> seen(clip, Rational.of(at)))
                            .plan(
                                    at(
                                            placed ? channelSource.placement() : layer.placement(),
                                            frame),
                                    source(channelSource.slitScan().picture()));
            boolean own =
                    !placed
                            && channelSource.delayFrames().equals(Value.ZERO)
                            && plan.slit().isEmpty()
                            && plan.trail().isEmpty()
                            && plan.picture().isPresent()
                            && plan.picture().equals(Planner.this.picture(layer, frame));
            return own ? null : plan;
        }

        /** What a clip shows; for a span, the picture below at that time. */
        private Optional<Seen> seen(Clip clip, Rational at) {
            return clip.isSpan()
                    ? Optional.of(new Below(below(layer, at, scaled)))
                    : Planner.this.picture(clip, at).map(picture -> picture);
        }

        @Override
        public MattePlan matte(Mask.Matte matte) {
            Optional<Layer> other = project.layer(matte.layer());
            return new MattePlan(
                    other.flatMap(l -> Planner.this.picture(l, frame)),
                    at(other.orElse(layer).placement(), frame),
                    matte.channel() == Mask.Matte.Channel.LUMA);
        }
    }
}
