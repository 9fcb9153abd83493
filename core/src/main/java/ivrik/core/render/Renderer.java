package ivrik.core.render;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Region;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;
import ivrik.core.project.Project;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Composite;
import ivrik.core.render.LookRenderer.Supplies;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PlacePlan;
import ivrik.core.render.Plan.ReachPlan;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.treatment.Pattern;

import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * Makes frames: {@code source -> separate -> treat each lane -> rejoin -> onto -> layer over layer}.
 * The same plan gives the same bytes, whatever the threads, the cache or the order of calls. Safe for
 * many threads.
 */
public final class Renderer {
    private final Pictures pictures;
    private final Workers workers;
    private final LookRenderer looks;
    private final FrameCache placed;
    private final FrameCache looked;

    /**
     * @param cacheBytes memory for sources at the size shown, and as much again for finished layers
     */
    public Renderer(Pictures pictures, Workers workers, long cacheBytes) {
        this.pictures = pictures;
        this.workers = workers;
        this.looks = new LookRenderer(workers);
        this.placed = new FrameCache(cacheBytes);
        this.looked = new FrameCache(cacheBytes);
    }

    /** Lets go of all that was kept, because a source has changed. */
    public void forget() {
        placed.clear();
        looked.clear();
    }

    /** A whole frame of a project at full size. */
    public Frame render(Project project, long frame) {
        return render(Planner.plan(project, frame), 1, Cancel.NEVER);
    }

    /** A whole frame at {@code scale} times the size of the sequence. */
    public Frame render(Plan plan, double scale, Cancel cancel) {
        return render(plan, scale, Region.all(plan.size().scaled(scale)), cancel);
    }

    /**
     * Part of a frame.
     *
     * @param scale over 0; 1 is full size
     * @param region in pixels of the scaled frame; what lies outside the frame is left out
     * @throws ivrik.core.picture.CancelledException when {@code cancel} says so
     */
    public Frame render(Plan plan, double scale, Region region, Cancel cancel) {
        Size size = plan.size().scaled(scale);
        Region part = region.within(size);
        Frame below = null;
        for (LayerPlan layer : plan.layers()) {
            cancel.check();
            Frame over = layer(layer, plan.size(), scale, cancel).crop(part);
            if (below == null && layer.opacity() == 1) {
                below = over;
            } else {
                Frame under =
                        below == null ? Frame.empty(new Size(part.width(), part.height())) : below;
                below = Composite.of(under, over, layer.blend(), layer.opacity(), workers);
            }
        }
        Frame all = below == null ? Frame.empty(new Size(part.width(), part.height())) : below;
        return switch (plan.ground()) {
            case NOTHING -> all;
            case BLACK -> Composite.overBlack(all, workers);
            case PAPER -> Composite.overWhite(all, workers);
        };
    }

    /**
     * The lanes of one of a layer's looks, treated but not rejoined, over nothing; for viewing them.
     *
     * @param plan that the layer is in
     */
    public List<Plane> lanes(Plan plan, LayerPlan layer, int look, double scale, Cancel cancel) {
        LookPlan chosen = layer.looks().get(look);
        return looks.lanes(
                        chosen,
                        beneath(plan, layer, look, scale, cancel),
                        supplies(chosen, plan.size(), scale),
                        scale,
                        cancel)
                .planes();
    }

    /**
     * How far the lanes of one of a layer's looks, rejoined without any short cut, are from what they
     * were separated from: the proof that untouched lanes are in register.
     */
    public Register proof(Plan plan, LayerPlan layer, int look, double scale, Cancel cancel) {
        return Register.between(
                rejoined(plan, layer, look, scale, cancel),
                beneath(plan, layer, look, scale, cancel),
                workers);
    }

    /** How far one of a layer's looks reaches each pixel of what it is done to, 0..1. */
    public Plane reached(Plan plan, LayerPlan layer, int look, double scale, Cancel cancel) {
        LookPlan chosen = layer.looks().get(look);
        Frame picture = beneath(plan, layer, look, scale, cancel);
        return chosen.reach()
                .map(
                        r ->
                                Reaching.of(
                                        r,
                                        picture,
                                        supplies(chosen, plan.size(), scale).matte(),
                                        workers))
                .orElseGet(() -> Plane.flat(picture.width(), picture.height(), 1));
    }

    /** One of a layer's looks with its lanes really taken apart and rejoined, whatever it does. */
    public Frame rejoined(Plan plan, LayerPlan layer, int look, double scale, Cancel cancel) {
        LookPlan chosen = layer.looks().get(look);
        return looks.rejoined(
                chosen,
                beneath(plan, layer, look, scale, cancel),
                supplies(chosen, plan.size(), scale),
                scale,
                cancel);
    }

    /** What one of a layer's looks is done to: the picture with the looks before it. */
    private Frame beneath(Plan plan, LayerPlan layer, int look, double scale, Cancel cancel) {
        LayerPlan before =
                new LayerPlan(
                        layer.id(),
                        layer.picture(),
                        layer.place(),
                        layer.looks().subList(0, look),
                        layer.blend(),
                        layer.opacity());
        return layer(before, plan.size(), scale, cancel);
    }

    /** A layer's picture with all its looks; from here on one coverage stands for all channels. */
    private Frame layer(LayerPlan layer, Size sequence, double scale, Cancel cancel) {
        if (layer.isNeutral()) {
            return placed(layer.picture(), layer.place(), sequence, scale);
        }
        record Key(
                Picture picture, PlacePlan place, List<LookPlan> looks, Size sequence, double s) {}
        return looked.get(
                new Key(layer.picture(), layer.place(), layer.looks(), sequence, scale),
                () -> {
                    Frame picture = placed(layer.picture(), layer.place(), sequence, scale);
                    for (LookPlan look : layer.looks()) {
                        if (!look.isNeutral()) {
                            picture =
                                    looks.apply(
                                            look,
                                            picture,
                                            supplies(look, sequence, scale),
                                            scale,
                                            cancel);
                        }
                    }
                    return picture.united(workers);
                });
    }

    /** The other pictures that a look needs. */
    private Supplies supplies(LookPlan look, Size sequence, double scale) {
        List<Frame> feeds =
                look.feeds().stream()
                        .map(
                                feed ->
                                        feed == null
                                                ? null
                                                : placed(
                                                        feed.picture(),
                                                        feed.place(),
                                                        sequence,
                                                        scale))
                        .toList();
        List<Frame> steps =
                look.steps().stream()
                        .map(
                                step ->
                                        step.picture()
                                                .map(p -> used(step, p, sequence, scale))
                                                .orElse(null))
                        .toList();
        Frame matte =
                look.reach()
                        .flatMap(ReachPlan::matte)
                        .map(m -> placed(m.picture(), m.place(), sequence, scale))
                        .orElse(null);
        return new Supplies(feeds, steps, matte);
    }

    /** The picture that a treatment uses: fitted into the sequence, or at its own size. */
    private Frame used(StepPlan step, Picture picture, Size sequence, double scale) {
        boolean tiled = step.lanes().stream().filter(Objects::nonNull).anyMatch(Pattern::isTiled);
        Size own = picture.source().size();
        return placed(picture, PlacePlan.FITTED, tiled ? own : sequence, scale);
    }

    private Frame placed(Optional<Picture> picture, PlacePlan place, Size sequence, double scale) {
        return picture.map(p -> placed(p, place, sequence, scale))
                .orElseGet(() -> Frame.empty(sequence.scaled(scale)));
    }

    /** A look by itself done to a picture of the sequence's size times {@code scale}. */
    public Frame apply(LookPlan look, Frame source, double scale, Cancel cancel) {
        return looks.apply(look, source, Supplies.none(look), scale, cancel);
    }

    /**
     * A whole frame as screen pixels, as {@link Screen#pack} makes them of {@link #render}, but
     * without planes in between where the lanes of one opaque layer go straight to the screen.
     *
     * @param pixels at least as many words as the scaled frame has pixels
     */
    public void toScreen(Plan plan, double scale, int[] pixels, Cancel cancel) {
        if (plan.layers().size() == 1 && isStraight(plan.layers().getFirst())) {
            LayerPlan layer = plan.layers().getFirst();
            Frame source = placed(layer.picture(), layer.place(), plan.size(), scale);
            if (source.isOpaque()) {
                Screen.pack(
                        looks.straight(
                                layer.looks().getFirst(),
                                source.colour(),
                                supplies(layer.looks().getFirst(), plan.size(), scale),
                                scale,
                                cancel),
                        pixels,
                        workers);
                return;
            }
        }
        Screen.pack(render(plan, scale, cancel), pixels, workers);
    }

    /** Whether the treated lanes of a layer are what is shown. */
    private static boolean isStraight(LayerPlan layer) {
        LookPlan look = layer.looks().getFirst();
        return layer.looks().size() == 1
                && layer.opacity() == 1
                && look.overscan() == 1
                && look.reach().isEmpty()
                && !look.isNeutral()
                && LookRenderer.isStraight(look)
                && look.onto() == Blend.NORMAL
                && look.ontoAmount() == 1;
    }

    /** A source in its place; uncovered where it does not reach. */
    private Frame placed(Picture picture, PlacePlan place, Size sequence, double scale) {
        record Key(Picture picture, PlacePlan place, Size sequence, double scale) {}
        Size shown = sequence.scaled(scale);
        return placed.get(
                new Key(picture, place, sequence, scale),
                () -> {
                    Size fitted = Placement.size(picture.source().size(), sequence, shown, place);
                    return Placement.put(
                            pictures.frame(picture, fitted), fitted, shown, place, scale, workers);
                });
    }
}
