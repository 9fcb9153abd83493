package ivrik.core.render;

import ivrik.core.cache.CacheKey;
import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.picture.Planes;
import ivrik.core.picture.Size;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Composite;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.MaskPlan;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.ValidRegion;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.BinaryOperator;

/**
 * Blends the rejoined picture with the picture that was separated, within the mask of the look.
 *
 * @param inner the stages from separation to rejoin
 */
record BlendStage(LookPlan look, AuxiliaryPictures auxiliary, List<Stage> inner) implements Stage {
    @Override
    public boolean isNeutral() {
        return false; // the stage contains only stages with an effect
    }

    @Override
    public Object key() {
        return List.of(
                inner.getLast().key(), look.prints(), look.blend(), look.opacity(), look.mask());
    }

    @Override
    public ValidRegion covered(ValidRegion before, Size size) {
        return before;
    }

    @Override
    public void take(PictureState state) {
        CacheKey key = state.key().then(key());
        if (look.mask().isPresent()) {
            Frame source = state.frame();
            state.set(masked(look.mask().get(), source, state), key);
        } else if (look.blend() == Blend.NORMAL && look.opacity() == 1) {
            rejoin(state);
        } else {
            Frame source = state.frame();
            rejoin(state);
            Optional<ChannelCoverage> coverage = state.channelCoverage();
            Frame laid = laid(source, state.frame(), state.renderContext().workers());
            state.set(laid, key);
            if (look.blend() == Blend.NORMAL && !source.isOpaque()) {
                state.setChannelCoverage(
                        coverage.map(p -> mixed(p, source, state.renderContext().workers())));
            }
        }
    }

    private void rejoin(PictureState state) {
        for (Stage stage : inner) {
            state.renderContext().cancel().check();
            stage.take(state);
        }
    }

    private Frame laid(Frame source, Frame result, Workers workers) {
        return look.blend() == Blend.NORMAL
                ? Composite.mix(source, result, look.opacity(), workers)
                : Composite.of(source, result, look.blend(), look.opacity(), workers);
    }

    /** Interpolates between the separated channels and the original ones. */
    private ChannelCoverage mixed(ChannelCoverage coverage, Frame source, Workers workers) {
        Plane together = source.unionAlpha(workers);
        return coverage.map(
                p -> PlaneArithmetic.mixCoverage(together, p, (float) look.opacity(), workers));
    }

    private Frame masked(MaskPlan mask, Frame source, PictureState state) {
        Workers workers = state.renderContext().workers();
        Plane weights = weights(mask, look, source, auxiliary, workers);
        Frame picture = source.premultiplied(workers);
        if (!mask.spreads()) {
            rejoin(state);
            Frame result = laid(source, state.frame(), workers).premultiplied(workers);
            return zip(picture, result, (x, y) -> PlaneArithmetic.mix(x, y, weights, workers));
        }
        Frame part = picture.mapPlanes(p -> PlaneArithmetic.multiply(p, weights, workers));
        state.set(part, state.key().then(mask));
        rejoin(state);
        Frame result = state.frame().premultiplied(workers);
        if (look.blend() != Blend.NORMAL) {
            return laid(source, result, workers);
        }
        Plane others = MaskWeights.inverse(weights, workers);
        Frame rest = picture.mapPlanes(p -> PlaneArithmetic.multiply(p, others, workers));
        return laid(
                source, zip(rest, result, (x, y) -> PlaneArithmetic.add(x, y, workers)), workers);
    }

    /** The mask of each pixel, 0..1. */
    static Plane weights(
            MaskPlan mask,
            LookPlan look,
            Frame picture,
            AuxiliaryPictures auxiliary,
            Workers workers) {
        Frame matte = mask.matte().map(m -> auxiliary.placed(m.picture(), m.place())).orElse(null);
        return MaskWeights.of(mask, look.colour().transfer(), picture, matte, workers);
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
