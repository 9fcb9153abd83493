package ivrik.core.render;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Region;
import ivrik.core.picture.Resample;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;
import ivrik.core.project.Project;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Composite;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import java.util.ArrayList;
import java.util.List;

/**
 * Makes frames: {@code source -> separate -> treat each lane -> rejoin -> onto -> layer over layer}.
 * The same plan gives the same bytes, whatever the threads, the cache or the order of calls. Safe for
 * many threads.
 */
public final class Renderer {
    private final Pictures pictures;
    private final Workers workers;
    private final FrameCache placed;
    private final FrameCache looked;

    /**
     * @param cacheBytes memory for sources at the size shown, and as much again for finished layers
     */
    public Renderer(Pictures pictures, Workers workers, long cacheBytes) {
        this.pictures = pictures;
        this.workers = workers;
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
            Frame over = layer(layer, size, scale, cancel).crop(part);
            if (below == null && layer.opacity() == 1) {
                below = over;
            } else {
                Frame under =
                        below == null ? Frame.empty(new Size(part.width(), part.height())) : below;
                below = Composite.of(under, over, layer.blend(), layer.opacity(), workers);
            }
        }
        return below == null ? Frame.empty(new Size(part.width(), part.height())) : below;
    }

    /** The lanes of the lowest layer that has a look, treated but not rejoined; for viewing them. */
    public List<Plane> lanes(LayerPlan layer, Size sequence, double scale, Cancel cancel) {
        Frame source = placed(layer.picture(), sequence.scaled(scale)).premultiplied(workers);
        LookPlan look = layer.look();
        Separation separation = Separations.named(look.separation());
        return treated(separation.separate(source.colour(), workers), look, scale, cancel);
    }

    private Frame layer(LayerPlan layer, Size size, double scale, Cancel cancel) {
        Frame source = placed(layer.picture(), size);
        if (layer.look().isNeutral()) {
            return source;
        }
        record Key(Picture picture, LookPlan look, Size size) {}
        return looked.get(
                new Key(layer.picture(), layer.look(), size),
                () -> apply(layer.look(), source, scale, cancel));
    }

    /** A look done to a picture of the sequence's size times {@code scale}. */
    public Frame apply(LookPlan look, Frame source, double scale, Cancel cancel) {
        if (look.isNeutral()) {
            return source;
        }
        Separation separation = Separations.named(look.separation());
        Frame in = look.steps().isEmpty() ? source : source.premultiplied(workers);
        List<Plane> lanes = treated(separation.separate(in.colour(), workers), look, scale, cancel);
        List<Plane> shown = new ArrayList<>();
        for (int i = 0; i < lanes.size(); i++) {
            shown.add(
                    look.shown().get(i)
                            ? lanes.get(i)
                            : Plane.flat(
                                    in.width(), in.height(), separation.lanes().get(i).nothing()));
        }
        List<Plane> colour = look.rejoin().join(separation, shown, workers);
        Frame result =
                in.isOpaque()
                        ? new Frame(colour, Alpha.OPAQUE, List.of())
                        : new Frame(
                                colour, in.alpha(), treated(in.coverage(), look, scale, cancel));
        cancel.check();
        return switch (look.onto()) {
            case NORMAL -> Composite.mix(source, result, look.ontoAmount(), workers);
            default -> Composite.of(source, result, look.onto(), look.ontoAmount(), workers);
        };
    }

    private List<Plane> treated(List<Plane> lanes, LookPlan look, double scale, Cancel cancel) {
        return treatedRows(lanes, look, scale, cancel).stream()
                .map(rows -> rows.toPlane(workers))
                .toList();
    }

    /** The treated lanes; the last treatment of each is still to be done, row by row. */
    private List<Rows> treatedRows(List<Plane> lanes, LookPlan look, double scale, Cancel cancel) {
        List<Rows> treated = new ArrayList<>(lanes.stream().map(Rows::of).toList());
        for (StepPlan step : look.steps()) {
            Treatment treatment = Treatments.named(step.treatment());
            for (int i = 0; i < treated.size(); i++) {
                Settings settings = step.lanes().get(i);
                if (settings != null) {
                    cancel.check();
                    treated.set(
                            i,
                            treatment.apply(
                                    treated.get(i).toPlane(workers), settings, scale, workers));
                }
            }
        }
        return treated;
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
            Frame source = placed(layer.picture(), plan.size().scaled(scale));
            if (source.isOpaque()) {
                Screen.pack(
                        treatedRows(source.colour(), layer.look(), scale, cancel), pixels, workers);
                return;
            }
        }
        Screen.pack(render(plan, scale, cancel), pixels, workers);
    }

    /** Whether the treated lanes of a layer are what is shown. */
    private static boolean isStraight(LayerPlan layer) {
        LookPlan look = layer.look();
        return layer.opacity() == 1
                && !look.isNeutral()
                && !look.shown().contains(false)
                && look.rejoin() == Rejoin.EXACT
                && look.onto() == Blend.NORMAL
                && look.ontoAmount() == 1
                && Separations.named(look.separation()).isChannels();
    }

    /** A source fitted into the sequence, centred; uncovered where it does not reach. */
    private Frame placed(Picture picture, Size size) {
        record Key(Picture picture, Size size) {}
        return placed.get(
                new Key(picture, size),
                () -> {
                    Size shown = picture.source().size().fitInto(size);
                    Frame fitted = Resample.to(pictures.frame(picture, shown), shown, workers);
                    return shown.equals(size) ? fitted : Placement.centred(fitted, size, workers);
                });
    }
}
