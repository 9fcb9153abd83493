package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.cache.NoRoomException;
import ivrik.core.cache.Store;
import ivrik.core.measure.Register;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Region;
import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.rejoin.Blend;
import ivrik.core.render.Plan.Beneath;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PlacePlan;
import ivrik.core.render.Plan.Seen;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Pattern;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * Makes frames: each layer's picture goes along the roads of its looks, and the layers are laid upon each
 * other. The same plan gives the same bytes, whatever the threads, the store or the order of calls. Safe
 * for many threads.
 */
public final class Renderer {
    private final Sources sources;
    private final Workers workers;
    private final Store store;
    private final LayerComposite composite;

    /**
     * @param pictures of the sources; each is read to its end, wanted or not, so that no reader stops in the middle
     * @param store what is kept of frames and of the way to them
     */
    public Renderer(Pictures pictures, Workers workers, Store store) {
        this.sources = new Sources(pictures, workers, store);
        this.workers = workers;
        this.store = store;
        this.composite = new LayerComposite(workers);
    }

    /** A whole frame of a project at full size. */
    public Frame render(Project project, long frame) {
        return render(Planner.plan(project, frame), 1, Cancel.NEVER);
    }

    /**
     * A whole frame at {@code scale} times the size of the sequence.
     *
     * @throws ivrik.core.threads.CancelledException when {@code cancel} says so
     * @throws NoRoomException if there is not enough memory
     */
    public Frame render(Plan plan, double scale, Cancel cancel) {
        return store.get(
                wholeKey(plan, scale),
                () -> wanted(plan, scale, cancel, () -> composed(plan, scale, cancel).frame()),
                cancel::isCancelled);
    }

    private static Key wholeKey(Plan plan, double scale) {
        record Whole(Plan plan, double scale) {}
        return Key.of(new Whole(plan, scale));
    }

    /**
     * What somebody makes of a whole frame. An opaque one that is asked for the first time need not be
     * planes: its rows are made as that work asks for them.
     *
     * @param ofRows the work on an opaque frame; it must be done with the rows when it returns
     * @param ofFrame the same work on any other
     */
    public <T> T made(
            Plan plan,
            double scale,
            Cancel cancel,
            Function<ColourRows, T> ofRows,
            Function<Frame, T> ofFrame) {
        Key key = wholeKey(plan, scale);
        if (store.holds(key) || store.recurs(key)) {
            return ofFrame.apply(render(plan, scale, cancel));
        }
        return wanted(
                plan,
                scale,
                cancel,
                () -> {
                    Passage made = composed(plan, scale, cancel);
                    return made.isOpaque()
                            ? ofRows.apply(made.rows())
                            : ofFrame.apply(made.frame());
                });
    }

    /** Whether a frame will be opaque; its rows are not made for that. */
    public boolean isOpaque(Plan plan, double scale, Cancel cancel) {
        Site ahead = new Site(scale, workers, cancel, store, true);
        return wanted(plan, scale, cancel, () -> composed(plan, ahead).isOpaque());
    }

    /**
     * Part of a frame.
     *
     * @param scale over 0; 1 is full size
     * @param region in pixels of the scaled frame; what lies outside the frame is left out
     */
    public Frame render(Plan plan, double scale, Region region, Cancel cancel) {
        return render(plan, scale, cancel).crop(region.within(plan.size().scaled(scale)));
    }

    /** The key under which a frame is kept as it is shown on a screen. */
    public static Key screenKey(Plan plan, double scale) {
        record Shown(Plan plan, double scale) {}
        return Key.of(new Shown(plan, scale));
    }

    /** A whole frame as it is shown on a screen. */
    public Screen screen(Plan plan, double scale, Cancel cancel) {
        return store.get(
                screenKey(plan, scale),
                () -> wanted(plan, scale, cancel, () -> Screen.of(composed(plan, scale, cancel))),
                cancel::isCancelled);
    }

    /** Work on a plan's pictures, given up when it is no longer wanted, with a word where they do not fit. */
    private static <T> T wanted(Plan plan, double scale, Cancel cancel, Supplier<T> work) {
        Size size = plan.size().scaled(scale);
        NoRoomException.check(size);
        try {
            return cancel.during(work);
        } catch (OutOfMemoryError e) {
            throw NoRoomException.of(size, e);
        }
    }

    /** All layers laid upon each other; what is one opaque layer is left to its rows. */
    private Passage composed(Plan plan, double scale, Cancel cancel) {
        return composed(plan, new Site(scale, workers, cancel, store));
    }

    private Passage composed(Plan plan, Site site) {
        Passage all = composed(plan.size(), plan.layers(), site);
        if (all.isOpaque()) {
            return all;
        }
        return plan.ground()
                .colour()
                .map(colour -> new Passage(composite.uponGround(colour, all), all.key(), site))
                .orElse(all);
    }

    private Passage composed(Size sequence, List<LayerPlan> layers, Site site) {
        Size size = sequence.scaled(site.scale());
        Passage below = null;
        for (LayerPlan layer : layers) {
            site.cancel().check();
            if (layer.picture().isEmpty()) {
                below = below == null ? null : spanned(sequence, layer, below);
                continue;
            }
            Passage over = along(layer, sequence, source(layer, sequence, site));
            if (below == null && layer.opacity() == 1) {
                below = over;
                continue;
            }
            record Laid(Key under, Key over, Blend blend, double opacity) {}
            Key beneath = below == null ? Key.of(size) : below.key();
            Key key = Key.of(new Laid(beneath, over.key(), layer.blend(), layer.opacity()));
            Frame under = below == null ? Frame.empty(size) : below.frame();
            below = new Passage(composite.upon(under, over, layer), key, site);
        }
        return below == null ? new Passage(Frame.empty(size), Key.of("nothing"), site) : below;
    }

    /** What lies beneath a span with the span's looks. */
    private Passage spanned(Size sequence, LayerPlan span, Passage below) {
        Passage over = along(span, sequence, below.copy());
        if (span.blend() == Blend.NORMAL && span.opacity() == 1) {
            return over;
        }
        Frame mixed = composite.mixed(below.frame(), over.frame(), span);
        return new Passage(mixed, over.key().then(span.blend()).then(span.opacity()), below.site());
    }

    /** A layer's picture taken along all its looks. */
    private Passage along(LayerPlan layer, Size sequence, Passage passage) {
        Site site = passage.site();
        for (LookPlan look : layer.looks()) {
            Needed needed = new Needed(sequence, site.scale(), site.cancel());
            if (!look.places().isEmpty()) {
                MotionBlur.take(
                        passage,
                        look,
                        needed,
                        i -> source(layer, look.places().get(i), sequence, site));
            } else if (!look.isNeutral()) {
                new Road(look, needed).take(passage);
            }
        }
        return passage;
    }

    private Passage source(LayerPlan layer, Size sequence, Site site) {
        return source(layer, layer.place(), sequence, site);
    }

    private Passage source(LayerPlan layer, PlacePlan place, Size sequence, Site site) {
        return sources.passage(layer.picture().orElseThrow(), place, sequence, site);
    }

    /**
     * The lanes of one of a layer's looks, treated but not rejoined, over nothing; for viewing them.
     *
     * @param plan that the layer is in
     */
    public List<Plane> lanes(Plan plan, LayerPlan layer, int look, double scale, Cancel cancel) {
        return onRoad(
                plan,
                layer,
                look,
                scale,
                cancel,
                (road, passage) -> road.separate(passage).planes(passage.site()));
    }

    /**
     * How far the lanes of one of a layer's looks, rejoined without any short cut, are from what they
     * were separated from: the proof that untouched lanes are in register.
     */
    public Register proof(Plan plan, LayerPlan layer, int look, double scale, Cancel cancel) {
        return wanted(
                plan,
                scale,
                cancel,
                () ->
                        Register.between(
                                rejoined(plan, layer, look, scale, cancel),
                                prepared(plan, layer, look, scale, cancel).frame(),
                                workers));
    }

    /** How far one of a layer's looks reaches each pixel of what it is done to, 0..1. */
    public Plane reached(Plan plan, LayerPlan layer, int look, double scale, Cancel cancel) {
        LookPlan chosen = layer.looks().get(look);
        Frame picture =
                onRoad(plan, layer, look, scale, cancel, (road, passage) -> passage.frame());
        return chosen.reach()
                .map(
                        r ->
                                LayOn.weights(
                                        r,
                                        chosen,
                                        picture,
                                        new Needed(plan.size(), scale, cancel),
                                        workers))
                .orElseGet(() -> Plane.flat(picture.width(), picture.height(), 1));
    }

    /** One of a layer's looks with its lanes really taken apart and rejoined, whatever it does. */
    public Frame rejoined(Plan plan, LayerPlan layer, int look, double scale, Cancel cancel) {
        return onRoad(
                plan,
                layer,
                look,
                scale,
                cancel,
                (road, passage) -> {
                    road.rejoin(passage);
                    return passage.frame();
                });
    }

    /** What becomes of the picture that one of a layer's looks separates. */
    private <T> T onRoad(
            Plan plan,
            LayerPlan layer,
            int look,
            double scale,
            Cancel cancel,
            BiFunction<Road, Passage, T> work) {
        return wanted(
                plan,
                scale,
                cancel,
                () -> {
                    Passage passage = prepared(plan, layer, look, scale, cancel);
                    return work.apply(road(plan, layer, look, scale, cancel), passage);
                });
    }

    private Road road(Plan plan, LayerPlan layer, int look, double scale, Cancel cancel) {
        return new Road(layer.looks().get(look), new Needed(plan.size(), scale, cancel));
    }

    /** What one of a layer's looks separates: the picture with the looks before it, and prepared. */
    private Passage prepared(Plan plan, LayerPlan layer, int look, double scale, Cancel cancel) {
        LayerPlan before =
                new LayerPlan(
                        layer.id(),
                        layer.picture(),
                        layer.place(),
                        layer.looks().subList(0, look),
                        layer.blend(),
                        layer.opacity());
        Site site = new Site(scale, workers, cancel, store);
        Passage start =
                layer.picture().isPresent()
                        ? source(layer, plan.size(), site)
                        : composed(plan.size(), plan.beneath(layer), site).copy();
        Passage passage = along(before, plan.size(), start);
        road(plan, layer, look, scale, cancel).prepare(passage);
        return passage;
    }

    /** The other pictures that looks need. */
    private final class Needed implements Supplies {
        private final Size sequence;
        private final double scale;
        private final Cancel cancel;

        Needed(Size sequence, double scale, Cancel cancel) {
            this.sequence = sequence;
            this.scale = scale;
            this.cancel = cancel;
        }

        @Override
        public Frame placed(Optional<? extends Seen> seen, PlacePlan place) {
            return switch (seen.orElse(null)) {
                case null -> Frame.empty(sequence.scaled(scale));
                case Picture picture -> sources.placed(picture, place, sequence, scale);
                case Beneath beneath -> beneath(beneath);
            };
        }

        private Frame beneath(Beneath beneath) {
            record Layers(Beneath beneath, Size size, double scale) {}
            return store.get(
                    Key.of(new Layers(beneath, sequence, scale)),
                    () ->
                            composed(
                                            sequence,
                                            beneath.layers(),
                                            new Site(scale, workers, cancel, store))
                                    .frame(),
                    cancel::isCancelled);
        }

        /** Fitted into the sequence, or at its own size. */
        @Override
        public Frame used(StepPlan step) {
            Picture picture = step.picture().orElseThrow();
            boolean tiled =
                    step.lanes().stream().filter(Objects::nonNull).anyMatch(Pattern::isTiled);
            Size own = picture.source().size();
            return sources.placed(picture, PlacePlan.FITTED, tiled ? own : sequence, scale);
        }
    }

    /** A look by itself done to a picture of the sequence's size times {@code scale}. */
    public Frame apply(LookPlan look, Frame source, double scale, Cancel cancel) {
        Passage passage =
                new Passage(
                        source,
                        Key.of(new Object()),
                        new Site(scale, workers, cancel, new Store(0)));
        return cancel.during(
                () -> {
                    new Road(look, Supplies.NONE).take(passage);
                    return passage.frame();
                });
    }
}
