package ivrik.core.render;

import ivrik.core.cache.CacheKey;
import ivrik.core.cache.FrameCache;
import ivrik.core.cache.NotEnoughMemoryException;
import ivrik.core.measure.Misregistration;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Region;
import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.rejoin.Blend;
import ivrik.core.render.Plan.Below;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PlacementPlan;
import ivrik.core.render.Plan.Seen;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.PatternPlacement;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * Renders frames: each layer's picture passes through the pipelines of its looks, and the layers are
 * composited. The same plan gives the same bytes, whatever the threads, the cache or the order of calls.
 * Thread-safe.
 */
public final class Renderer {
    private final SourcePictures sources;
    private final Workers workers;
    private final FrameCache cache;
    private final LayerComposite composite;

    /**
     * @param pictures source pictures; each read runs to its end even if cancelled, so that no reader stops
     *     midway
     * @param cache cache of frames and intermediate results
     */
    public Renderer(Pictures pictures, Workers workers, FrameCache cache) {
        this.sources = new SourcePictures(pictures, workers, cache);
        this.workers = workers;
        this.cache = cache;
        this.composite = new LayerComposite(workers);
    }

    /** A whole frame of a project at full size. */
    public Frame render(Project project, long frame) {
        return render(Planner.plan(project, frame), 1, Cancellation.NEVER);
    }

    /**
     * A whole frame at {@code scale} times the size of the sequence.
     *
     * @throws ivrik.core.threads.CancelledException if cancelled
     * @throws NotEnoughMemoryException if memory does not suffice
     */
    public Frame render(Plan plan, double scale, Cancellation cancel) {
        return cache.get(
                wholeKey(plan, scale),
                () -> wanted(plan, scale, cancel, () -> composed(plan, scale, cancel).frame()),
                cancel::isCancelled);
    }

    private static CacheKey wholeKey(Plan plan, double scale) {
        record Whole(Plan plan, double scale) {}
        return CacheKey.of(new Whole(plan, scale));
    }

    /**
     * Passes a whole frame to a consumer. An opaque frame that is requested for the first time is passed as
     * rows, computed as the consumer reads them.
     *
     * @param ofRows consumer of an opaque frame; must not use the rows after it returns
     * @param ofFrame consumer of any other frame
     */
    public <T> T made(
            Plan plan,
            double scale,
            Cancellation cancel,
            Function<ColourRows, T> ofRows,
            Function<Frame, T> ofFrame) {
        CacheKey key = wholeKey(plan, scale);
        if (cache.holds(key) || cache.recurs(key)) {
            return ofFrame.apply(render(plan, scale, cancel));
        }
        return wanted(
                plan,
                scale,
                cancel,
                () -> {
                    PictureState made = composed(plan, scale, cancel);
                    return made.isOpaque()
                            ? ofRows.apply(made.rows())
                            : ofFrame.apply(made.frame());
                });
    }

    /** Whether a frame is opaque; determined without computing rows. */
    public boolean isOpaque(Plan plan, double scale, Cancellation cancel) {
        RenderContext ahead = new RenderContext(scale, workers, cancel, cache, true);
        return wanted(plan, scale, cancel, () -> composed(plan, ahead).isOpaque());
    }

    /**
     * Part of a frame.
     *
     * @param scale greater than 0; 1 is full size
     * @param region in pixels of the scaled frame; parts outside the frame are dropped
     */
    public Frame render(Plan plan, double scale, Region region, Cancellation cancel) {
        return render(plan, scale, cancel).crop(region.within(plan.size().scaled(scale)));
    }

    /** Cache key of a frame's screen pixels. */
    public static CacheKey screenKey(Plan plan, double scale) {
        record Shown(Plan plan, double scale) {}
        return CacheKey.of(new Shown(plan, scale));
    }

    /** A whole frame as screen pixels. */
    public Screen screen(Plan plan, double scale, Cancellation cancel) {
        return cache.get(
                screenKey(plan, scale),
                () -> wanted(plan, scale, cancel, () -> Screen.of(composed(plan, scale, cancel))),
                cancel::isCancelled);
    }

    /** Runs cancellable work and reports a lack of memory. */
    private static <T> T wanted(Plan plan, double scale, Cancellation cancel, Supplier<T> work) {
        Size size = plan.size().scaled(scale);
        NotEnoughMemoryException.check(size);
        try {
            return cancel.during(work);
        } catch (OutOfMemoryError e) {
            throw NotEnoughMemoryException.of(size, e);
        }
    }

    /** All layers composited; a single opaque layer stays as rows. */
    private PictureState composed(Plan plan, double scale, Cancellation cancel) {
        return composed(plan, new RenderContext(scale, workers, cancel, cache));
    }

    private PictureState composed(Plan plan, RenderContext renderContext) {
        PictureState all = composed(plan.size(), plan.layers(), renderContext);
        if (all.isOpaque()) {
            return all;
        }
        return plan.background()
                .colour()
                .map(
                        colour ->
                                new PictureState(
                                        composite.overBackground(colour, all),
                                        all.key(),
                                        renderContext))
                .orElse(all);
    }

    private PictureState composed(
            Size sequence, List<LayerPlan> layers, RenderContext renderContext) {
        Size size = sequence.scaled(renderContext.scale());
        PictureState below = null;
        for (LayerPlan layer : layers) {
            renderContext.cancel().check();
            if (layer.picture().isEmpty()) {
                below = below == null ? null : spanned(sequence, layer, below);
                continue;
            }
            PictureState over = along(layer, sequence, source(layer, sequence, renderContext));
            if (below == null && layer.opacity() == 1) {
                below = over;
                continue;
            }
            record Laid(CacheKey under, CacheKey over, Blend blend, double opacity) {}
            CacheKey backdrop = below == null ? CacheKey.of(size) : below.key();
            CacheKey key =
                    CacheKey.of(new Laid(backdrop, over.key(), layer.blend(), layer.opacity()));
            Frame under = below == null ? Frame.empty(size) : below.frame();
            below = new PictureState(composite.over(under, over, layer), key, renderContext);
        }
        return below == null
                ? new PictureState(Frame.empty(size), CacheKey.of("nothing"), renderContext)
                : below;
    }

    /** The picture below a span after the span's looks. */
    private PictureState spanned(Size sequence, LayerPlan span, PictureState below) {
        PictureState over = along(span, sequence, below.copy());
        if (span.blend() == Blend.NORMAL && span.opacity() == 1) {
            return over;
        }
        Frame mixed = composite.mixed(below.frame(), over.frame(), span);
        return new PictureState(
                mixed, over.key().then(span.blend()).then(span.opacity()), below.renderContext());
    }

    /** A layer's picture after all its looks. */
    private PictureState along(LayerPlan layer, Size sequence, PictureState state) {
        RenderContext renderContext = state.renderContext();
        for (LookPlan look : layer.looks()) {
            Needed needed = new Needed(sequence, renderContext.scale(), renderContext.cancel());
            if (!look.places().isEmpty()) {
                MotionBlur.take(
                        state,
                        look,
                        needed,
                        i -> source(layer, look.places().get(i), sequence, renderContext));
            } else if (!look.isNeutral()) {
                new Pipeline(look, needed).take(state);
            }
        }
        return state;
    }

    private PictureState source(LayerPlan layer, Size sequence, RenderContext renderContext) {
        return source(layer, layer.placement(), sequence, renderContext);
    }

    private PictureState source(
            LayerPlan layer, PlacementPlan place, Size sequence, RenderContext renderContext) {
        return sources.state(layer.picture().orElseThrow(), place, sequence, renderContext);
    }

    /**
     * The treated channels of one of a layer's looks before rejoin, for display.
     *
     * @param plan plan that holds the layer
     */
    public List<Plane> channels(
            Plan plan, LayerPlan layer, int look, double scale, Cancellation cancel) {
        return onPipeline(
                plan,
                layer,
                look,
                scale,
                cancel,
                (pipeline, state) -> pipeline.separate(state).planes(state.renderContext()));
    }

    /**
     * The misregistration of one of a layer's looks, separated and rejoined without any shortcut: proof that
     * untouched channels are in register.
     */
    public Misregistration proof(
            Plan plan, LayerPlan layer, int look, double scale, Cancellation cancel) {
        return wanted(
                plan,
                scale,
                cancel,
                () ->
                        Misregistration.between(
                                rejoined(plan, layer, look, scale, cancel),
                                prepared(plan, layer, look, scale, cancel).frame(),
                                workers));
    }

    /** The mask of one of a layer's looks for each pixel, 0..1. */
    public Plane maskWeights(
            Plan plan, LayerPlan layer, int look, double scale, Cancellation cancel) {
        LookPlan chosen = layer.looks().get(look);
        Frame picture =
                onPipeline(plan, layer, look, scale, cancel, (pipeline, state) -> state.frame());
        return chosen.mask()
                .map(
                        r ->
                                BlendStage.weights(
                                        r,
                                        chosen,
                                        picture,
                                        new Needed(plan.size(), scale, cancel),
                                        workers))
                .orElseGet(() -> Plane.flat(picture.width(), picture.height(), 1));
    }

    /** One of a layer's looks, really separated and rejoined whatever its effect. */
    public Frame rejoined(Plan plan, LayerPlan layer, int look, double scale, Cancellation cancel) {
        return onPipeline(
                plan,
                layer,
                look,
                scale,
                cancel,
                (pipeline, state) -> {
                    pipeline.rejoin(state);
                    return state.frame();
                });
    }

    /** Applies work to the picture that one of a layer's looks separates. */
    private <T> T onPipeline(
            Plan plan,
            LayerPlan layer,
            int look,
            double scale,
            Cancellation cancel,
            BiFunction<Pipeline, PictureState, T> work) {
        return wanted(
                plan,
                scale,
                cancel,
                () -> {
                    PictureState state = prepared(plan, layer, look, scale, cancel);
                    return work.apply(pipeline(plan, layer, look, scale, cancel), state);
                });
    }

    private Pipeline pipeline(
            Plan plan, LayerPlan layer, int look, double scale, Cancellation cancel) {
        return new Pipeline(layer.looks().get(look), new Needed(plan.size(), scale, cancel));
    }

    /** The input of separation: the picture after the previous looks and the look's preparation. */
    private PictureState prepared(
            Plan plan, LayerPlan layer, int look, double scale, Cancellation cancel) {
        LayerPlan before =
                new LayerPlan(
                        layer.id(),
                        layer.picture(),
                        layer.placement(),
                        layer.looks().subList(0, look),
                        layer.blend(),
                        layer.opacity());
        RenderContext renderContext = new RenderContext(scale, workers, cancel, cache);
        PictureState start =
                layer.picture().isPresent()
                        ? source(layer, plan.size(), renderContext)
                        : composed(plan.size(), plan.below(layer), renderContext).copy();
        PictureState state = along(before, plan.size(), start);
        pipeline(plan, layer, look, scale, cancel).prepare(state);
        return state;
    }

    /** Further pictures that looks need. */
    private final class Needed implements AuxiliaryPictures {
        private final Size sequence;
        private final double scale;
        private final Cancellation cancel;

        Needed(Size sequence, double scale, Cancellation cancel) {
            this.sequence = sequence;
            this.scale = scale;
            this.cancel = cancel;
        }

        @Override
        public Frame placed(Optional<? extends Seen> seen, PlacementPlan place) {
            return switch (seen.orElse(null)) {
                case null -> Frame.empty(sequence.scaled(scale));
                case Picture picture -> sources.placed(picture, place, sequence, scale);
                case Below backdrop -> below(backdrop);
            };
        }

        private Frame below(Below backdrop) {
            record Layers(Below below, Size size, double scale) {}
            return cache.get(
                    CacheKey.of(new Layers(backdrop, sequence, scale)),
                    () ->
                            composed(
                                            sequence,
                                            backdrop.layers(),
                                            new RenderContext(scale, workers, cancel, cache))
                                    .frame(),
                    cancel::isCancelled);
        }

        /** Fitted into the sequence, or at its own size. */
        @Override
        public Frame used(StepPlan step) {
            Picture picture = step.picture().orElseThrow();
            boolean tiled =
                    step.channels().stream()
                            .filter(Objects::nonNull)
                            .anyMatch(PatternPlacement::isTiled);
            Size own = picture.source().size();
            return sources.placed(picture, PlacementPlan.FITTED, tiled ? own : sequence, scale);
        }
    }

    /** Applies a single look to a picture of the sequence's size times {@code scale}. */
    public Frame apply(LookPlan look, Frame source, double scale, Cancellation cancel) {
        PictureState state =
                new PictureState(
                        source,
                        CacheKey.of(new Object()),
                        new RenderContext(scale, workers, cancel, new FrameCache(0)));
        return cancel.during(
                () -> {
                    new Pipeline(look, AuxiliaryPictures.NONE).take(state);
                    return state.frame();
                });
    }
}
