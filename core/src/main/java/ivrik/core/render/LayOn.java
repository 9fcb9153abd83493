package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Planes;
import ivrik.core.picture.Size;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Composite;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.ReachPlan;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.ValidRegion;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.BinaryOperator;

/**
 * What was rejoined, met with the picture that was separated, as far as the look reaches.
 *
 * @param inner the stages from separation to rejoining
 */
record LayOn(LookPlan look, Supplies supplies, List<Stage> inner) implements Stage {
    @Override
    public boolean isNeutral() {
        return false; // it holds those that change something
    }

    @Override
    public Object key() {
        return List.of(
                inner.getLast().key(), look.plates(), look.onto(), look.ontoAmount(), look.reach());
    }

    @Override
    public ValidRegion covered(ValidRegion before, Size size) {
        return before;
    }

    @Override
    public void take(Passage passage) {
        Key key = passage.key().then(key());
        if (look.reach().isPresent()) {
            Frame source = passage.frame();
            passage.set(reached(look.reach().get(), source, passage), key);
        } else if (look.onto() == Blend.NORMAL && look.ontoAmount() == 1) {
            rejoin(passage);
        } else {
            Frame source = passage.frame();
            rejoin(passage);
            Optional<Parting> parting = passage.parting();
            Frame laid = laid(source, passage.frame(), passage.site().workers());
            passage.set(laid, key);
            if (look.onto() == Blend.NORMAL && !source.isOpaque()) {
                passage.setParting(parting.map(p -> mixed(p, source, passage.site().workers())));
            }
        }
    }

    private void rejoin(Passage passage) {
        for (Stage stage : inner) {
            passage.site().cancel().check();
            stage.take(passage);
        }
    }

    private Frame laid(Frame source, Frame result, Workers workers) {
        return look.onto() == Blend.NORMAL
                ? Composite.mix(source, result, look.ontoAmount(), workers)
                : Composite.of(source, result, look.onto(), look.ontoAmount(), workers);
    }

    /** Lanes that are only partly in the place of those which lay together. */
    private Parting mixed(Parting parting, Frame source, Workers workers) {
        Plane together = source.unionAlpha(workers);
        return parting.map(p -> Kernels.mix(together, p, (float) look.ontoAmount(), workers));
    }

    private Frame reached(ReachPlan reach, Frame source, Passage passage) {
        Workers workers = passage.site().workers();
        Plane weights = weights(reach, look, source, supplies, workers);
        Frame picture = source.premultiplied(workers);
        if (!reach.spreads()) {
            rejoin(passage);
            Frame result = laid(source, passage.frame(), workers).premultiplied(workers);
            return zip(picture, result, (x, y) -> Kernels.mix(x, y, weights, workers));
        }
        Frame part = picture.mapPlanes(p -> Kernels.multiply(p, weights, workers));
        passage.set(part, passage.key().then(reach));
        rejoin(passage);
        Frame result = passage.frame().premultiplied(workers);
        if (look.onto() != Blend.NORMAL) {
            return laid(source, result, workers);
        }
        Plane others = Reaching.inverse(weights, workers);
        Frame rest = picture.mapPlanes(p -> Kernels.multiply(p, others, workers));
        return laid(source, zip(rest, result, (x, y) -> Kernels.add(x, y, workers)), workers);
    }

    /** How far each pixel of a picture is reached, 0..1. */
    static Plane weights(
            ReachPlan reach, LookPlan look, Frame picture, Supplies supplies, Workers workers) {
        Frame matte = reach.matte().map(m -> supplies.placed(m.picture(), m.place())).orElse(null);
        return Reaching.of(reach, look.colour().transfer(), picture, matte, workers);
    }

    private static Frame zip(Frame a, Frame b, BinaryOperator<Plane> each) {
        List<Plane> colour = Planes.zip(a.colour(), b.colour(), each);
        return a.isOpaque() && b.isOpaque()
                ? new Frame(colour, Alpha.OPAQUE, List.of())
                : new Frame(
                        colour, Alpha.PREMULTIPLIED, Planes.zip(coverage(a), coverage(b), each));
    }

    private static List<Plane> coverage(Frame frame) {
        return frame.isOpaque()
                ? Collections.nCopies(3, Plane.flat(frame.width(), frame.height(), 1))
                : frame.coverage();
    }
}
